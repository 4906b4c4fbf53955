<script setup lang="ts">
import { computed } from 'vue'
import type { Finishing, Side, TiePlace, Trims } from '../../../contract/index.ts'
import { finishingWords, leastAllowance, USUAL_BUTTONS, USUAL_TIES } from '../../../core/cover/index.ts'
import { setMakeUp } from '../../../core/job/index.ts'
import { SIDES } from '../../../core/seat/index.ts'
import { formatLengthWithUnit } from '../../../core/units/index.ts'
import { useDesign } from '../../stores/design.ts'
import { useJob } from '../../stores/job.ts'
import ChoiceButtons from '../../ui/ChoiceButtons.vue'
import CountField from '../../ui/CountField.vue'
import FigureValue from '../../ui/FigureValue.vue'
import LengthField from '../../ui/LengthField.vue'
import ReadyEdgeFields from './ReadyEdgeFields.vue'
import ReserveFields from './ReserveFields.vue'
import TiePlaces from './TiePlaces.vue'

/** Ties, handles, vents, grip, buttons, and how raw edges are finished. */
const jobs = useJob()
const design = useDesign()
const trims = computed(() => jobs.job!.makeUp.trims)
const unit = computed(() => jobs.job!.units)
const set = (says: string, change: Partial<Trims>, key: string | null = null) =>
  jobs.edit(
    setMakeUp(says, (m) => ({ ...m, trims: { ...m.trims, ...change } })),
    key,
  )
const NO_YES = [
  { value: 'no', label: 'None' },
  { value: 'yes', label: 'Sewn on' },
] as const
const AT = SIDES.map((value) => ({ value, label: value[0]!.toUpperCase() + value.slice(1) }))
const LAYOUTS = [
  { value: 'even', label: 'Even' },
  { value: 'staggered', label: 'Staggered' },
] as const
const WAYS = [
  { value: 'folded', label: 'Folded' },
  { value: 'turned-out', label: 'Turned out' },
] as const
const RINGS = [
  { value: 'none', label: 'Nothing' },
  { value: 'd-ring', label: 'D-ring' },
  { value: 'snap-hook', label: 'Snap hook' },
] as const
const CAUGHT = [
  { value: 'at-the-middle', label: 'At the middle' },
  { value: 'at-an-end', label: 'At an end' },
] as const
const GRIPS = [
  { value: 'none', label: 'None' },
  { value: 'hook-and-loop', label: 'Hook and loop' },
  { value: 'non-slip', label: 'Non-slip' },
] as const
const setGrip = (kind: string) =>
  set('Grip of the base', {
    grip:
      kind === 'hook-and-loop'
        ? { kind, strips: 2, tapeMm: 50 }
        : kind === 'non-slip'
          ? { kind, insetMm: 30 }
          : { kind: 'none' },
  })
const finishings = Object.keys(finishingWords) as Finishing[]
const fittings = computed(() => design.chosen?.cover.fittings ?? [])
const setTiePlaces = (places: TiePlace[], key: string | null) =>
  set('Ties', { ties: { ...trims.value.ties!, places } }, key)
const toSide = (s: string) => s as Side
</script>

