<script setup lang="ts">
import { Handles, limits, type Side, type Trims } from '../../../contract/index.ts'
import { USUAL_HANDLES } from '../../../core/cover/index.ts'
import { SIDES } from '../../../core/seat/index.ts'
import type { LengthUnit } from '../../../core/units/index.ts'
import ChoiceButtons from '../../ui/ChoiceButtons.vue'
import CountField from '../../ui/CountField.vue'
import LengthField from '../../ui/LengthField.vue'

/** Handles and straps: where, how many, how long, and what hangs on them. */
const { trims, unit } = defineProps<{ trims: Trims; unit: LengthUnit }>()
const emit = defineEmits<{ change: [says: string, change: Partial<Trims>, key?: string | null] }>()
const set = (says: string, change: Partial<Trims>, key: string | null = null) => emit('change', says, change, key)
const NO_YES = [
  { value: 'no', label: 'None' },
  { value: 'yes', label: 'Sewn on' },
] as const
const AT = SIDES.map((value) => ({ value, label: value[0]!.toUpperCase() + value.slice(1) }))
const RINGS = [
  { value: 'none', label: 'Nothing' },
  { value: 'd-ring', label: 'D-ring' },
  { value: 'snap-hook', label: 'Snap hook' },
] as const
const toSide = (s: string) => s as Side
</script>

<template>
  <div class="field-row">
    <span class="label">Handles</span>
    <div>
      <ChoiceButtons
        :model-value="trims.handles ? 'yes' : 'no'"
        :choices="NO_YES"
        name="Handles"
        @update:model-value="(v) => set('Handles', { handles: v === 'yes' ? USUAL_HANDLES : null })"
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
        v-bind="limits(Handles.shape.count)"
        name="Handles"
        @update:model-value="set('Handles', { handles: { ...trims.handles, count: $event } }, 'handles')"
      />
    </div>
    <div class="field-row">
      <span class="label">Length, width</span>
      <div class="fields-in-line narrow-fields">
        <LengthField
          :model-value="trims.handles.lengthMm"
          :unit="unit"
          v-bind="limits(Handles.shape.lengthMm)"
          name="Handle length"
          @update:model-value="
            set('Handle length', { handles: { ...trims.handles, lengthMm: $event } }, 'handle-length')
          "
        /><LengthField
          :model-value="trims.handles.finishedMm"
          :unit="unit"
          v-bind="limits(Handles.shape.finishedMm)"
          name="Handle width"
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
</template>
