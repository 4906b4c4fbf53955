<script setup lang="ts">
import { computed, ref } from 'vue'
import type { PlacementRule } from '../../../contract/index.ts'
import { setCloth } from '../../../core/job/index.ts'
import { chalkList } from '../../../core/lists/index.ts'
import { formatLength, formatLengthWithUnit, trimmed } from '../../../core/units/index.ts'
import { wasteWords } from '../../job/key-figures.ts'
import { useJob } from '../../stores/job.ts'
import { useLay } from '../../stores/lay.ts'
import { useShop } from '../../stores/shop.ts'
import ChoiceButtons from '../../ui/ChoiceButtons.vue'
import LengthField from '../../ui/LengthField.vue'
import NotYet from '../../ui/NotYet.vue'
import WarningList from '../../ui/WarningList.vue'
import { layFailureWords } from './failure-words.ts'
import LayDrawing from './LayDrawing.vue'
import RowPreview from './RowPreview.vue'

const jobs = useJob()
const lays = useLay()
const shop = useShop()
const job = computed(() => jobs.job!)
const choice = computed(() => job.value.cloth)
const plan = computed(() => (jobs.plan?.kind === 'worked' ? jobs.plan : null))
const lay = computed(() => lays.current)
const marked = ref<string | null>(null)
const unit = computed(() => job.value.units)
const chalk = computed(() => (lays.chosen && lay.value ? chalkList(lays.chosen, lay.value) : []))
/** The cloth of the job stands first: it alone has stripes to match and a direction to choose. */
const isMain = computed(() => lays.index === 0)
const CLOTHS = computed(() => lays.cloths.map((c, i) => ({ value: String(i), label: c.cloth.name })))
const bands = computed(() => (choice.value.cloth.pattern.kind === 'stripes' ? choice.value.cloth.pattern.bands : []))
const gapWords = computed(() => {
  if (!lay.value) return ''
  const gap = (lay.value.length / Math.max(1e-9, lay.value.bound) - 1) * 100
  return gap < 0.01 ? 'proven shortest' : `at most ${trimmed(gap, 1)} % above it`
})
const isProven = computed(() => lay.value !== null && lay.value.length <= lay.value.bound + 0.01)
const across = computed(() => choice.value.direction === 'up-the-roll')

const setChoice = (says: string, change: (c: typeof choice.value) => typeof choice.value, key: string | null = null) => jobs.edit({ says, apply: (j) => ({ ...j, cloth: change(j.cloth) }) }, key)
const setRule = (rule: PlacementRule, says: string, key: string | null = null) => setChoice(says, (c) => ({ ...c, match: { kind: 'matched', rule } }), key)
const rule = computed(() => (choice.value.match.kind === 'matched' ? choice.value.match.rule : null))
function chooseRule(kind: string): void {
  const band = rule.value?.band ?? 0
  if (kind === 'none') setChoice('Stripes not matched', (c) => ({ ...c, match: { kind: 'none' } }))
  else if (kind === 'band-at-mark') setRule({ kind, band, markMm: 0 }, 'Stripes by a mark')
  else setRule({ kind: kind as 'band-on-centre' | 'band-on-each-centre' | 'band-at-left-end', band }, 'Stripes placed')
}
const DIRECTIONS = [
  { value: 'up-the-roll', label: 'Up the roll' },
  { value: 'railroaded', label: 'Railroaded' },
] as const
const STRIPES = [
  { value: 'upright', label: 'stripe upright' },
  { value: 'along', label: 'stripe along it' },
] as const
const RULES = computed(() => [
  { value: 'none', label: 'not matched' },
  { value: 'band-on-centre', label: across.value ? 'on the middle of the row' : 'on the middle of the depth' },
  ...(across.value ? [{ value: 'band-on-each-centre', label: 'on the middle of each cushion' }] : []),
  { value: 'band-at-left-end', label: across.value ? 'at the left end' : 'at the front edge' },
  { value: 'band-at-mark', label: across.value ? 'at a mark, from the left end' : 'at a mark, from the front' },
])
</script>

