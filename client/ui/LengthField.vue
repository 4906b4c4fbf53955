<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { formatLength, parseLength, unitName, type LengthUnit } from '../../core/units/index.ts'
import FieldBox from './FieldBox.vue'
import { lengthWords } from './length-words.ts'

const props = defineProps<{
  modelValue: number
  unit: LengthUnit
  name: string
  min?: number
  max?: number
  line?: 'net' | 'cut'
}>()
const emit = defineEmits<{ 'update:modelValue': [mm: number]; done: [] }>()

const text = ref(formatLength(props.modelValue, props.unit))
const touched = ref(false)
const focused = ref(false)
const read = computed(() => parseLength(text.value, props.unit))
const fault = computed(() => (touched.value ? lengthWords(props.name, text.value, read.value, props) : ''))
const echo = computed(() =>
  read.value.ok ? `${read.value.value.understood}${props.line ? `, ${props.line}` : ''}` : '',
)

watch(
  () => [props.modelValue, props.unit] as const,
  () => {
    const shown = read.value.ok && Math.abs(read.value.value.mm - props.modelValue) < 0.01
    if (!focused.value || !shown)
      if (!(focused.value && fault.value)) text.value = formatLength(props.modelValue, props.unit)
  },
)

function typed(): void {
  touched.value = true
  if (read.value.ok && lengthWords(props.name, text.value, read.value, props) === '')
    emit('update:modelValue', read.value.value.mm)
}

/** A bad entry stays to be mended; a good one is shown in the job's unit. */
function leave(): void {
  focused.value = false
  if (fault.value === '') text.value = formatLength(props.modelValue, props.unit)
  emit('done')
}
</script>

<template>
  <FieldBox
    v-model="text"
    :name="name"
    :unit="unitName(unit)"
    :lengths="unit"
    :fault="fault"
    :echo="focused || touched ? echo : ''"
    @typed="typed"
    @entered="focused = true"
    @left="leave"
  />
</template>
