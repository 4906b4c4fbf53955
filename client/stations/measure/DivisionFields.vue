<script setup lang="ts">
import { mainGrade } from '../../../core/filling/index.ts'
import { computed, ref } from 'vue'
import {
  cushionsIn,
  LEAST_GAP_MM,
  MOST_CUSHIONS,
  MOST_GAP_MM,
  MOST_SIZE_ROWS,
  type Division,
} from '../../../contract/index.ts'
import { setSeat } from '../../../core/job/index.ts'
import { areaOf, boxOf } from '../../../core/outline/index.ts'
import { adviseCount, isRow, shapeSeat, valueOf } from '../../../core/seat/index.ts'
import { withCount } from '../../../core/typing/index.ts'
import { formatLengthWithUnit } from '../../../core/units/index.ts'
import { useJob } from '../../stores/job.ts'
import ChoiceButtons from '../../ui/ChoiceButtons.vue'
import CountField from '../../ui/CountField.vue'
import LengthField from '../../ui/LengthField.vue'
import SizeRows from './SizeRows.vue'

/** How the seat is divided into cushions, and what speaks for which number. */
const jobs = useJob()
const job = computed(() => jobs.job!)
const division = computed(() => job.value.seat.division)
const madeAs = computed(() =>
  division.value.kind === 'run' || division.value.kind === 'corner' ? 'run' : division.value.kind,
)
const isRing = computed(() => job.value.seat.footprint.kind === 'ring')
const isCorner = computed(() => job.value.seat.footprint.kind === 'corner-bench')
const set = (next: Division, says: string, undo: string | null = null) =>
  jobs.edit(
    setSeat(says, (s) => ({ ...s, division: next })),
    undo,
  )

const KINDS = [
  { value: 'run', label: 'One bench, divided' },
  { value: 'singles', label: 'Single cushions' },
  { value: 'rows', label: 'Each its own size' },
] as const
const CUTS = [
  { value: 'radial', label: 'towards the centre' },
  { value: 'straight', label: 'straight' },
] as const
const CORNERS = [
  { value: 'a-through', label: 'A through' },
  { value: 'b-through', label: 'B through' },
  { value: 'square', label: 'own cushion' },
  { value: 'mitre', label: 'mitre' },
] as const
function setKind(kind: 'run' | 'singles' | 'rows'): void {
  const before = division.value
  if (before.kind === kind || before.kind === 'corner') return
  const count = cushionsIn(before)
  const start: Record<typeof kind, Division> = {
    run: { kind: 'run', count, gapMm: 0, cuts: isRing.value ? 'radial' : 'straight' },
    singles: { kind: 'singles', count, mirrored: 0 },
    rows: {
      kind: 'rows',
      rows: Array.from({ length: Math.min(count, MOST_SIZE_ROWS) }, () => ({ count: 1, readings: {} })),
    },
  }
  set(start[kind], KINDS.find((k) => k.value === kind)!.label)
}
type Of<K extends Division['kind']> = Extract<Division, { kind: K }>

const isAsking = ref(false)
const advice = computed(() => {
  const shaped = shapeSeat(job.value.seat)
  const { filling } = job.value
  if (!shaped.ok || division.value.kind !== 'run' || filling.kind !== 'foam') return []
  const { outline } = shaped.value.free
  const box = boxOf(outline)
  const area = areaOf(outline)
  const depth = isRing.value
    ? valueOf((job.value.seat.footprint as Extract<typeof job.value.seat.footprint, { kind: 'ring' }>).depth)
    : box.maxY - box.minY
  return adviseCount(
    {
      lengthMm: isRing.value ? area / depth : box.maxX - box.minX,
      depthMm: depth,
      thicknessMm: valueOf(job.value.seat.thickness),
      areaMm2: area,
      gapMm: division.value.gapMm,
    },
    mainGrade(filling.layers),
    job.value.cloth.cloth,
    job.value.units,
  )
})
</script>

