<script setup lang="ts">
import { computed, ref } from 'vue'
import { phrase } from '../../../../core/language/index.ts'
import { FoamTest, limits, readWith, Grade, textLimits } from '../../../../contract/index.ts'
import {
  estimateFoam,
  FAMILIES,
  foamWords,
  gradeFromTest,
  percent,
  quotedForceWords,
} from '../../../../core/filling/index.ts'
import { idOfName } from '../../../../core/formats/index.ts'
import { setGrade } from '../../../../core/job/index.ts'
import { formatAmount, unitName } from '../../../../core/units/index.ts'
import { useShop } from '../../../stores/shop.ts'
import AmountField from '../../../ui/AmountField.vue'
import LengthField from '../../../ui/LengthField.vue'
import { useFoam } from '../use-foam.ts'
import PressPanel from './PressPanel.vue'

const { shape } = FoamTest
const press = shape.presses.element.shape
/** Density by weighing, firmness by weights on a disc or by a press. */
const { jobs, foam, change } = useFoam()
const shop = useShop()
const units = computed(() => jobs.job!.units)
const test = computed(() => foam.value.test)
const grades = computed(() => shop.lists?.grades ?? [])
const estimate = computed(() => (test.value ? estimateFoam(test.value, grades.value) : null))
const showPress = ref(false)
const name = ref('')
const said = ref('')

const set = (with_: Partial<FoamTest>, says: string, key: string | null = null) =>
  change(says, (f) => (f.test ? { ...f, test: { ...f.test, ...with_ } } : f), key)
const begin = () =>
  change('Foam test', (f) => ({
    ...f,
    test: {
      family: 'conventional',
      lengthMm: 500,
      widthMm: 400,
      thicknessMm: 75,
      massKg: 0.45,
      discMm: 200,
      presses: [],
      isSimulated: false,
    },
  }))
const setPress = (i: number, with_: Partial<FoamTest['presses'][number]>) =>
  set({ presses: test.value!.presses.map((p, j) => (j === i ? { ...p, ...with_ } : p)) }, 'Press', `press ${i}`)
const addWeight = () =>
  set(
    {
      presses: [
        ...test.value!.presses,
        {
          forceN: 49.05 * (test.value!.presses.length + 1),
          sinkMm: Math.max(1, Math.round(test.value!.thicknessMm / 4)),
        },
      ],
    },
    'A weight',
  )

async function keepGrade(): Promise<void> {
  const found = estimate.value
  if (!test.value || !found || typeof found === 'string') return
  const called = name.value.trim() || phrase`${jobs.job!.ticket} old foam`
  const grade = readWith(Grade, gradeFromTest(test.value, found, called, idOfName(called)))
  if (!grade.ok) return void (said.value = grade.faults[0]!.message)
  if (grades.value.some((g) => g.id === grade.value.id))
    return void (said.value = phrase`The catalogue has a grade called ${called} already: give this one another name.`)
  try {
    await shop.keepGrades([grade.value])
    jobs.edit(setGrade(grade.value))
    said.value = phrase`${called} stands in the catalogue, and this job uses it.`
  } catch (cause) {
    said.value = (cause as Error).message
  }
}
</script>

