<script setup lang="ts">
import { computed } from 'vue'
import { LeftAbove, limits, CushionFit, textLimits } from '../../../contract/index.ts'
import type { WorkedPart } from '../../../core/planned/index.ts'
import { formatLengthWithUnit } from '../../../core/units/index.ts'
import { useJob } from '../../stores/job.ts'
import { cushionKey } from '../../../core/job/index.ts'
import ChoiceButtons from '../../ui/ChoiceButtons.vue'
import AmountField from '../../ui/AmountField.vue'
import LengthField from '../../ui/LengthField.vue'
import { dayOf } from '../../ui/today.ts'
import { setFit, UNMEASURED } from './fit-edits.ts'
import { vTyped } from '../../ui/v-typed.ts'

/** One cushion on its seat: three sizes by the tape, how it sits, where it wrinkles, how far stripes are off. */
const props = defineProps<{ plan: WorkedPart; index: number }>()
const jobs = useJob()
const number = computed(() => cushionKey(jobs.inView, props.index))
const today = dayOf(new Date())
const fit = computed((): CushionFit => jobs.job!.fitting.fits[number.value] ?? UNMEASURED(today))
const solid = computed(() => props.plan.designs[props.plan.cushions.inOrder[props.index]!.design]!.cover.solid)
const unit = computed(() => jobs.job!.units)
const SIZES = [
  { key: 'widthMm', of: 'width', label: 'Width' },
  { key: 'depthMm', of: 'depth', label: 'Depth' },
  { key: 'thicknessMm', of: 'thickness', label: 'Thickness' },
] as const
const VERDICTS = [
  { value: 'unknown', label: 'not judged' },
  { value: 'loose', label: 'loose' },
  { value: 'right', label: 'right' },
  { value: 'tight', label: 'tight' },
] as const
const set = (change: Partial<CushionFit>, key: string) =>
  jobs.edit(setFit(number.value, today, change), `fit-${number.value}-${key}`)
</script>

<template>
  <h3>Cushion {{ plan.prefix }}{{ index + 1 }}</h3>
  <div v-for="s in SIZES" :key="s.key" class="field-row">
    <span class="label">{{ s.label }}</span>
    <div class="fields-in-line">
      <template v-if="fit[s.key] !== null">
        <LengthField
          :key="number"
          :model-value="fit[s.key]!"
          :unit="unit"
          :name="`${s.label}, measured`"
          line="net"
          @update:model-value="set({ [s.key]: $event }, s.key)"
        />
        <button type="button" class="plain-button" @click="set({ [s.key]: null }, s.key)">Not measured</button>
      </template>
      <button v-else type="button" class="plain-button" @click="set({ [s.key]: solid[s.of].value }, s.key)">
        Enter
      </button>
      <span class="quiet">planned {{ formatLengthWithUnit(solid[s.of].value, unit) }}</span>
    </div>
  </div>
  <div class="field-row">
    <span class="label">It sits</span
    ><ChoiceButtons
      :model-value="fit.verdict"
      :choices="VERDICTS"
      name="It sits"
      @update:model-value="set({ verdict: $event }, 'verdict')"
    />
  </div>
  <div class="field-row">
    <span class="label">Left above the board</span>
    <div class="fields-in-line">
      <template v-if="fit.leftAbove !== null"
        ><LengthField
          :key="number"
          :model-value="fit.leftAbove.leftMm"
          :unit="unit"
          v-bind="limits(LeftAbove.shape.leftMm)"
          name="Left above the board"
          @update:model-value="set({ leftAbove: { ...fit.leftAbove, leftMm: $event } }, 'left')"
        />
        under
        <AmountField
          :model-value="fit.leftAbove.massKg"
          kind="mass"
          :lengths="unit"
          v-bind="limits(LeftAbove.shape.massKg)"
          name="Sitter, for what is left above the board"
          @update:model-value="
            $event !== null && fit.leftAbove && set({ leftAbove: { ...fit.leftAbove, massKg: $event } }, 'left-mass')
          "
        /><button type="button" class="plain-button" @click="set({ leftAbove: null }, 'left')">Not measured</button>
      </template>
      <button
        v-else
        type="button"
        class="plain-button"
        @click="set({ leftAbove: { massKg: 75, leftMm: Math.round(solid.thickness.value / 2) } }, 'left')"
      >
        Enter, by a rule beside the sitter
      </button>
    </div>
  </div>
  <div class="field-row">
    <label :for="`wrinkles-${number}`">Wrinkles</label
    ><input
      :id="`wrinkles-${number}`"
      class="text"
      v-typed="fit.wrinkles"
      v-bind="textLimits(CushionFit.shape.wrinkles)"
      placeholder="where; nothing for none"
      @change="set({ wrinkles: ($event.target as HTMLInputElement).value }, 'wrinkles')"
    />
  </div>
  <div class="field-row">
    <span class="label">Stripes off by</span>
    <div class="fields-in-line">
      <template v-if="fit.stripesOffMm !== null"
        ><LengthField
          :key="number"
          :model-value="fit.stripesOffMm"
          :unit="unit"
          v-bind="limits(CushionFit.shape.stripesOffMm)"
          name="Stripes off by"
          @update:model-value="set({ stripesOffMm: $event }, 'stripes')"
        /><button type="button" class="plain-button" @click="set({ stripesOffMm: null }, 'stripes')">
          Not looked at
        </button></template
      >
      <button v-else type="button" class="plain-button" @click="set({ stripesOffMm: 0 }, 'stripes')">Enter</button>
    </div>
  </div>
</template>
