<script setup lang="ts">
import { computed } from 'vue'
import type { Grade, Layer } from '../../../../contract/index.ts'
import {
  ageingOf,
  firmnessOf,
  hardnessOf,
  mainGrade,
  THINNEST_MM,
  thinnestWorkable,
} from '../../../../core/filling/index.ts'
import { formatLengthWithUnit } from '../../../../core/units/index.ts'
import { sayAmountWithUnit } from '../../../../core/working/index.ts'
import { useShop } from '../../../stores/shop.ts'
import FigureValue from '../../../ui/FigureValue.vue'
import LengthField from '../../../ui/LengthField.vue'
import { useFoam } from '../use-foam.ts'
import AdviceList from './AdviceList.vue'

/** The layers of the block, what they come to, and what else would do. */
const { jobs, foam, plan, change } = useFoam()
const shop = useShop()
const grades = computed(() => shop.lists?.grades ?? [])
const support = computed(() => plan.value.verdict.support)
const mm = (length: number) => formatLengthWithUnit(length, jobs.job!.units)
/** From the top down, as a block is seen. */
const shown = computed(() =>
  foam.value.layers.map((layer, i) => ({ layer, i, settledMm: plan.value.layers[i]!.thicknessMm })).toReversed(),
)
const choices = (layer: Layer): readonly Grade[] =>
  grades.value.some((g) => g.id === layer.grade.id) ? grades.value : [layer.grade, ...grades.value]
const thinnest = computed(() => thinnestWorkable(mainGrade(foam.value.layers), plan.value.loadCase))
const thinnestWords = (length: number | null) =>
  length === null ? 'none' : length <= THINNEST_MM ? `${mm(length)} or less` : mm(length)

const setLayer = (i: number, with_: Partial<Layer>, says: string) =>
  change(says, (f) => ({ ...f, layers: f.layers.map((l, j) => (j === i ? { ...l, ...with_ } : l)) }))
function pickGrade(i: number, id: string): void {
  const grade = grades.value.find((g) => g.id === id)
  if (grade) setLayer(i, { grade }, `Foam ${grade.name}`)
}
function addLayer(): void {
  const own = mainGrade(foam.value.layers)
  const softer =
    grades.value.filter((g) => hardnessOf(g) < hardnessOf(own)).toSorted((a, b) => hardnessOf(b) - hardnessOf(a))[0] ??
    own
  change('A layer on top', (f) => ({
    ...f,
    layers: [...f.layers, { grade: softer, thicknessMm: Math.min(...softer.thicknessesMm, 25) }],
  }))
}
function removeLayer(i: number): void {
  change('A layer less', (f) => {
    const layers = f.layers.filter((_, j) => j !== i)
    return {
      ...f,
      layers: layers.some((l) => l.thicknessMm === null)
        ? layers
        : layers.map((l, j) => (j === 0 ? { ...l, thicknessMm: null } : l)),
    }
  })
}
</script>

<template>
  <h2>Layers</h2>
  <div class="layers" data-field="filling.layers">
    <div v-for="{ layer, i, settledMm } in shown" :key="i" class="layer">
      <ElSelect
        :model-value="layer.grade.id"
        :aria-label="`Grade of layer ${i + 1}`"
        filterable
        class="grade"
        @update:model-value="(id: string) => pickGrade(i, id)"
      >
        <ElOption v-for="g in choices(layer)" :key="g.id" :value="g.id" :label="g.name"
          ><span class="option"
            >{{ g.name }} <span class="quiet">{{ g.family }}, {{ firmnessOf(hardnessOf(g)) }}</span></span
          ></ElOption
        >
      </ElSelect>
      <LengthField
        v-if="layer.thicknessMm !== null"
        :model-value="layer.thicknessMm"
        :unit="jobs.job!.units"
        :name="`Thickness of layer ${i + 1}`"
        :min="5"
        :max="1000"
        @update:model-value="setLayer(i, { thicknessMm: $event }, 'Layer thickness')"
      />
      <span v-else class="rest">{{ foam.layers.length > 1 ? `the rest, ${mm(settledMm)}` : mm(settledMm) }}</span>
      <button
        v-if="foam.layers.length > 1"
        type="button"
        class="plain-button"
        :aria-label="`Take layer ${i + 1} out`"
        @click="removeLayer(i)"
      >
        Take out
      </button>
    </div>
    <button v-if="foam.layers.length < 3" type="button" class="plain-button" @click="addLayer">
      Add a layer on top
    </button>
    <RouterLink to="/foam" class="store-link no-print">Foam store: catalogue and stock</RouterLink>
  </div>
  <table class="results">
    <tbody>
      <tr>
        <th scope="row">Firmness</th>
        <td>{{ plan.firmness }}, as {{ Math.round(plan.hardnessN) }} N at 40 %</td>
      </tr>
      <tr>
        <th scope="row">Left under the heaviest</th>
        <td :class="{ bad: support.fresh.standing === 'on-board' }">
          {{ mm(support.fresh.worst.leftMm) }} new, {{ mm(support.aged.worst.leftMm) }} aged; holds up to
          {{ sayAmountWithUnit(Math.floor(support.holdsKg), 'mass', jobs.job!.units) }}
        </td>
      </tr>
      <tr>
        <th scope="row">Life</th>
        <td>
          {{ ageingOf(mainGrade(foam.layers)).says }},
          {{ Math.round(ageingOf(mainGrade(foam.layers)).lossShare * 100) }} % firmness lost
        </td>
      </tr>
      <tr>
        <th scope="row">Thinnest of it</th>
        <td>
          {{
            thinnest.freshMm === null
              ? 'no thickness carries this'
              : `${thinnestWords(thinnest.freshMm)} new, ${thinnestWords(thinnest.agedMm)} aged; well clear from ${thinnestWords(thinnest.clearMm)}`
          }}
        </td>
      </tr>
      <tr>
        <th scope="row">Mass of a block</th>
        <td><FigureValue :figure="plan.mass" /></td>
      </tr>
    </tbody>
  </table>
  <AdviceList />
</template>

<style scoped>
.layers {
  display: flex;
  flex-direction: column;
  gap: 6px;
  align-items: start;
}

.layer {
  display: flex;
  align-items: center;
  gap: 10px;
  width: 100%;
}

.grade {
  width: 190px;
}

.option .quiet {
  font-size: 14px;
}

.rest {
  font-weight: 600;
}

.results th {
  width: 150px;
  text-align: left;
  font-weight: 400;
  vertical-align: top;
}

.bad {
  color: var(--rust);
  font-weight: 600;
}

.store-link {
  color: var(--chalk);
}
</style>
