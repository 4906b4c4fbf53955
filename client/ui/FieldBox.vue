<script setup lang="ts">
import { useId } from 'vue'

/**
 * A typed field with its unit, and what was understood or what is wrong beside it. What the text means is the caller's.
 */
defineProps<{
  name: string
  unit: string
  fault: string
  echo: string
  placeholder?: string
  narrow?: boolean
  lengths?: string
}>()
const text = defineModel<string>({ required: true })
const emit = defineEmits<{ typed: []; entered: []; left: [] }>()
const fieldId = useId()
</script>

<template>
  <div class="field">
    <span class="box" :class="{ bad: fault !== '' }">
      <input
        :id="fieldId"
        v-model="text"
        :class="{ narrow }"
        :aria-label="name"
        :aria-invalid="fault !== ''"
        :aria-describedby="`${fieldId}-said`"
        :placeholder="placeholder ?? ''"
        :inputmode="lengths ? 'decimal' : 'text'"
        :data-lengths="lengths"
        autocomplete="off"
        spellcheck="false"
        @input="emit('typed')"
        @focus="emit('entered')"
        @blur="emit('left')"
        @keydown.enter="emit('left')"
      />
      <span v-if="unit" class="unit">{{ unit }}</span>
    </span>
    <span :id="`${fieldId}-said`" class="said" :class="{ fault: fault !== '' }" :role="fault ? 'alert' : undefined">{{
      fault || echo
    }}</span>
  </div>
</template>

<style scoped>
.field {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 2px 10px;
}

.box {
  display: inline-flex;
  align-items: center;
  border: 1px solid var(--field-edge);
  border-radius: 3px;
  background: var(--field);
  height: var(--target);
}

.box:focus-within {
  border-color: var(--chalk);
  box-shadow: 0 0 0 1px var(--chalk);
}

.box.bad {
  border-color: var(--rust);
}

input {
  width: 96px;
  height: 100%;
  border: 0;
  padding: 0 4px 0 9px;
  background: none;
  font: inherit;
  color: inherit;
  outline: none;
  text-align: right;
}

.narrow {
  width: 86px;
}

.unit {
  padding: 0 8px 0 2px;
  color: var(--ink-soft);
  font-size: 14px;
}

.said {
  font-size: 14px;
  color: var(--ink-soft);
}

.said.fault {
  flex-basis: 100%;
  color: var(--rust);
}
</style>
