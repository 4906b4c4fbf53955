<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { phrase } from '../../../core/language/index.ts'
import { limits, Seat } from '../../../contract/index.ts'
import { setSeat } from '../../../core/job/index.ts'
import { asTaped, slotsOf, squareness, USUAL_CLEARANCE_MM } from '../../../core/seat/index.ts'
import { useJob } from '../../stores/job.ts'
import FigureValue from '../../ui/FigureValue.vue'
import LengthField from '../../ui/LengthField.vue'
import { UNIT_CHOICES } from '../../ui/unit-choices.ts'
import WarningList from '../../ui/WarningList.vue'
import CornerCard from './CornerCard.vue'
import DivisionFields from './DivisionFields.vue'
import EdgeCard from './EdgeCard.vue'
import OldCushionFields from './OldCushionFields.vue'
import PaperTemplate from './PaperTemplate.vue'
import type { Picked } from './picked.ts'
import ReadingsField from './ReadingsField.vue'
import SeatDrawing from './SeatDrawing.vue'
import ShapeFields from './ShapeFields.vue'
import ShapePicker from './ShapePicker.vue'
import TapePanel from './TapePanel.vue'
import WorkFields from './WorkFields.vue'
import { vTyped } from '../../ui/v-typed.ts'

const jobs = useJob()
const job = computed(() => jobs.job!)
const seat = computed(() => job.value.seat)
const cushions = computed(() => jobs.part!.cushions)
const warnings = computed(() => jobs.plan!.warnings.filter((w) => w.station === 'measure'))
/** What the tape goes round. */
const TAPED = {
  'cover-and-filling': 'The seat, by the tape',
  'cover-only': 'The filling that stays, by the tape',
  'filling-only': 'The seat, by the tape, as a check',
} as const
const slots = computed(() => slotsOf(seat.value))
const picked = ref<Picked | null>(null)
watch(
  () => seat.value.footprint.kind,
  () => (picked.value = null),
)
const tapeOut = ref(false)
const template = ref(false)
const card = computed(() => ({
  left: `clamp(8px, ${(picked.value?.x ?? 0) - 150}px, calc(100% - 384px))`,
  top: `clamp(8px, ${(picked.value?.y ?? 0) + 16}px, calc(100% - 300px))`,
}))

/** The shape that measured diagonals describe, where it is another than the one entered. */
const offered = computed(() => {
  const { footprint } = seat.value
  if (footprint.kind !== 'rectangle' && footprint.kind !== 'taper') return null
  const found = squareness(footprint)
  return found && !found.isTrue ? asTaped(footprint, found) : null
})
function setTurn(event: Event): void {
  const turnDeg = Number((event.target as HTMLInputElement).value)
  if (Number.isFinite(turnDeg) && Math.abs(turnDeg) <= 180)
    jobs.edit(
      setSeat(phrase`Turned by ${turnDeg}°`, (s) => ({ ...s, turnDeg })),
      'turn',
    )
}
</script>

