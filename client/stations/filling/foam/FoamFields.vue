<script setup lang="ts">
import { computed } from 'vue'
import { phrase } from '../../../../core/language/index.ts'
import { type Grade, Layer, limits } from '../../../../contract/index.ts'
import {
  ageingOf,
  firmnessOf,
  hardnessOf,
  isLifeKnown,
  mainGrade,
  newLayer,
  personWords,
  stackForceWords,
  THINNEST_MM,
  thinnestWorkable,
} from '../../../../core/filling/index.ts'
import { formatLengthWithUnit } from '../../../../core/units/index.ts'
import { useShop } from '../../../stores/shop.ts'
import FigureValue from '../../../ui/FigureValue.vue'
import LengthField from '../../../ui/LengthField.vue'
import { useFoam } from '../use-foam.ts'
import AdviceList from './AdviceList.vue'
import TrialFields from './TrialFields.vue'

/** The layers of the block, what they come to, and what else would do. */
const { jobs, foam, plan, change } = useFoam()
const shop = useShop()
const grades = computed(() => shop.lists?.grades ?? [])
const support = computed(() => plan.value.verdict?.support ?? null)
const mm = (length: number) => formatLengthWithUnit(length, jobs.job!.units)
/** From the top down, as a block is seen. */
const shown = computed(() =>
  foam.value.layers.map((layer, i) => ({ layer, i, settledMm: plan.value.layers[i]!.thicknessMm })).toReversed(),
)
const choices = (layer: Layer): readonly Grade[] =>
  grades.value.some((g) => g.id === layer.grade.id) ? grades.value : [layer.grade, ...grades.value]
const main = computed(() => mainGrade(foam.value.layers))
const thinnest = computed(() => (plan.value.verdict ? thinnestWorkable(main.value, plan.value.loadCase) : null))
const hardness = (g: Grade) => hardnessOf(g) ?? 0
const feel = (g: Grade) => {
  const hardnessN = hardnessOf(g)
  return hardnessN === null ? 'not known' : firmnessOf(hardnessN)
}
const thinnestWords = (length: number | null) =>
  length === null ? 'none' : length <= THINNEST_MM ? phrase`${mm(length)} or less` : mm(length)

/** Sheets with an egg-crate or waved face come in any family. */
const hasProfile = (layer: Layer) => layer.grade.family !== 'wadding'
const NEXT_FACE = { none: 'up', up: 'down', down: null } as const
const setLayer = (i: number, with_: Partial<Layer>, says: string) =>
  change(says, (f) => ({ ...f, layers: f.layers.map((l, j) => (j === i ? { ...l, ...with_ } : l)) }))
function pickGrade(i: number, id: string): void {
  const grade = grades.value.find((g) => g.id === id)
  if (grade) setLayer(i, { grade }, phrase`Foam ${grade.name}`)
}
function addLayer(): void {
  const own = mainGrade(foam.value.layers)
  const softer =
    grades.value.filter((g) => hardness(g) < hardness(own)).toSorted((a, b) => hardness(b) - hardness(a))[0] ?? own
  change('A layer on top', (f) => ({
    ...f,
    layers: [...f.layers, newLayer(softer, hasFree(f.layers) ? Math.min(...softer.thicknessesMm, 25) : null)],
  }))
}
/** A block all of old bodies has no layer yet that takes what the others leave. */
const hasFree = (layers: readonly Layer[]) => layers.some((l) => l.thicknessMm === null && l.body === null)
function removeLayer(i: number): void {
  change('A layer less', (f) => {
    const layers = f.layers.filter((_, j) => j !== i)
    return {
      ...f,
      layers:
        hasFree(layers) || layers.every((l) => l.body !== null)
          ? layers
          : layers.map((l, j) => (j === layers.findIndex((x) => x.body === null) ? { ...l, thicknessMm: null } : l)),
    }
  })
}
</script>

<template>
  <h2>Layers</h2>
  <div class="layers" data-field="filling.layers">
    <div v-for="{ layer, i, settledMm } in shown" :key="i" class="layer">
      <span v-if="layer.body !== null" class="grade">{{ layer.grade.name }}</span>
      <ElSelect
        v-else
        :model-value="layer.grade.id"
        :aria-label="`Grade of layer ${i + 1}`"
        filterable
        class="grade"
        @update:model-value="(id: string) => pickGrade(i, id)"
      >
        <ElOption v-for="g in choices(layer)" :key="g.id" :value="g.id" :label="g.name"
          ><span class="option"
            >{{ g.name }} <span class="quiet">{{ g.family }}, {{ feel(g) }}</span></span
          ></ElOption
        >
      </ElSelect>
      <span v-if="layer.body !== null" class="rest">stays, {{ mm(settledMm) }}</span>
      <LengthField
        v-else-if="layer.thicknessMm !== null"
        :model-value="layer.thicknessMm"
        :unit="jobs.job!.units"
        v-bind="limits(Layer.shape.thicknessMm)"
        :name="`Thickness of layer ${i + 1}`"
        @update:model-value="setLayer(i, { thicknessMm: $event }, 'Layer thickness')"
      />
      <span v-else class="rest">{{ foam.layers.length > 1 ? `the rest, ${mm(settledMm)}` : mm(settledMm) }}</span>
      <button
        v-if="layer.body === null && hasProfile(layer)"
        type="button"
        class="plain-button"
        :aria-label="`Profiled face of layer ${i + 1}`"
        @click="setLayer(i, { profile: NEXT_FACE[layer.profile ?? 'none'] }, 'Profiled face')"
      >
        {{ layer.profile ? `profile ${layer.profile}` : 'flat faces' }}
      </button>
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
    <button
      v-if="foam.layers.length < 4 && jobs.job!.work.kind !== 'cover-only'"
      type="button"
      class="plain-button"
      @click="addLayer"
    >
      Add a layer on top
    </button>
    <RouterLink to="/foam" class="store-link no-print">Foam store: catalogue and stock</RouterLink>
  </div>
  <table class="results">
    <tbody>
      <tr>
        <th scope="row">Firmness</th>
        <td v-if="plan.hardnessN === null">not known</td>
        <td v-else>{{ plan.firmness }}, as {{ stackForceWords(plan.layers, jobs.job!.units) }}</td>
      </tr>
      <tr v-if="support">
        <th scope="row">Left under the heaviest</th>
        <td :class="{ bad: support.fresh.standing === 'on-board' }">
          {{ mm(support.fresh.worst.leftMm) }} new, {{ mm(support.aged.worst.leftMm) }} aged; holds up to
          {{ personWords(Math.floor(support.holdsKg), jobs.job!.units) }}
        </td>
      </tr>
      <tr>
        <th scope="row">Life</th>
        <td v-if="isLifeKnown(main)">
          {{ ageingOf(main).says }}, {{ Math.round(ageingOf(main).lossShare * 100) }} % firmness lost
        </td>
        <td v-else>not known: weigh a piece</td>
      </tr>
      <tr v-if="thinnest">
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
        <td v-if="plan.mass"><FigureValue :figure="plan.mass" /></td>
        <td v-else>not known</td>
      </tr>
    </tbody>
  </table>
  <TrialFields />
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
