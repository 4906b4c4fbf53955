<script setup lang="ts">
import { computed, ref, useId, watch } from 'vue'
import { formatLength, parseLength, unitName, type LengthUnit } from '../../core/units/index.ts'
import { lengthWords } from './length-words.ts'

const props = defineProps<{ modelValue: number; unit: LengthUnit; name: string; min?: number; max?: number; line?: 'net' | 'cut' }>()
const emit = defineEmits<{ 'update:modelValue': [mm: number]; done: [] }>()

const fieldId = useId()
const text = ref(formatLength(props.modelValue, props.unit))
const touched = ref(false)
const focused = ref(false)
const read = computed(() => parseLength(text.value, props.unit))
const fault = computed(() => (touched.value ? lengthWords(props.name, text.value, read.value, props) : ''))
const echo = computed(() => (read.value.ok ? `${read.value.value.understood}${props.line ? `, ${props.line}` : ''}` : ''))

watch(
  () => [props.modelValue, props.unit] as const,
  () => {
    const shown = read.value.ok && Math.abs(read.value.value.mm - props.modelValue) < 0.01
    if (!focused.value || !shown) if (!(focused.value && fault.value)) text.value = formatLength(props.modelValue, props.unit)
  },
)

function typed(): void {
  touched.value = true
  if (read.value.ok && lengthWords(props.name, text.value, read.value, props) === '') emit('update:modelValue', read.value.value.mm)
}

/** A bad entry stays to be mended; a good one is shown in the job's unit. */
function leave(): void {
  focused.value = false
  if (fault.value === '') text.value = formatLength(props.modelValue, props.unit)
  emit('done')
}
</script>

<template>
  <div class="length-field">
    <span class="box" :class="{ bad: fault !== '' }">
      <input
        :id="fieldId"
        v-model="text"
        :aria-label="name"
        :aria-invalid="fault !== ''"
        :aria-describedby="`${fieldId}-said`"
        inputmode="text"
        autocomplete="off"
        spellcheck="false"
        @input="typed"
        @focus="focused = true"
        @blur="leave"
        @keydown.enter="leave"
      />
      <span class="unit">{{ unitName(unit) }}</span>
    </span>
    <span :id="`${fieldId}-said`" class="said" :class="{ fault: fault !== '' }" :role="fault ? 'alert' : undefined">{{ fault || (focused || touched ? echo : '') }}</span>
  </div>
</template>

<style scoped>
.length-field {
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
