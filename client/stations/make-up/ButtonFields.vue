<script setup lang="ts">
import { Buttons, limits, type Trims } from '../../../contract/index.ts'
import { USUAL_BUTTONS } from '../../../core/cover/index.ts'
import type { LengthUnit } from '../../../core/units/index.ts'
import ChoiceButtons from '../../ui/ChoiceButtons.vue'
import CountField from '../../ui/CountField.vue'
import LengthField from '../../ui/LengthField.vue'

/** Buttons through the block: their grid, size and depth. */
const { trims, unit } = defineProps<{ trims: Trims; unit: LengthUnit }>()
const emit = defineEmits<{ change: [says: string, change: Partial<Trims>, key?: string | null] }>()
const set = (says: string, change: Partial<Trims>, key: string | null = null) => emit('change', says, change, key)
const NO_YES = [
  { value: 'no', label: 'None' },
  { value: 'yes', label: 'Sewn on' },
] as const
const LAYOUTS = [
  { value: 'even', label: 'Even' },
  { value: 'staggered', label: 'Staggered' },
] as const
</script>

<template>
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
      <div class="fields-in-line narrow-fields">
        <CountField
          :model-value="trims.buttons.rows"
          v-bind="limits(Buttons.shape.rows)"
          name="Rows of buttons"
          @update:model-value="set('Buttons', { buttons: { ...trims.buttons, rows: $event } }, 'button-rows')"
        /><CountField
          :model-value="trims.buttons.across"
          v-bind="limits(Buttons.shape.across)"
          name="Buttons across"
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
        v-bind="limits(Buttons.shape.marginMm)"
        name="Buttons from the edge"
        @update:model-value="set('Buttons', { buttons: { ...trims.buttons, marginMm: $event } }, 'button-margin')"
      />
    </div>
    <div class="field-row">
      <span class="label">Button, pulled by</span>
      <div class="fields-in-line narrow-fields">
        <LengthField
          :model-value="trims.buttons.diameterMm"
          :unit="unit"
          v-bind="limits(Buttons.shape.diameterMm)"
          name="Button diameter"
          @update:model-value="set('Buttons', { buttons: { ...trims.buttons, diameterMm: $event } }, 'button-size')"
        /><LengthField
          :model-value="trims.buttons.depthMm"
          :unit="unit"
          v-bind="limits(Buttons.shape.depthMm)"
          name="Pulled into the cloth by"
          @update:model-value="set('Buttons', { buttons: { ...trims.buttons, depthMm: $event } }, 'button-depth')"
        />
      </div>
    </div>
  </template>
</template>
