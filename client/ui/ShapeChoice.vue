<script setup lang="ts">
import type { Footprint } from '../../contract/index.ts'
import { SHAPE_KINDS } from './shape-kinds.ts'

/** The shapes of seats, each with its sketch, one of them taken. */
defineProps<{ modelValue: Footprint['kind'] }>()
const emit = defineEmits<{ 'update:modelValue': [kind: Footprint['kind'], label: string] }>()
</script>

<template>
  <div class="shapes" role="radiogroup" aria-label="Shape of the seat">
    <button
      v-for="s in SHAPE_KINDS"
      :key="s.kind"
      type="button"
      role="radio"
      :aria-checked="modelValue === s.kind"
      :class="{ chosen: modelValue === s.kind }"
      @click="emit('update:modelValue', s.kind, s.label)"
    >
      <svg width="32" height="24" viewBox="0 0 32 24" aria-hidden="true"><path :d="s.sketch" /></svg>
      <span>{{ s.label }}</span>
    </button>
  </div>
</template>

<style scoped>
.shapes {
  display: grid;
  grid-template-columns: repeat(3, 1fr);
  gap: 5px;
}

button {
  display: flex;
  flex-direction: column;
  align-items: center;
  gap: 1px;
  padding: 5px 2px 4px;
  border: 1px solid var(--field-edge);
  border-radius: 3px;
  background: var(--field);
  color: inherit;
  font-size: 13px;
  line-height: 1.15;
  cursor: pointer;
}

button.chosen {
  border-color: var(--chalk);
  background: var(--chalk-wash);
  box-shadow: inset 0 0 0 1px var(--chalk);
}

path {
  fill: var(--shape);
  stroke: var(--ink);
  stroke-width: 1.6;
}
</style>