<template>
  <section v-if="plan" class="lay-station">
    <div class="roll sheet">
      <LayDrawing v-if="lay" :lay="lay" :marked="marked" @mark="(p) => (marked = p)" />
      <div v-else class="empty">
        <p v-if="lays.failure" role="alert" class="fault">{{ layFailureWords(lays.failure, lays.chosen!, unit) }}</p>
        <p v-else>Planning the first lay …</p>
      </div>
    </div>
    <div class="sheet panel">
      <div class="head">
        <h2 v-if="lay">{{ formatLengthWithUnit(lay.length, unit) }}, {{ wasteWords(lays.chosen!.pieces, lay.length, lays.chosen!.cloth.widthMm) }} waste</h2>
        <h2 v-else>No lay yet</h2>
        <div class="buttons no-print" data-field="lay.plan">
          <button v-if="lays.running" type="button" class="plain-button main" @click="lays.stop()">Stop, {{ trimmed(lays.seconds, 1) }} s</button>
          <button v-else type="button" class="plain-button" :disabled="lays.failure !== null || isProven" @click="lays.search(10, 1 + Math.round(lay?.seconds ?? 0))">Search 10 s more</button>
          <button type="button" class="plain-button" :class="{ main: lay && !lays.isKept }" :disabled="!lay || lays.isKept" @click="lays.keep()">{{ lays.isKept ? 'Kept with the job' : 'Keep this lay' }}</button>
        </div>
      </div>
      <p v-if="lay" class="quiet bound">No lay can be shorter than {{ formatLengthWithUnit(lay.bound, unit) }}; this one is {{ gapWords }}.</p>
      <div v-if="lays.cloths.length > 1" class="field-row">
        <span class="label">Lay of</span>
        <div><ChoiceButtons :model-value="String(lays.index)" :choices="CLOTHS" name="Lay of" @update:model-value="(i) => (lays.wanted = Number(i))" /></div>
      </div>
      <template v-if="isMain">
      <div class="field-row">
        <span class="label">Cloth</span>
        <ElSelect :model-value="choice.cloth.name" aria-label="Cloth" @update:model-value="(name: string) => jobs.edit(setCloth(shop.lists!.cloths.find((c) => c.name === name)!))">
          <ElOption v-for="c in shop.lists?.cloths ?? []" :key="c.id" :value="c.name" :label="`${c.name}, ${formatLengthWithUnit(c.widthMm, unit)} wide${c.nap === 'one-way' ? ', one-way' : ''}`" />
        </ElSelect>
      </div>
      <div class="field-row">
        <span class="label">Width, selvedges</span>
        <div class="pair">
          <LengthField :model-value="choice.cloth.widthMm" :unit="unit" name="Cloth width" :max="5000" @update:model-value="(mm) => setChoice('Cloth width', (c) => ({ ...c, cloth: { ...c.cloth, widthMm: mm } }), 'cloth-width')" />
          <LengthField :model-value="choice.cloth.selvedgeMm[0]" :unit="unit" name="Left selvedge" :min="0" :max="200" @update:model-value="(mm) => setChoice('Selvedge', (c) => ({ ...c, cloth: { ...c.cloth, selvedgeMm: [mm, c.cloth.selvedgeMm[1]] } }), 'selvedge-left')" />
          <LengthField :model-value="choice.cloth.selvedgeMm[1]" :unit="unit" name="Right selvedge" :min="0" :max="200" @update:model-value="(mm) => setChoice('Selvedge', (c) => ({ ...c, cloth: { ...c.cloth, selvedgeMm: [c.cloth.selvedgeMm[0], mm] } }), 'selvedge-right')" />
        </div>
      </div>
      <div class="field-row">
        <span class="label">Direction</span>
        <div><ChoiceButtons :model-value="choice.direction" :choices="DIRECTIONS" name="Direction" @update:model-value="(d) => setChoice(d === 'railroaded' ? 'Railroaded' : 'Up the roll', (c) => ({ ...c, direction: d }))" /></div>
      </div>
      <template v-if="bands.length > 0">
        <div class="field-row">
          <span class="label">The band</span>
          <div class="pair">
            <ElSelect v-if="rule" :model-value="rule.band" class="band" aria-label="Ruling band" @update:model-value="(b: number) => setRule({ ...rule!, band: b }, 'Ruling band')">
              <ElOption v-for="(b, i) in bands" :key="i" :value="i" :label="`${i + 1} ${b.name} ${formatLength(b.widthMm, unit)}`"><span class="swatch" :style="{ background: b.colour }" />{{ i + 1 }} {{ b.name }} {{ formatLengthWithUnit(b.widthMm, unit) }}</ElOption>
            </ElSelect>
            <ElSelect :model-value="rule?.kind ?? 'none'" class="rule" aria-label="Where the band falls" @update:model-value="chooseRule">
              <ElOption v-for="r in RULES" :key="r.value" :value="r.value" :label="r.label" />
            </ElSelect>
            <LengthField v-if="rule?.kind === 'band-at-mark'" :model-value="rule.markMm" :unit="unit" name="Mark" :min="0" @update:model-value="(mm) => setRule({ ...rule!, kind: 'band-at-mark', markMm: mm }, 'Mark', 'mark')" />
          </div>
        </div>
        <div class="field-row">
          <span class="label">{{ across ? 'Side' : 'Front' }} boxing</span>
          <div><ChoiceButtons :model-value="choice.sideBoxing" :choices="STRIPES" name="Stripe on boxing it does not cross" @update:model-value="(s) => setChoice('Stripe on the boxing', (c) => ({ ...c, sideBoxing: s }))" /></div>
        </div>
      </template>
      </template>
      <p v-else class="quiet bound">{{ lays.chosen?.cloth.name }}: what is cut from it is chosen on the make-up station.</p>
      <WarningList :warnings="plan.warnings.filter((w) => w.station === 'lay')" />
    </div>
    <div class="sheet panel chalk" tabindex="0" role="region" aria-label="Row preview and chalk list">
      <template v-if="lay">
        <template v-if="isMain">
          <h2>The row as this lay cuts it</h2>
          <RowPreview :lay="lay" />
        </template>
        <h2>Chalk list</h2>
        <p class="quiet bound">Corners of each cut edge in order of marking: from the left selvedge edge, then from the starting end.</p>
        <table>
          <thead><tr><th>No.</th><th>Piece</th><th>Corners</th></tr></thead>
          <tbody>
            <tr v-for="line in chalk" :key="line.order" :class="{ marked: marked === line.piece }" @mouseenter="marked = line.piece" @mouseleave="marked = null">
              <td>{{ line.order }}</td>
              <td>{{ line.name }}</td>
              <td><span v-for="(c, i) in line.corners" :key="i" class="corner">{{ formatLength(c.fromSelvedge, unit) }} / {{ formatLength(c.fromStart, unit) }}<i v-if="c.bowMm !== 0"> bow {{ formatLength(c.bowMm, unit) }}</i></span></td>
            </tr>
          </tbody>
        </table>
      </template>
    </div>
  </section>
  <NotYet v-else />
