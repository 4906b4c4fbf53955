<script setup lang="ts">
import { Inside, limits } from '../../contract/index.ts'
import type { LengthUnit } from '../../core/units/index.ts'
import LengthField from './LengthField.vue'

/** Width, depth and thickness of one thing, side by side. What nobody measured stands as the seat has it. */
const props = defineProps<{
  sizes: { readonly widthMm: number | null; readonly depthMm: number | null; readonly thicknessMm: number }
  usual: { readonly widthMm: number; readonly depthMm: number }
  unit: LengthUnit
  name: string
}>()
const emit = defineEmits<{ change: [size: 'widthMm' | 'depthMm' | 'thicknessMm', mm: number] }>()
const WAYS = [
  ['widthMm', 'width'],
  ['depthMm', 'depth'],
  ['thicknessMm', 'thickness'],
] as const
const valueOf = (key: (typeof WAYS)[number][0]): number =>
  key === 'thicknessMm' ? props.sizes.thicknessMm : (props.sizes[key] ?? props.usual[key])
</script>

<template>
  <div class="sizes">
    <LengthField
      v-for="[key, way] in WAYS"
      :key="key"
      :model-value="valueOf(key)"
      :unit="unit"
      :name="`${name}, ${way}`"
      v-bind="limits(Inside.shape[key])"
      @update:model-value="emit('change', key, $event)"
    />
  </div>
</template>

<style scoped>
.sizes {
  display: flex;
  flex-wrap: wrap;
  gap: 5px;
}

:deep(input) {
  width: 48px;
}
</style>