<template>
  <h2>What foam is this?</h2>
  <template v-if="test">
    <div class="field-row" data-field="filling.test">
      <span class="label">Looks like</span>
      <ElSelect
        :model-value="test.family"
        aria-label="Family of the foam"
        @update:model-value="(family: FoamTest['family']) => set({ family }, FAMILIES[family].name)"
        ><ElOption v-for="(f, key) in FAMILIES" :key="key" :value="key" :label="f.name"
      /></ElSelect>
    </div>
    <div class="field-row">
      <span class="label">Piece, {{ unitName(units) }}</span>
      <div class="sizes">
        <LengthField
          v-for="key in ['lengthMm', 'widthMm', 'thicknessMm'] as const"
          :key="key"
          :model-value="test[key]"
          :unit="units"
          v-bind="limits(shape[key])"
          :name="`${key.replace('Mm', '')} of the piece`"
          @update:model-value="set({ [key]: $event }, 'Piece of foam', key)"
        />
      </div>
    </div>
    <div class="field-row">
      <span class="label">Weighs</span>
      <AmountField
        :model-value="test.massKg"
        kind="mass"
        :lengths="units"
        v-bind="limits(shape.massKg)"
        name="Mass of the piece"
        @update:model-value="$event !== null && set({ massKg: $event }, 'Mass', 'mass')"
      />
    </div>
    <div class="field-row">
      <span class="label">Disc across</span>
      <LengthField
        :model-value="test.discMm"
        :unit="units"
        v-bind="limits(shape.discMm)"
        name="Disc"
        @update:model-value="set({ discMm: $event }, 'Disc', 'disc')"
      />
    </div>
    <table v-if="test.presses.length > 0" class="presses">
      <thead>
        <tr>
          <th>On the disc</th>
          <th>Sinks</th>
          <th></th>
        </tr>
      </thead>
      <tbody>
        <tr
          v-for="(p, i) in test.presses"
          :key="i"
          :class="{ aside: typeof estimate !== 'string' && estimate?.setAside.includes(i) }"
        >
          <td>
            <AmountField
              :model-value="p.forceN"
              kind="force"
              :lengths="units"
              v-bind="limits(press.forceN)"
              :name="`Force of press ${i + 1}`"
              @update:model-value="$event !== null && setPress(i, { forceN: $event })"
            />
          </td>
          <td>
            <LengthField
              :model-value="p.sinkMm"
              :unit="units"
              v-bind="limits(press.sinkMm)"
              :name="`Sink of press ${i + 1}`"
              @update:model-value="setPress(i, { sinkMm: $event })"
            />
          </td>
          <td>
            <button
              type="button"
              class="plain-button"
              :aria-label="`Strike press ${i + 1}`"
              @click="set({ presses: test.presses.filter((_, j) => j !== i) }, 'A press less')"
            >
              Strike
            </button>
          </td>
        </tr>
      </tbody>
    </table>
    <p class="quiet hint">
      Weights in N, kgf or lbf. Put one to three on the disc that sink it a quarter to two thirds of the thickness; past
      half of it they tell how the foam firms up.{{ test.isSimulated ? ' These readings are simulated.' : '' }}
    </p>
    <div class="buttons no-print">
      <button type="button" class="plain-button" @click="addWeight">Add a weight</button>
      <button
        v-if="test.presses.length > 0"
        type="button"
        class="plain-button"
        @click="set({ presses: [], isSimulated: false }, 'Presses struck')"
      >
        Strike all
      </button>
      <button type="button" class="plain-button" @click="showPress = !showPress">Simulated press</button>
    </div>
    <PressPanel v-if="showPress" @close="showPress = false" />
    <p v-if="estimate === 'sink-over-thickness'" class="fault" role="alert">
      A sink is nearly the whole thickness: the disc stands on the table. Use a lighter weight.
    </p>
    <template v-else-if="estimate && estimate !== 'no-presses'">
      <table class="results">
        <tbody>
          <tr>
            <th scope="row">Density</th>
            <td>
              <b>{{ formatAmount(estimate.densityKgM3, 'density', units) }}</b>
            </td>
          </tr>
          <tr>
            <th scope="row">Force</th>
            <td>
              <b>{{ quotedForceWords(gradeFromTest(test, estimate, '', ''), units) }}</b>, give or take
              {{ percent(estimate.hardnessError) }}
            </td>
          </tr>
          <tr>
            <th scope="row">Support factor</th>
            <td>
              {{ estimate.supportFactor.toFixed(1) }},
              {{ estimate.supportIsMeasured ? 'measured' : 'as usual for the family' }}
            </td>
          </tr>
          <tr v-if="estimate.setAside.length > 0">
            <th scope="row">Set aside</th>
            <td>press {{ estimate.setAside.map((i) => i + 1).join(', ') }}: coming back up, or far off the others</td>
          </tr>
        </tbody>
      </table>
      <h3>Nearest grades</h3>
      <ul class="nearest">
        <li v-for="n in estimate.nearest" :key="n.grade.id">
          <b>{{ n.grade.name }}</b>, {{ foamWords(n.grade, units) }}
          <span class="quiet">{{ n.distance < 1.5 ? 'could well be' : n.distance < 4 ? 'perhaps' : 'hardly' }}</span>
        </li>
      </ul>
      <div class="buttons no-print">
        <input
          v-model="name"
          class="text"
          aria-label="Name in the catalogue"
          :placeholder="`${jobs.job!.ticket} old foam`"
          v-bind="textLimits(Grade.shape.name)"
        />
        <button type="button" class="plain-button" @click="keepGrade">Into the catalogue, and use it here</button>
      </div>
      <p v-if="said" class="quiet" role="status">{{ said }}</p>
    </template>
    <p v-else class="quiet">
      Density
      {{ formatAmount(test.massKg / ((test.lengthMm * test.widthMm * test.thicknessMm) / 1e9), 'density', units) }} so
      far; firmness wants at least one weight.
    </p>
  </template>
  <div v-else>
    <p class="quiet">An old block, a mattress or a topper: weigh it, measure it, and press a disc into it.</p>
    <button type="button" class="plain-button" @click="begin">Test a foam</button>
  </div>
</template>

<style scoped>
.sizes {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
}

.presses td,
.presses th {
  padding: 2px 8px 2px 0;
  text-align: left;
  font-weight: 400;
  vertical-align: top;
}

.presses .aside {
  opacity: 0.55;
}

.hint,
.fault {
  margin: 0;
  font-size: 15px;
}

.fault {
  color: var(--rust);
}

.buttons {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}

.nearest {
  margin: 0;
  padding-left: 18px;
}
</style>