</template>

<style scoped>
.lay-station {
  display: grid;
  grid-template: minmax(0, 55fr) minmax(0, 45fr) / minmax(0, 1fr) minmax(0, 1fr);
  gap: 12px;
  height: 100%;
}

.roll {
  grid-column: 1 / -1;
  min-height: 0;
}

.panel > * {
  flex-shrink: 0;
}

.panel {
  overflow-y: auto;
  padding: 10px 14px;
  display: flex;
  flex-direction: column;
  gap: 8px;
}

.head {
  display: flex;
  justify-content: space-between;
  align-items: center;
  gap: 10px;
}

.buttons {
  display: flex;
  gap: 8px;
}

.bound {
  margin: 0;
  font-size: 15px;
}

.pair {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}

.pair :deep(input) {
  width: 62px;
}

.band {
  width: 150px;
}

.rule {
  width: 220px;
}

.swatch {
  display: inline-block;
  width: 16px;
  height: 12px;
  margin-right: 8px;
  border: 1px solid var(--ink-soft);
}

.empty {
  display: grid;
  place-items: center;
  height: 100%;
}

.fault {
  color: var(--rust);
  max-width: 600px;
}

.chalk table {
  width: 100%;
  font-size: 14px;
}

.chalk th,
.chalk td {
  text-align: left;
  vertical-align: top;
  padding: 3px 10px 3px 0;
  border-top: 1px solid var(--paper-edge);
}

.chalk thead th {
  border: 0;
  color: var(--ink-soft);
  font-weight: 400;
}

.chalk tr.marked {
  background: var(--chalk-wash);
}

.corner {
  display: inline-block;
  white-space: nowrap;
  margin-right: 14px;
}
</style>
