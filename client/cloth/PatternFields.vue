<script setup lang="ts">
import { limitsOfKind, Pattern } from '../../contract/index.ts'
import type { LengthUnit } from '../../core/units/index.ts'
import ChoiceButtons from '../ui/ChoiceButtons.vue'
import LengthField from '../ui/LengthField.vue'
import BandsField from './BandsField.vue'
import { startPattern } from './new-cloth.ts'

/** What is woven or printed on a cloth, band by band or motif by motif. */
const { pattern, unit } = defineProps<{ pattern: Pattern; unit: LengthUnit }>()
const emit = defineEmits<{ change: [pattern: Pattern] }>()
const setPattern = (change: object) => emit('change', { ...pattern, ...change } as Pattern)
const PATTERNS = [
  { value: 'plain', label: 'Plain' },
  { value: 'stripes', label: 'Stripes' },
  { value: 'check', label: 'Check' },
  { value: 'motif', label: 'Motif' },
] as const
const RUNS = [
  { value: 'along', label: 'along the roll' },
  { value: 'across', label: 'across it' },
] as const
</script>

<template>
  <div class="field-row">
    <span class="label">Pattern</span
    ><ChoiceButtons
      :model-value="pattern.kind"
      :choices="PATTERNS"
      name="Pattern"
      @update:model-value="emit('change', startPattern($event))"
    />
  </div>
  <template v-if="pattern.kind === 'stripes'">
    <div class="field-row">
      <span class="label">They run</span
      ><ChoiceButtons
        :model-value="pattern.runs"
        :choices="RUNS"
        name="Stripes run"
        @update:model-value="setPattern({ runs: $event })"
      />
    </div>
    <div class="field-row">
      <span class="label">First repeat starts</span
      ><LengthField
        :model-value="pattern.startMm"
        :unit="unit"
        v-bind="limitsOfKind(Pattern, pattern.kind, 'startMm')"
        name="First repeat starts"
        @update:model-value="setPattern({ startMm: $event })"
      />
    </div>
    <BandsField
      :model-value="pattern.bands"
      :unit="unit"
      name="Band"
      @update:model-value="setPattern({ bands: $event })"
    />
  </template>
  <template v-else-if="pattern.kind === 'check'">
    <div class="field-row">
      <span class="label">Repeat starts</span>
      <div class="fields-in-line narrow-fields">
        <LengthField
          :model-value="pattern.startMm"
          :unit="unit"
          v-bind="limitsOfKind(Pattern, pattern.kind, 'startMm')"
          name="Starts across"
          @update:model-value="setPattern({ startMm: $event })"
        /><LengthField
          :model-value="pattern.startAlongMm"
          :unit="unit"
          v-bind="limitsOfKind(Pattern, pattern.kind, 'startAlongMm')"
          name="Starts along"
          @update:model-value="setPattern({ startAlongMm: $event })"
        />
      </div>
    </div>
    <BandsField
      :model-value="pattern.across"
      :unit="unit"
      name="Band across"
      @update:model-value="setPattern({ across: $event })"
    />
    <BandsField
      :model-value="pattern.along"
      :unit="unit"
      name="Band along"
      @update:model-value="setPattern({ along: $event })"
    />
  </template>
  <template v-else-if="pattern.kind === 'motif'">
    <div class="field-row">
      <span class="label">Repeat across, along</span>
      <div class="fields-in-line narrow-fields">
        <LengthField
          :model-value="pattern.acrossMm"
          :unit="unit"
          v-bind="limitsOfKind(Pattern, pattern.kind, 'acrossMm')"
          name="Repeat across"
          @update:model-value="setPattern({ acrossMm: $event })"
        /><LengthField
          :model-value="pattern.alongMm"
          :unit="unit"
          v-bind="limitsOfKind(Pattern, pattern.kind, 'alongMm')"
          name="Repeat along"
          @update:model-value="setPattern({ alongMm: $event })"
        />
      </div>
    </div>
    <div class="field-row">
      <span class="label">A motif's middle</span>
      <div class="fields-in-line narrow-fields">
        <LengthField
          :model-value="pattern.startMm"
          :unit="unit"
          v-bind="limitsOfKind(Pattern, pattern.kind, 'startMm')"
          name="Motif from the left edge"
          @update:model-value="setPattern({ startMm: $event })"
        /><LengthField
          :model-value="pattern.startAlongMm"
          :unit="unit"
          v-bind="limitsOfKind(Pattern, pattern.kind, 'startAlongMm')"
          name="Motif from the starting end"
          @update:model-value="setPattern({ startAlongMm: $event })"
        />
      </div>
    </div>
    <div class="field-row">
      <span class="label">Half-drop</span
      ><label class="tick"
        ><input
          type="checkbox"
          :checked="pattern.halfDrop"
          @change="setPattern({ halfDrop: ($event.target as HTMLInputElement).checked })"
        />
        every second column stands half a repeat further on</label
      >
    </div>
    <div class="field-row">
      <span class="label">Colour</span
      ><input
        type="color"
        :value="pattern.colour"
        aria-label="Motif colour"
        class="colour"
        @input="setPattern({ colour: ($event.target as HTMLInputElement).value })"
      />
    </div>
  </template>
</template>

<style scoped>
.field-row {
  grid-template-columns: 140px 1fr;
  margin-bottom: 6px;
}

.colour {
  width: 56px;
  height: 32px;
}
</style>