<template>
  <div class="field-row">
    <span class="label">Ties</span>
    <div>
      <ChoiceButtons
        :model-value="trims.ties ? 'yes' : 'no'"
        :choices="NO_YES"
        name="Ties"
        @update:model-value="(v) => set('Ties', { ties: v === 'yes' ? USUAL_TIES : null })"
      />
    </div>
  </div>
  <template v-if="trims.ties">
    <TiePlaces :places="trims.ties.places" :unit="unit" @change="setTiePlaces" />
    <div class="field-row">
      <span class="label">Width, tail</span>
      <div class="two">
        <LengthField
          :model-value="trims.ties.finishedMm"
          :unit="unit"
          name="Tie width"
          :min="1"
          :max="100"
          @update:model-value="set('Tie width', { ties: { ...trims.ties, finishedMm: $event } }, 'tie-width')"
        /><LengthField
          :model-value="trims.ties.lengthMm"
          :unit="unit"
          name="Tie tail"
          :min="1"
          :max="1500"
          @update:model-value="set('Tie tail', { ties: { ...trims.ties, lengthMm: $event } }, 'tie-tail')"
        />
      </div>
    </div>
    <div class="field-row">
      <span class="label">Made</span>
      <div>
        <ChoiceButtons
          :model-value="trims.ties.way"
          :choices="WAYS"
          name="Ties made"
          @update:model-value="(way) => set('Ties', { ties: { ...trims.ties!, way } })"
        />
      </div>
    </div>
    <div class="field-row">
      <span class="label">Caught</span>
      <div>
        <ChoiceButtons
          :model-value="trims.ties.caught"
          :choices="CAUGHT"
          name="Ties caught"
          @update:model-value="(caught) => set('Ties', { ties: { ...trims.ties!, caught } })"
        />
      </div>
    </div>
  </template>
  <div class="field-row">
    <span class="label">Handles</span>
    <div>
      <ChoiceButtons
        :model-value="trims.handles ? 'yes' : 'no'"
        :choices="NO_YES"
        name="Handles"
        @update:model-value="
          (v) =>
            set('Handles', {
              handles: v === 'yes' ? { side: 'right', count: 1, lengthMm: 180, finishedMm: 30, fitting: 'none' } : null,
            })
        "
      />
    </div>
  </div>
  <div v-if="trims.handles" class="field-row">
    <span class="label">At the</span>
    <div>
      <ChoiceButtons
        :model-value="trims.handles.side"
        :choices="AT"
        name="Handles at the"
        @update:model-value="(s) => set('Handles', { handles: { ...trims.handles!, side: toSide(s) } })"
      />
    </div>
  </div>
  <template v-if="trims.handles">
    <div class="field-row">
      <span class="label">Number</span
      ><CountField
        :model-value="trims.handles.count"
        name="Handles"
        :min="1"
        :max="6"
        @update:model-value="set('Handles', { handles: { ...trims.handles, count: $event } }, 'handles')"
      />
    </div>
    <div class="field-row">
      <span class="label">Length, width</span>
      <div class="two">
        <LengthField
          :model-value="trims.handles.lengthMm"
          :unit="unit"
          name="Handle length"
          :min="1"
          :max="1000"
          @update:model-value="
            set('Handle length', { handles: { ...trims.handles, lengthMm: $event } }, 'handle-length')
          "
        /><LengthField
          :model-value="trims.handles.finishedMm"
          :unit="unit"
          name="Handle width"
          :min="1"
          :max="150"
          @update:model-value="
            set('Handle width', { handles: { ...trims.handles, finishedMm: $event } }, 'handle-width')
          "
        />
      </div>
    </div>
    <div class="field-row">
      <span class="label">With</span>
      <div>
        <ChoiceButtons
          :model-value="trims.handles.fitting"
          :choices="RINGS"
          name="Handles with"
          @update:model-value="(fitting) => set('Handles', { handles: { ...trims.handles!, fitting } })"
        />
      </div>
    </div>
  </template>
  <div class="field-row">
    <span class="label">Vents</span>
    <div>
      <ChoiceButtons
        :model-value="trims.vents ? 'yes' : 'no'"
        :choices="NO_YES"
        name="Vents"
        @update:model-value="(v) => set('Vents', { vents: v === 'yes' ? { side: 'back', count: 2 } : null })"
      />
    </div>
  </div>
  <div v-if="trims.vents" class="field-row">
    <span class="label">Number</span
    ><CountField
      :model-value="trims.vents.count"
      name="Vents"
      :min="1"
      :max="20"
      @update:model-value="set('Vents', { vents: { ...trims.vents, count: $event } }, 'vents')"
    />
  </div>
  <div class="field-row">
    <span class="label">Base grips by</span>
    <div>
      <ChoiceButtons
        :model-value="trims.grip.kind"
        :choices="GRIPS"
        name="Base grips by"
        @update:model-value="setGrip"
      />
    </div>
  </div>
  <div class="field-row" data-field="make-up.buttons">
    <span class="label">Buttons</span>
    <div>
      <ChoiceButtons
        :model-value="trims.buttons ? 'yes' : 'no'"
        :choices="NO_YES"
        name="Buttons"
        @update:model-value="(v) => set('Buttons', { buttons: v === 'yes' ? USUAL_BUTTONS : null })"
      />
    </div>
  </div>
  <template v-if="trims.buttons">
    <div class="field-row">
      <span class="label">Rows, across</span>
      <div class="two">
        <CountField
          :model-value="trims.buttons.rows"
          name="Rows of buttons"
          :min="1"
          :max="20"
          @update:model-value="set('Buttons', { buttons: { ...trims.buttons, rows: $event } }, 'button-rows')"
        /><CountField
          :model-value="trims.buttons.across"
          name="Buttons across"
          :min="1"
          :max="40"
          @update:model-value="set('Buttons', { buttons: { ...trims.buttons, across: $event } }, 'button-across')"
        />
      </div>
    </div>
    <div class="field-row">
      <span class="label">Rows stand</span>
      <div>
        <ChoiceButtons
          :model-value="trims.buttons.layout"
          :choices="LAYOUTS"
          name="Rows stand"
          @update:model-value="(layout) => set('Buttons', { buttons: { ...trims.buttons!, layout } })"
        />
      </div>
    </div>
    <div class="field-row">
      <span class="label">From the edge</span
      ><LengthField
        :model-value="trims.buttons.marginMm"
        :unit="unit"
        name="Buttons from the edge"
        :min="1"
        :max="1000"
        @update:model-value="set('Buttons', { buttons: { ...trims.buttons, marginMm: $event } }, 'button-margin')"
      />
    </div>
    <div class="field-row">
      <span class="label">Button, pulled by</span>
      <div class="two">
        <LengthField
          :model-value="trims.buttons.diameterMm"
          :unit="unit"
          name="Button diameter"
          :min="1"
          :max="80"
          @update:model-value="set('Buttons', { buttons: { ...trims.buttons, diameterMm: $event } }, 'button-size')"
        /><LengthField
          :model-value="trims.buttons.depthMm"
          :unit="unit"
          name="Pulled into the cloth by"
          :min="0"
          :max="150"
          @update:model-value="set('Buttons', { buttons: { ...trims.buttons, depthMm: $event } }, 'button-depth')"
        />
      </div>
    </div>
  </template>
  <div class="field-row">
    <span class="label">Raw edges</span>
    <ElSelect
      :model-value="trims.finishing"
      aria-label="Raw edges"
      @update:model-value="(finishing: Finishing) => set(`Raw edges ${finishingWords[finishing]}`, { finishing })"
    >
      <ElOption v-for="f in finishings" :key="f" :value="f" :label="finishingWords[f]"
        >{{ finishingWords[f] }}
        <span v-if="leastAllowance(f) > 0" class="quiet"
          >needs {{ formatLengthWithUnit(leastAllowance(f), unit) }}</span
        ></ElOption
      >
    </ElSelect>
  </div>
  <div class="field-row" data-field="make-up.reserve">
    <span class="label">Left to trim</span>
    <LengthField
      :model-value="trims.trimReserveMm"
      :unit="unit"
      name="Left to trim on each strip"
      :min="0"
      :max="500"
      @update:model-value="set('Left to trim', { trimReserveMm: $event }, 'reserve')"
    />
  </div>
  <table v-if="fittings.length > 0" class="results">
    <tbody>
      <tr v-for="f in fittings" :key="f.what">
        <th scope="row">{{ f.what }}</th>
        <td>
          <FigureValue :figure="f.amount" /> <span class="quiet">{{ f.note }}</span>
        </td>
      </tr>
    </tbody>
  </table>
  <ReserveFields />
  <ReadyEdgeFields />
</template>

<style scoped>
.two {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}

.two :deep(input) {
  width: 64px;
}

.results th {
  text-align: left;
  font-weight: 400;
  padding-right: 16px;
}
</style>
