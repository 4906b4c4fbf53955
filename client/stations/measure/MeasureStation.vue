<script setup lang="ts">
import { computed } from 'vue'
import { LARGEST_ALLOWANCE_MM, MOST_CUSHIONS, type EdgeRole, type Seat, type Side } from '../../../contract/index.ts'
import { setSeat } from '../../../core/job/index.ts'
import { facing } from '../../../core/seat/index.ts'
import { useJob } from '../../stores/job.ts'
import FigureValue from '../../ui/FigureValue.vue'
import ChoiceButtons from '../../ui/ChoiceButtons.vue'
import LengthField from '../../ui/LengthField.vue'
import { UNIT_CHOICES } from '../../ui/unit-choices.ts'
import WarningList from '../../ui/WarningList.vue'
import CountField from '../../ui/CountField.vue'
import ReadingsField from './ReadingsField.vue'
import SeatDrawing from './SeatDrawing.vue'

const jobs = useJob()
const job = computed(() => jobs.job!)
const seat = computed(() => job.value.seat)
const plan = computed(() => jobs.plan!)
const sides = computed(() => facing(seat.value.front))
const warnings = computed(() => plan.value.warnings.filter((w) => w.station === 'measure'))
const dimensions = computed(() => [
  { name: sides.value.across, label: seat.value.kind === 'bench' ? 'Bench length' : 'Width at the front' },
  { name: sides.value.across === 'width' ? ('depth' as const) : ('width' as const), label: 'Depth' },
  { name: 'thickness' as const, label: 'Thickness' },
])

const change = (says: string, apply: (s: Seat) => Seat, key: string | null = null) => jobs.edit(setSeat(says, apply), key)
const setKind = (kind: Seat['kind']) =>
  change(kind === 'bench' ? 'One bench, divided' : 'Single cushions', (s) => {
    if (s.kind === kind) return s
    if (kind === 'bench') return { ...s, kind, gapMm: 0 }
    const { gapMm: _, ...rest } = s as Extract<Seat, { kind: 'bench' }>
    return { ...rest, kind: 'singles' }
  })
const ROLES: readonly { readonly value: EdgeRole; readonly label: string }[] = [
  { value: 'open', label: 'open' },
  { value: 'wall', label: 'wall' },
  { value: 'hinge', label: 'hinge' },
]
const KINDS: readonly { readonly value: Seat['kind']; readonly label: string }[] = [
  { value: 'bench', label: 'One bench, divided' },
  { value: 'singles', label: 'Single cushions' },
]
const SIDES: readonly Side[] = ['near', 'right', 'far', 'left']
const nameOf = (side: Side) => (Object.entries(sides.value).find(([name, s]) => s === side && name !== 'across')?.[0] ?? side)
</script>

<template>
  <section class="station">
    <div class="drawing sheet">
      <SeatDrawing @front="(side) => change(`Front on the ${side} side`, (s) => ({ ...s, front: side }))" />
    </div>
    <div class="figures sheet">
      <h2>Each cushion finishes</h2>
      <p class="finishes">
        <FigureValue :figure="plan.cushions.size.width" bare unitless /> x <FigureValue :figure="plan.cushions.size.depth" bare unitless /> x <FigureValue :figure="plan.cushions.size.thickness" />
      </p>
      <h2>The seat, by the tape</h2>
      <div><ChoiceButtons :model-value="seat.kind" :choices="KINDS" name="Kind of seat" @update:model-value="setKind" /></div>
      <ReadingsField v-for="d in dimensions" :key="d.name" :name="d.name" :label="d.label" />
      <div class="field-row">
        <span class="label">Cushions</span>
        <CountField :model-value="seat.count" name="Number of cushions" :min="1" :max="MOST_CUSHIONS" @update:model-value="(n) => change(`${n} cushions`, (s) => ({ ...s, count: n }), 'count')" />
      </div>
      <div v-if="seat.kind === 'bench'" class="field-row" data-field="measure.gap">
        <span class="label">Gap between</span>
        <div>
          <LengthField :model-value="seat.gapMm" :unit="job.units" name="Gap" :min="-100" :max="1000" @update:model-value="(mm) => change('Gap', (s) => (s.kind === 'bench' ? { ...s, gapMm: mm } : s), 'gap')" />
          <span class="quiet">{{ seat.gapMm < 0 ? 'squeezed together' : seat.gapMm === 0 ? 'touching' : 'open' }}; a minus squeezes</span>
        </div>
      </div>
      <div class="field-row">
        <span class="label">Sides meet</span>
        <div class="roles">
          <label v-for="side in SIDES" :key="side">
            <span>{{ nameOf(side) }}</span>
            <ElSelect :model-value="seat.roles[side]" :aria-label="`What the ${nameOf(side)} side meets`" @update:model-value="(role: EdgeRole) => change(`${nameOf(side)} side: ${role}`, (s) => ({ ...s, roles: { ...s.roles, [side]: role } }))">
              <ElOption v-for="r in ROLES" :key="r.value" :value="r.value" :label="r.label" />
            </ElSelect>
          </label>
        </div>
      </div>
      <div class="field-row" data-field="measure.clearance">
        <span class="label">Clearance</span>
        <LengthField :model-value="seat.clearanceMm" :unit="job.units" name="Clearance at walls and hinges" :min="0" :max="LARGEST_ALLOWANCE_MM" @update:model-value="(mm) => change('Clearance', (s) => ({ ...s, clearanceMm: mm }), 'clearance')" />
      </div>
      <div class="field-row">
        <span class="label">Lengths in</span>
        <ElSelect :model-value="job.units" aria-label="Unit of this job" @update:model-value="(units: typeof job.units) => jobs.edit({ says: `Lengths in ${units}`, apply: (j) => ({ ...j, units }) })">
          <ElOption v-for="u in UNIT_CHOICES" :key="u.value" :value="u.value" :label="u.label" />
        </ElSelect>
      </div>
      <WarningList :warnings="warnings" />
    </div>
  </section>
</template>

<style scoped>
.roles {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 6px 12px;
}

.roles label {
  display: grid;
  grid-template-columns: 46px 1fr;
  align-items: center;
}

.finishes {
  margin: 0;
  font-size: 19px;
}
</style>
