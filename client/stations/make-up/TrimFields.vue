<script setup lang="ts">
import { computed } from 'vue'
import { type Finishing, limits, type TiePlace, Ties, Trims, Vents } from '../../../contract/index.ts'
import { finishingWords, leastAllowance, USUAL_TIES } from '../../../core/cover/index.ts'
import { setMakeUp } from '../../../core/job/index.ts'
import { formatLengthWithUnit } from '../../../core/units/index.ts'
import { useDesign } from '../../stores/design.ts'
import { useJob } from '../../stores/job.ts'
import ChoiceButtons from '../../ui/ChoiceButtons.vue'
import CountField from '../../ui/CountField.vue'
import FigureValue from '../../ui/FigureValue.vue'
import LengthField from '../../ui/LengthField.vue'
import ButtonFields from './ButtonFields.vue'
import HandleFields from './HandleFields.vue'
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
const WAYS = [
  { value: 'folded', label: 'Folded' },
  { value: 'turned-out', label: 'Turned out' },
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
      <div class="fields-in-line narrow-fields">
        <LengthField
          :model-value="trims.ties.finishedMm"
          :unit="unit"
          v-bind="limits(Ties.shape.finishedMm)"
          name="Tie width"
          @update:model-value="set('Tie width', { ties: { ...trims.ties, finishedMm: $event } }, 'tie-width')"
        /><LengthField
          :model-value="trims.ties.lengthMm"
          :unit="unit"
          v-bind="limits(Ties.shape.lengthMm)"
          name="Tie tail"
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
  <HandleFields :trims="trims" :unit="unit" @change="set" />
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
      v-bind="limits(Vents.shape.count)"
      name="Vents"
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
  <ButtonFields :trims="trims" :unit="unit" @change="set" />
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
      v-bind="limits(Trims.shape.trimReserveMm)"
      name="Left to trim on each strip"
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
.results th {
  text-align: left;
  font-weight: 400;
  padding-right: 16px;
}
</style>
