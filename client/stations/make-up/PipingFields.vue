<script setup lang="ts">
import { computed } from 'vue'
import { phrase } from '../../../core/language/index.ts'
import { limitsOfKind, Piping, type Side } from '../../../contract/index.ts'
import { stripRuns } from '../../../core/cloth/index.ts'
import { biasWays, clothFor, usableWidth } from '../../../core/cover/index.ts'
import { setMakeUp, USUAL_PIPING } from '../../../core/job/index.ts'
import { SIDES } from '../../../core/seat/index.ts'
import { trimmed } from '../../../core/units/index.ts'
import { useDesign } from '../../stores/design.ts'
import { useJob } from '../../stores/job.ts'
import ChoiceButtons from '../../ui/ChoiceButtons.vue'
import FigureValue from '../../ui/FigureValue.vue'
import LengthField from '../../ui/LengthField.vue'
import PipedParts from './PipedParts.vue'

const takes = {
  show: limitsOfKind(Piping, 'flat', 'showMm'),
  cord: limitsOfKind(Piping, 'corded', 'cordMm'),
  cloth: limitsOfKind(Piping, 'corded', 'clothMm'),
  strip: limitsOfKind(Piping, 'corded', 'stripMm'),
}

/** Which edges are piped, with what, how its strips are cut, and what they take of the cloth. */
const jobs = useJob()
const design = useDesign()
const plan = computed(() => (jobs.part?.kind === 'worked' ? jobs.part : null))
const piping = computed(() => jobs.job!.makeUp.piping)
const unit = computed(() => jobs.job!.units)
const planned = computed(() => design.chosen?.cover.piping ?? null)
const strips = computed(() => design.strips)
const set = (says: string, next: Piping, key: string | null = null) =>
  jobs.edit(
    setMakeUp(says, (m) => ({ ...m, piping: next })),
    key,
  )
const KINDS = [
  { value: 'none', label: 'None' },
  { value: 'corded', label: 'Corded' },
  { value: 'flat', label: 'Flat' },
  { value: 'ready-made', label: 'Ready-made' },
] as const
const ROWS = [
  { value: 'top', label: 'Top' },
  { value: 'bottom', label: 'Bottom' },
  { value: 'both', label: 'Both' },
] as const
const CUTS = [
  { value: 'across', label: 'Across' },
  { value: 'along', label: 'Along the roll' },
  { value: 'bias', label: 'Bias' },
] as const
function setKind(kind: Piping['kind']): void {
  const before = piping.value.kind === 'none' ? USUAL_PIPING : piping.value
  const { rows, sides, bottomSides, parts, ends } = before
  const edges = { rows, sides, bottomSides, parts, ends }
  const cut = before.kind === 'ready-made' ? ('across' as const) : before.cut
  const cordMm = before.kind === 'flat' ? USUAL_PIPING.cordMm : before.cordMm
  if (kind === 'none') set('No piping', { kind })
  else if (kind === 'corded') set('Corded piping', { ...USUAL_PIPING, ...edges, cut, cordMm })
  else if (kind === 'flat') set('Flat piping', { kind, ...edges, cut, showMm: 6 })
  else set('Ready-made piping', { kind, ...edges, cordMm })
}
function toggle(side: Side): void {
  const now = piping.value
  if (now.kind === 'none') return
  const sides = SIDES.filter((s) => (s === side) !== now.sides.includes(s))
  if (sides.length > 0) set(phrase`Piped: ${sides.join(', ')}`, { ...now, sides })
}
/** The bottom row is piped as the top one until it is given edges of its own. */
function toggleBelow(side: Side): void {
  const now = piping.value
  if (now.kind === 'none') return
  const before = now.bottomSides ?? now.sides
  const bottomSides = SIDES.filter((s) => (s === side) !== before.includes(s))
  if (bottomSides.length > 0) set(phrase`Piped below: ${bottomSides.join(', ')}`, { ...now, bottomSides })
}
const ENDS = [
  { value: 'crossed', label: 'Crossed' },
  { value: 'butted', label: 'Butted' },
] as const
const ways = computed(() => {
  const p = planned.value
  if (!p?.stripWidth || p.choice.kind === 'ready-made' || p.choice.cut !== 'bias' || !plan.value) return null
  const cloth = clothFor(jobs.job!.cloth, 'piping')
  const all = plan.value.designs.reduce((sum, d) => sum + d.design.count * (d.cover.piping?.perCushion.value ?? 0), 0)
  return biasWays(all, p.stripWidth.value, usableWidth(cloth), plan.value.allowances.seamMm.value)
})
const METHODS = { 'cross-strips': 'Strips across', tube: 'Continuous tube' } as const
</script>