<template>
  <section class="station">
    <div class="drawing sheet">
      <SeatDrawing :picked="picked" @pick="(p) => (picked = p)">
        <aside v-if="picked" class="card" :style="card" :aria-label="picked.kind === 'edge' ? 'Edge' : 'Corner'">
          <button type="button" class="plain-button close" aria-label="Close" @click="picked = null">close</button>
          <EdgeCard v-if="picked.kind === 'edge'" :key="picked.name" :edge="picked.name" />
          <CornerCard v-else :key="picked.name" :corner="picked.name" />
        </aside>
      </SeatDrawing>
    </div>
    <div class="figures sheet">
      <h2>Each cushion finishes</h2>
      <p v-if="!cushions" class="quiet">no outline yet: see below what is wrong</p>
      <p v-for="d in cushions?.designs ?? []" :key="d.id" class="finishes">
        <span v-if="cushions!.designs.length > 1" class="quiet">{{ d.id }}, {{ d.count }} of: </span>
        <FigureValue :figure="d.solid.width" bare unitless /> x <FigureValue :figure="d.solid.depth" bare unitless /> x
        <FigureValue :figure="d.solid.thickness" />
      </p>
      <WarningList :warnings="warnings" />
      <p v-if="offered">
        <button
          type="button"
          class="plain-button"
          @click="jobs.edit(setSeat('Shape of the diagonals taken over', (s) => ({ ...s, footprint: offered! })))"
        >
          Take over the shape of the diagonals
        </button>
      </p>
      <WorkFields />
      <h2>{{ TAPED[job.work.kind] }}</h2>
      <ShapePicker />
      <ReadingsField v-for="s in slots" :key="s.slot" :slot-name="s.slot" :label="s.label" />
      <ShapeFields />
      <h2>Cushions</h2>
      <DivisionFields />
      <div class="field-row" data-field="measure.clearance">
        <span class="label">Clearance</span>
        <div class="clearance">
          <LengthField
            :model-value="seat.clearanceMm"
            :unit="job.units"
            v-bind="limits(Seat.shape.clearanceMm)"
            name="Clearance at walls and hinges"
            @update:model-value="
              (mm) =>
                jobs.edit(
                  setSeat('Clearance', (s) => ({ ...s, clearanceMm: mm })),
                  'clearance',
                )
            "
          />
          <button
            v-for="(mm, where) in USUAL_CLEARANCE_MM"
            :key="where"
            type="button"
            class="plain-button"
            :aria-pressed="seat.clearanceMm === mm"
            @click="jobs.edit(setSeat(`Clearance as usual ${where}`, (s) => ({ ...s, clearanceMm: mm })))"
          >
            {{ where }}
          </button>
        </div>
      </div>
      <div class="field-row">
        <span class="label">Stands</span>
        <div class="clearance">
          <button
            type="button"
            class="plain-button"
            :aria-pressed="seat.mirrored"
            @click="jobs.edit(setSeat('Mirrored', (s) => ({ ...s, mirrored: !s.mirrored })))"
          >
            {{ seat.mirrored ? 'mirrored' : 'mirror it' }}
          </button>
          <label
            >turned by
            <input
              type="number"
              min="-180"
              max="180"
              v-typed="seat.turnDeg"
              aria-label="Turned by, degrees"
              @change="setTurn"
            />°</label
          >
        </div>
      </div>
      <OldCushionFields />
      <div class="field-row">
        <span class="label">Lengths in</span>
        <ElSelect
          :model-value="job.units"
          aria-label="Unit of this job"
          @update:model-value="
            (units: typeof job.units) => jobs.edit({ says: `Lengths in ${units}`, apply: (j) => ({ ...j, units }) })
          "
        >
          <ElOption v-for="u in UNIT_CHOICES" :key="u.value" :value="u.value" :label="u.label" />
        </ElSelect>
      </div>
      <div class="tools">
        <button type="button" class="plain-button" :aria-pressed="tapeOut" @click="tapeOut = !tapeOut">
          Radio tape
        </button>
        <button type="button" class="plain-button" :disabled="!cushions" @click="template = true">
          Paper template
        </button>
      </div>
      <TapePanel v-if="tapeOut" @close="tapeOut = false" />
      <h2>Worked out</h2>
      <table v-if="cushions" class="derived">
        <tbody>
          <tr v-for="f in cushions.derived.slice(0, 24)" :key="f.id">
            <th scope="row">{{ f.label }}</th>
            <td><FigureValue :figure="f" bare /></td>
          </tr>
        </tbody>
      </table>
      <p v-if="cushions && cushions.derived.length > 24" class="quiet">
        and {{ cushions.derived.length - 24 }} more edges
      </p>
    </div>
    <PaperTemplate v-if="cushions" v-model="template" />
  </section>
</template>

<style scoped>
.finishes {
  margin: 0;
  font-size: 19px;
}

.card {
  position: absolute;
  width: 372px;
  padding: 8px 12px 10px;
  background: var(--paper);
  border: 1px solid var(--chalk);
  border-radius: 4px;
  box-shadow: 0 3px 12px rgb(0 0 0 / 22%);
}

.card :deep(h3) {
  margin: 0 0 6px;
  font-size: 17px;
}

.card :deep(.line) {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 10px;
  margin: 5px 0;
}

.card :deep(.line > span:first-child),
.card :deep(.line > label:first-child) {
  min-width: 86px;
}

.close {
  float: right;
  font-size: 14px;
  padding: 2px 8px;
}

.clearance,
.tools {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px;
}

input[type='number'],
.card :deep(input[type='number']) {
  width: 72px;
  height: var(--target);
  border: 1px solid var(--field-edge);
  border-radius: 3px;
  padding: 0 8px;
  font: inherit;
}

.derived th {
  text-align: left;
  font-weight: 400;
  padding-right: 16px;
}

[aria-pressed='true'] {
  background: var(--chalk-wash);
  border-color: var(--chalk);
}
</style>