<template>
  <div v-if="!isCorner" class="field-row">
    <span class="label">Made as</span>
    <div>
      <ChoiceButtons :model-value="madeAs" :choices="KINDS" name="Kind of seat" @update:model-value="setKind" />
    </div>
  </div>
  <template v-if="division.kind === 'corner'">
    <div class="field-row">
      <span class="label">Corner</span>
      <div>
        <ChoiceButtons
          :model-value="division.corner"
          :choices="CORNERS"
          name="Who keeps the corner"
          @update:model-value="(corner) => set({ ...(division as Of<'corner'>), corner }, `Corner: ${corner}`)"
        />
      </div>
    </div>
    <div class="field-row">
      <span class="label">On leg A</span
      ><CountField
        :model-value="division.countA"
        name="Cushions on leg A"
        :min="1"
        :max="MOST_CUSHIONS"
        @update:model-value="
          (countA) => set({ ...(division as Of<'corner'>), countA }, `${countA} cushions on leg A`, 'count-a')
        "
      />
    </div>
    <div class="field-row">
      <span class="label">On leg B</span
      ><CountField
        :model-value="division.countB"
        name="Cushions on leg B"
        :min="1"
        :max="MOST_CUSHIONS"
        @update:model-value="
          (countB) => set({ ...(division as Of<'corner'>), countB }, `${countB} cushions on leg B`, 'count-b')
        "
      />
    </div>
  </template>
  <SizeRows v-else-if="division.kind === 'rows'" />
  <div v-else class="field-row">
    <span class="label">Cushions</span>
    <div class="count">
      <CountField
        :model-value="division.count"
        name="Number of cushions"
        :min="1"
        :max="MOST_CUSHIONS"
        @update:model-value="
          (n) =>
            jobs.edit(
              setSeat(`${n} cushions`, (s) => withCount(s, n)),
              'count',
            )
        "
      />
      <button
        v-if="division.kind === 'run'"
        type="button"
        class="plain-button"
        :aria-expanded="isAsking"
        @click="isAsking = !isAsking"
      >
        How many?
      </button>
    </div>
  </div>
  <div v-if="division.kind === 'singles'" class="field-row">
    <span class="label">And mirrored</span
    ><CountField
      :model-value="division.mirrored"
      name="Number of mirrored cushions"
      :min="0"
      :max="MOST_CUSHIONS"
      @update:model-value="
        (mirrored) => set({ ...(division as Of<'singles'>), mirrored }, `${mirrored} mirrored`, 'mirrored')
      "
    />
  </div>
  <table v-if="isAsking && advice.length > 0" class="advice">
    <thead>
      <tr>
        <th>In</th>
        <th>Each</th>
        <th>What speaks for and against</th>
      </tr>
    </thead>
    <tbody>
      <tr
        v-for="a in advice"
        :key="a.count"
        :class="{ best: a.isBest, now: division.kind === 'run' && a.count === division.count }"
      >
        <td>
          <button
            type="button"
            class="plain-button"
            :aria-label="`Divide into ${a.count}`"
            @click="jobs.edit(setSeat(`${a.count} cushions`, (s) => withCount(s, a.count)))"
          >
            {{ a.count }}
          </button>
        </td>
        <td>
          {{ formatLengthWithUnit(a.widthMm, job.units) }}<b v-if="a.isBest"><br />advised</b>
        </td>
        <td>
          <span v-for="r in a.reasons" :key="r.about" :class="r.speaks"
            >{{ r.speaks === 'against' ? 'but ' : '' }}{{ r.says }};
          </span>
        </td>
      </tr>
    </tbody>
  </table>
  <div v-if="division.kind === 'run' && isRing" class="field-row">
    <span class="label">Divided</span>
    <div>
      <ChoiceButtons
        :model-value="division.cuts"
        :choices="CUTS"
        name="How the ring is divided"
        @update:model-value="(cuts) => set({ ...(division as Of<'run'>), cuts }, `Divided ${cuts}`)"
      />
    </div>
  </div>
  <div v-if="isRow(division)" class="field-row" data-field="measure.gap">
    <span class="label">Gap between</span>
    <div>
      <LengthField
        :model-value="division.gapMm"
        :unit="job.units"
        name="Gap"
        :min="LEAST_GAP_MM"
        :max="MOST_GAP_MM"
        @update:model-value="(gapMm) => set({ ...(division as Of<'run'>), gapMm }, 'Gap', 'gap')"
      />
      <span class="quiet"
        >{{ division.gapMm < 0 ? 'squeezed together' : division.gapMm === 0 ? 'touching' : 'open' }}; a minus
        squeezes</span
      >
    </div>
  </div>
</template>

<style scoped>
.count {
  display: flex;
  align-items: flex-start;
  gap: 8px;
}

.advice th,
.advice td {
  text-align: left;
  vertical-align: top;
  font-size: 15px;
  padding: 3px 8px 3px 0;
}

.advice tr {
  border-top: 1px solid var(--paper-edge);
}

.advice tr.best td {
  background: var(--moss-wash);
}

.advice .against {
  color: var(--rust);
}
</style>
