<script setup lang="ts" generic="T extends string">
import { useId } from 'vue'

/** A few choices side by side, one of them taken: native radio buttons, so that arrow keys work. */
defineProps<{
  modelValue: T
  choices: readonly { readonly value: T; readonly label: string }[]
  name: string
  disabled?: boolean
}>()
defineEmits<{ 'update:modelValue': [value: T] }>()
const group = useId()
</script>

<template>
  <div class="choice-buttons" role="radiogroup" :aria-label="name">
    <label v-for="c in choices" :key="c.value" :class="{ taken: c.value === modelValue, disabled }">
      <input
        type="radio"
        :name="group"
        :value="c.value"
        :checked="c.value === modelValue"
        :disabled="disabled"
        @change="$emit('update:modelValue', c.value)"
      />
      {{ c.label }}
    </label>
  </div>
</template>

<style scoped>
.choice-buttons {
  display: inline-flex;
  flex-wrap: wrap;
  max-width: 100%;
  border: 1px solid var(--field-edge);
  border-radius: 3px;
  overflow: hidden;
  background: var(--field);
}

label {
  position: relative;
  display: inline-flex;
  align-items: center;
  min-height: calc(var(--target) - 2px);
  padding: 2px 13px;
  border-left: 1px solid var(--paper-edge);
  cursor: pointer;
}

label:first-child {
  border-left: 0;
}

label.taken {
  background: var(--chalk-wash);
  box-shadow: inset 0 -3px 0 var(--chalk);
  font-weight: 600;
}

label.disabled {
  cursor: default;
  color: var(--ink-soft);
}

label:focus-within {
  outline: 2px solid var(--chalk);
  outline-offset: -2px;
}

input {
  position: absolute;
  opacity: 0;
}
</style>
