<script setup lang="ts">
import { computed } from 'vue'
import { DEEPEST_NOTCH_MM, LARGEST_ALLOWANCE_MM, type Piping } from '../../../contract/index.ts'
import { ALLOWANCE_LABELS, boxingAsCut, type AllowanceName } from '../../../core/cover/index.ts'
import { setAllowance } from '../../../core/job/index.ts'
import { formatLengthWithUnit } from '../../../core/units/index.ts'
import { useDesign } from '../../stores/design.ts'
import { useJob } from '../../stores/job.ts'
import ChoiceButtons from '../../ui/ChoiceButtons.vue'
import DesignChoice from '../../ui/DesignChoice.vue'
import FigureValue from '../../ui/FigureValue.vue'
import LengthField from '../../ui/LengthField.vue'
import NotYet from '../../ui/NotYet.vue'
import WarningList from '../../ui/WarningList.vue'
import MakeUpDrawing from './MakeUpDrawing.vue'

const jobs = useJob()
const design = useDesign()
const job = computed(() => jobs.job!)
const plan = computed(() => (jobs.plan?.kind === 'worked' ? jobs.plan : null))
const strips = computed(() => plan.value?.cloth.strips[design.index] ?? null)
const piping = computed(() => job.value.makeUp.piping)
const names = Object.keys(ALLOWANCE_LABELS) as AllowanceName[]
const isMatched = computed(() => job.value.cloth.match.kind === 'matched')

type PipingChoice = Exclude<Piping, { rows: 'none' }>
const BOXINGS = [
  { value: 'wrap', label: 'One wrap' },
  { value: 'one-per-side', label: 'One per side' },
] as const
const ROWS = [
  { value: 'none', label: 'None' },
  { value: 'top', label: 'Top' },
  { value: 'both', label: 'Both' },
] as const
const CUTS = [
  { value: 'across', label: 'Across' },
  { value: 'along', label: 'Along the roll' },
  { value: 'bias', label: 'Bias' },
] as const
const setPiping = (next: Piping, says: string, key: string | null = null) => jobs.edit({ says, apply: (j) => ({ ...j, makeUp: { ...j.makeUp, piping: next } }) }, key)
const setRows = (rows: Piping['rows']) => {
  const before = piping.value
  if (rows === 'none') setPiping({ rows }, 'No piping')
  else setPiping(before.rows === 'none' ? { rows, cordMm: 5, cut: 'across' } : { ...before, rows }, `Piping: ${rows}`)
}
const setBoxing = (boxing: 'wrap' | 'one-per-side') => jobs.edit({ says: boxing === 'wrap' ? 'Boxing in one wrap' : 'Boxing one piece per side', apply: (j) => ({ ...j, makeUp: { ...j.makeUp, boxing } }) })
const setBy = (name: AllowanceName) => (job.value.allowances.overrides[name] === undefined ? "shop's book" : `this job (book ${formatLengthWithUnit(job.value.allowances.book[name], job.value.units)})`)
</script>

<template>
  <section class="station">
    <template v-if="plan && design.chosen">
      <div class="drawing sheet"><MakeUpDrawing /></div>
      <div class="figures sheet">
        <DesignChoice />
        <h2>Boxed</h2>
        <p class="quiet intro">Two plates, boxing round front and sides, and a zip gusset across the back that runs round both back corners. A side that leans is a piece of its own.</p>
        <div class="field-row">
          <span class="label">Boxing</span>
          <div>
            <ChoiceButtons :model-value="boxingAsCut(job)" :choices="BOXINGS" :disabled="isMatched" name="Boxing" @update:model-value="setBoxing" />
            <div v-if="isMatched" class="quiet">stripes match, so it is cut one per side</div>
          </div>
        </div>
        <div class="field-row">
          <span class="label">Piping</span>
          <div><ChoiceButtons :model-value="piping.rows" :choices="ROWS" name="Piping" @update:model-value="setRows" /></div>
        </div>
        <template v-if="piping.rows !== 'none' && design.chosen.cover.piping">
          <div class="field-row" data-field="make-up.cord">
            <span class="label">Cord</span>
            <LengthField :model-value="piping.cordMm" :unit="job.units" name="Cord diameter" :min="1" :max="40" @update:model-value="setPiping({ ...piping, cordMm: $event }, 'Cord', 'cord')" />
          </div>
          <div class="field-row">
            <span class="label">Strips cut</span>
            <div><ChoiceButtons :model-value="piping.cut" :choices="CUTS" name="Strips cut" @update:model-value="(cut) => setPiping({ ...piping as PipingChoice, cut }, `Piping cut ${cut}`)" /></div>
          </div>
        </template>
        <h2>Allowances</h2>
        <div v-for="name in names" :key="name" class="field-row allowance" :data-field="`make-up.${name}`">
          <span class="label">{{ ALLOWANCE_LABELS[name] }}</span>
          <div class="one">
            <LengthField :model-value="plan.allowances[name].value" :unit="job.units" :name="ALLOWANCE_LABELS[name]" :min="0" :max="name === 'notchMm' ? DEEPEST_NOTCH_MM : LARGEST_ALLOWANCE_MM" @update:model-value="jobs.edit(setAllowance(name, $event, ALLOWANCE_LABELS[name]), `allowance-${name}`)" />
            <span class="quiet">{{ setBy(name) }}</span>
            <button v-if="job.allowances.overrides[name] !== undefined" type="button" class="plain-button" @click="jobs.edit(setAllowance(name, null, `${ALLOWANCE_LABELS[name]} by the book`))">By the book</button>
          </div>
        </div>
        <table class="results">
          <tbody>
            <tr><th scope="row">Perimeter</th><td><FigureValue :figure="design.chosen.cover.perimeter" /></td></tr>
            <tr><th scope="row">Zip and gusset run</th><td><FigureValue :figure="design.chosen.cover.closure.lengthMm" /></td></tr>
            <template v-if="design.chosen.cover.piping">
              <tr><th scope="row">Piping strip width</th><td><FigureValue :figure="design.chosen.cover.piping.stripWidth" /></td></tr>
              <tr><th scope="row">Piping, one loop</th><td><FigureValue :figure="design.chosen.cover.piping.loopLength" /></td></tr>
              <tr v-if="strips"><th scope="row">Strips to a loop</th><td><FigureValue :figure="strips.strips" /> of <FigureValue :figure="strips.each" /></td></tr>
            </template>
          </tbody>
        </table>
        <WarningList :warnings="plan.warnings.filter((w) => w.station === 'make-up')" />
      </div>
    </template>
    <NotYet v-else />
  </section>
</template>

<style scoped>
.intro {
  margin: -8px 0 0;
}

.allowance {
  grid-template-columns: 176px 1fr;
}

.one {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 10px;
}

.results th {
  text-align: left;
  font-weight: 400;
  padding-right: 16px;
}
</style>