<template>
  <div class="field-row">
    <span class="label">Piping</span>
    <div><ChoiceButtons :model-value="piping.kind" :choices="KINDS" name="Piping" @update:model-value="setKind" /></div>
  </div>
  <template v-if="piping.kind !== 'none'">
    <div class="field-row">
      <span class="label">Rows</span>
      <div>
        <ChoiceButtons
          :model-value="piping.rows"
          :choices="ROWS"
          name="Rows"
          @update:model-value="(rows) => set(`Piping: ${rows}`, { ...piping, rows } as Piping)"
        />
      </div>
    </div>
    <div class="field-row">
      <span class="label">Edges</span>
      <div class="sides">
        <label v-for="s in SIDES" :key="s"
          ><input type="checkbox" :checked="piping.sides.includes(s)" @change="toggle(s)" /> {{ s }}</label
        >
      </div>
    </div>
    <div v-if="piping.rows === 'both'" class="field-row">
      <span class="label">Edges below</span>
      <div class="sides">
        <label v-for="s in SIDES" :key="s"
          ><input
            type="checkbox"
            :checked="(piping.bottomSides ?? piping.sides).includes(s)"
            :aria-label="`${s}, below`"
            @change="toggleBelow(s)"
          />
          {{ s }}</label
        >
      </div>
    </div>
    <PipedParts
      :piping="piping"
      :unit="unit"
      @set="(parts, key) => set('Piped in part', { ...piping, parts } as Piping, key)"
    />
    <div class="field-row">
      <span class="label">Ends</span>
      <ChoiceButtons
        :model-value="piping.ends ?? 'crossed'"
        :choices="ENDS"
        name="Ends of the piping"
        @update:model-value="(ends) => set(`Piping ends ${ends}`, { ...piping, ends } as Piping)"
      />
    </div>
    <div v-if="piping.kind === 'flat'" class="field-row" data-field="make-up.cord">
      <span class="label">Shows</span>
      <LengthField
        :model-value="piping.showMm"
        :unit="unit"
        v-bind="takes.show"
        name="Flat piping shows"
        @update:model-value="set('Flat piping', { ...piping, showMm: $event }, 'cord')"
      />
    </div>
    <div v-else class="field-row" data-field="make-up.cord">
      <span class="label">Cord</span>
      <LengthField
        :model-value="piping.cordMm"
        :unit="unit"
        v-bind="takes.cord"
        name="Cord diameter"
        @update:model-value="set('Cord', { ...piping, cordMm: $event }, 'cord')"
      />
    </div>
    <div v-if="piping.kind === 'corded'" class="field-row">
      <span class="label">Cloth is thick</span>
      <LengthField
        :model-value="piping.clothMm"
        :unit="unit"
        v-bind="takes.cloth"
        name="Cloth thickness round the cord"
        @update:model-value="set('Cloth thickness', { ...piping, clothMm: $event }, 'cord-cloth')"
      />
    </div>
    <div v-if="piping.kind !== 'ready-made'" class="field-row">
      <span class="label">Strips cut</span>
      <div>
        <ChoiceButtons
          :model-value="piping.cut"
          :choices="CUTS"
          name="Strips cut"
          @update:model-value="(cut) => set(`Piping cut ${cut}`, { ...piping, cut } as Piping)"
        />
      </div>
    </div>
    <div v-if="piping.kind === 'corded'" class="field-row">
      <span class="label">Strip width</span>
      <div class="sides">
        <LengthField
          :model-value="planned?.stripWidth?.value ?? 1"
          :unit="unit"
          v-bind="takes.strip"
          name="Strip width"
          @update:model-value="set('Strip width', { ...piping, stripMm: $event }, 'strip')"
        />
        <button
          v-if="piping.stripMm !== null"
          type="button"
          class="plain-button"
          @click="set('Strip width as worked out', { ...piping, stripMm: null })"
        >
          As worked out
        </button>
      </div>
    </div>
    <p v-if="!planned" class="quiet">This make-up has no edge that can be piped.</p>
    <table v-else class="results">
      <tbody>
        <tr v-if="planned.stripWidth">
          <th scope="row">Strip width</th>
          <td><FigureValue :figure="planned.stripWidth" /></td>
        </tr>
        <tr v-for="(g, i) in planned.groups" :key="i">
          <th scope="row">
            {{ g.count }}
            {{ g.isClosed ? (g.count === 1 ? 'loop' : 'loops') : g.count === 1 ? 'open run' : 'open runs' }} of
          </th>
          <td><FigureValue :figure="g.length" /></td>
        </tr>
        <tr v-for="s in strips" :key="s.id">
          <th scope="row">Strips to {{ stripRuns(s) }}</th>
          <td v-if="s.cut.length === 1">
            <FigureValue :figure="s.split.strips" /> of <FigureValue :figure="s.split.lengths[0]!" />
          </td>
          <td v-else>
            <template v-for="(length, i) in s.split.lengths" :key="i"
              >{{ i > 0 ? ', ' : '' }}<FigureValue :figure="length"
            /></template>
          </td>
        </tr>
        <tr v-if="planned.cord">
          <th scope="row">{{ planned.cord.label }}</th>
          <td><FigureValue :figure="planned.cord" /></td>
        </tr>
      </tbody>
    </table>
    <template v-if="ways">
      <h2>Bias strips for the whole job</h2>
      <table class="results">
        <thead>
          <tr>
            <th />
            <th>Strips</th>
            <th>Joins</th>
            <th>Of the roll</th>
            <th>Waste</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="w in ways.ways" :key="w.method" :class="{ best: w === ways.best }">
            <th scope="row">{{ METHODS[w.method] }}</th>
            <td><FigureValue :figure="w.strips" bare /></td>
            <td><FigureValue :figure="w.joins" bare /></td>
            <td><FigureValue :figure="w.roll" bare /></td>
            <td>{{ trimmed(w.wasteShare * 100, 0) }} %</td>
          </tr>
        </tbody>
      </table>
      <p class="quiet">
        A strip from selvedge to selvedge is <FigureValue :figure="ways.diagonal" bare /> long; one is taken every
        <FigureValue :figure="ways.every" bare /> of the roll. The cut on its own piece of cloth; the lay fits strips in
        between the panels.
      </p>
    </template>
  </template>
</template>

<style scoped>
.sides {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 14px;
}

.sides label {
  display: inline-flex;
  align-items: center;
  gap: 6px;
  min-height: var(--small-target);
}

.results th {
  text-align: left;
  font-weight: 400;
  padding-right: 16px;
}

.results td {
  padding-right: 12px;
}

.best td,
.best th {
  font-weight: 600;
}
</style>
