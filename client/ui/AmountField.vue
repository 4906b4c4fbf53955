<script setup lang="ts">
import { computed, ref, useId, watch } from 'vue'
import { amountUnit, formatAmount, otherUnits, parseAmount, shownAmount, type AmountKind } from '../../core/units/index.ts'

/** A number with a unit that is no length: typed in any unit of its kind, shown in the stored one. `null` may be wanted: empty. */
const props = defineProps<{ modelValue: number | null; kind: AmountKind; name: string; min: number; max: number; optional?: boolean; placeholder?: string }>()
const emit = defineEmits<{ 'update:modelValue': [value: number | null] }>()

const fieldId = useId()
const shown = () => (props.modelValue === null ? '' : shownAmount(props.modelValue, props.kind))
const text = ref(shown())
const focused = ref(false)
const touched = ref(false)
const read = computed(() => parseAmount(text.value, props.kind))
const isEmpty = computed(() => props.optional === true && text.value.trim() === '')
const fault = computed(() => {
  if (!touched.value || isEmpty.value) return ''
  if (!read.value.ok) {
    const others = otherUnits(props.kind)
    return `${props.name}: "${text.value}" is not understood. Type ${shownAmount((props.min + props.max) / 2, props.kind)}${others.length > 0 ? `, or with ${others.join(' or ')}` : ''}.`
  }
  const { value } = read.value.value
  return value < props.min - 1e-9 || value > props.max + 1e-9 ? `${props.name} must lie between ${formatAmount(props.min, props.kind)} and ${formatAmount(props.max, props.kind)}.` : ''
})
const echo = computed(() => (read.value.ok && !/^[\d.,\s]*$/.test(text.value) ? read.value.value.understood : ''))

watch(() => props.modelValue, () => {
  if (!focused.value) text.value = shown()
})

function typed(): void {
  touched.value = true
  if (isEmpty.value) emit('update:modelValue', null)
  else if (read.value.ok && fault.value === '') emit('update:modelValue', read.value.value.value)
}

/** A bad entry stays to be mended; a good one is shown in the stored unit. */
function leave(): void {
  focused.value = false
  if (fault.value === '') text.value = shown()
}
</script>

<template>
  <div class="amount-field">
    <span class="box" :class="{ bad: fault !== '' }">
      <input :id="fieldId" v-model="text" :aria-label="name" :aria-invalid="fault !== ''" :aria-describedby="`${fieldId}-said`" :placeholder="placeholder ?? ''" autocomplete="off" spellcheck="false" @input="typed" @focus="focused = true" @blur="leave" @keydown.enter="leave" />
      <span v-if="amountUnit(kind)" class="unit">{{ amountUnit(kind) }}</span>
    </span>
    <span :id="`${fieldId}-said`" class="said" :class="{ fault: fault !== '' }" :role="fault ? 'alert' : undefined">{{ fault || (focused ? echo : '') }}</span>
  </div>
</template>

<style scoped>
.amount-field {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 2px 10px;
}

.box {
  display: inline-flex;
  align-items: center;
  border: 1px solid #b9ab8f;
  border-radius: 3px;
  background: #fffdf8;
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
  width: 86px;
  height: 100%;
  border: 0;
  padding: 0 4px 0 9px;
  background: none;
  font: inherit;
  color: inherit;
  outline: none;
  text-align: right;
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
