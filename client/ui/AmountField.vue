<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { phrase } from '../../core/language/index.ts'
import {
  amountUnit,
  formatAmount,
  otherUnits,
  parseAmount,
  shownAmount,
  type AmountKind,
  type LengthUnit,
} from '../../core/units/index.ts'
import FieldBox from './FieldBox.vue'

/**
 * A number with a unit that is no length: typed in any unit of its kind, shown in the one that stands beside the lengths
 * of the job or the shop (`lengths`). `null` may be wanted: empty. Without a `min` it must be more than nought.
 */
const props = withDefaults(
  defineProps<{
    modelValue: number | null
    kind: AmountKind
    /** To be given where the kind has pounds, yards or feet. */
    lengths?: LengthUnit
    name: string
    min?: number
    max: number
    optional?: boolean
    placeholder?: string
  }>(),
  { lengths: 'mm' },
)
const emit = defineEmits<{ 'update:modelValue': [value: number | null] }>()

const shown = () => (props.modelValue === null ? '' : shownAmount(props.modelValue, props.kind, props.lengths))
const text = ref(shown())
const focused = ref(false)
const touched = ref(false)
const read = computed(() => parseAmount(text.value, props.kind, props.lengths))
const isEmpty = computed(() => props.optional === true && text.value.trim() === '')
const fault = computed(() => {
  if (!touched.value || isEmpty.value) return ''
  if (!read.value.ok) {
    const others = otherUnits(props.kind, props.lengths)
    const example = shownAmount(((props.min ?? 0) + props.max) / 2, props.kind, props.lengths)
    return phrase`${props.name}: "${text.value}" is not understood. Type ${example}${others.length > 0 ? phrase`, or with ${others.join(' or ')}` : ''}.`
  }
  const { value } = read.value.value
  const most = formatAmount(props.max, props.kind, props.lengths)
  if (props.min === undefined && value <= 0) return phrase`${props.name} must be more than nought and at most ${most}.`
  return value < (props.min ?? 0) - 1e-9 || value > props.max + 1e-9
    ? phrase`${props.name} must lie between ${formatAmount(props.min ?? 0, props.kind, props.lengths)} and ${most}.`
    : ''
})
const echo = computed(() => (read.value.ok && !/^[\d.,\s]*$/.test(text.value) ? read.value.value.understood : ''))

watch(
  () => [props.modelValue, props.lengths],
  () => {
    if (!focused.value) text.value = shown()
  },
)

function typed(): void {
  touched.value = true
  if (isEmpty.value) emit('update:modelValue', null)
  else if (read.value.ok && fault.value === '') emit('update:modelValue', read.value.value.value)
}

/** A bad entry stays to be mended; a good one is shown in the unit of the field. */
function leave(): void {
  focused.value = false
  if (fault.value === '') text.value = shown()
}
</script>

<template>
  <FieldBox
    v-model="text"
    :name="name"
    :unit="amountUnit(kind, lengths)"
    :fault="fault"
    :echo="focused ? echo : ''"
    :placeholder="placeholder ?? ''"
    narrow
    @typed="typed"
    @entered="focused = true"
    @left="leave"
  />
</template>
