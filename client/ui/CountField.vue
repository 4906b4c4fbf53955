<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { phrase } from '../../core/language/index.ts'

const props = withDefaults(defineProps<{ modelValue: number; name: string; min?: number; max: number }>(), { min: 0 })
const emit = defineEmits<{ 'update:modelValue': [n: number] }>()
const text = ref(String(props.modelValue))
const isWhole = computed(
  () => /^\s*\d+\s*$/.test(text.value) && Number(text.value) >= props.min && Number(text.value) <= props.max,
)
const fault = computed(() =>
  isWhole.value ? '' : phrase`${props.name}: a whole number from ${props.min} to ${props.max} is wanted.`,
)
watch(
  () => props.modelValue,
  (n) => {
    if (isWhole.value) text.value = String(n)
  },
)
const typed = () => {
  if (isWhole.value) emit('update:modelValue', Number(text.value))
}
const step = (by: 1 | -1) => {
  const n = Math.min(props.max, Math.max(props.min, props.modelValue + by))
  text.value = String(n)
  emit('update:modelValue', n)
}
</script>

<template>
  <div class="count-field">
    <button
      type="button"
      class="plain-button"
      :aria-label="`one less, ${name}`"
      :disabled="modelValue <= min"
      @click="step(-1)"
    >
      −
    </button>
    <input v-model="text" :aria-label="name" :aria-invalid="fault !== ''" inputmode="numeric" @input="typed" />
    <button
      type="button"
      class="plain-button"
      :aria-label="`one more, ${name}`"
      :disabled="modelValue >= max"
      @click="step(1)"
    >
      +
    </button>
    <span v-if="fault" class="fault" role="alert">{{ fault }}</span>
  </div>
</template>

<style scoped>
.count-field {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px;
}

input {
  width: 56px;
  height: var(--target);
  border: 1px solid var(--field-edge);
  border-radius: 3px;
  background: var(--field);
  font: inherit;
  color: inherit;
  text-align: center;
}

.fault {
  flex-basis: 100%;
  color: var(--rust);
  font-size: 14px;
}
</style>
