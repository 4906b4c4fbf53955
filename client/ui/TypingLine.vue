<script setup lang="ts">
import { computed, ref } from 'vue'
import { JOB_LIMITS, type Job, type Seat } from '../../contract/index.ts'
import type { Edit } from '../../core/job/index.ts'
import { readTyped, typingWords } from '../../core/typing/index.ts'
import type { LengthUnit } from '../../core/units/index.ts'
import { useShop } from '../stores/shop.ts'

const props = defineProps<{ job: Job | null; units: LengthUnit; placeholder: string }>()
const emit = defineEmits<{ seat: [seat: Seat, says: string, units: LengthUnit]; edit: [edit: Edit]; help: [] }>()

const shop = useShop()
const text = ref('')
const said = ref('')
const failed = ref(false)
const field = ref<HTMLInputElement>()
const typed = computed(() => readTyped(text.value, { job: props.job, units: props.units, grades: shop.lists?.grades ?? [], cloths: shop.lists?.cloths ?? [], limits: JOB_LIMITS }))
/** While typing, a line that is understood so far is said back; faults wait for Enter. */
const echo = computed(() => {
  if (text.value.trim() === '') return said.value
  if (!typed.value.ok) return ''
  return typed.value.value.kind === 'seat' ? typed.value.value.says : typed.value.value.edit.says
})

function enter(): void {
  if (text.value.trim() === '?') {
    text.value = ''
    return emit('help')
  }
  failed.value = !typed.value.ok
  if (!typed.value.ok) {
    said.value = typingWords(typed.value.error)
    return
  }
  const { value } = typed.value
  said.value = `Understood: ${value.kind === 'seat' ? value.says : value.edit.says}`
  text.value = ''
  if (value.kind === 'seat') emit('seat', value.seat, value.says, value.units)
  else emit('edit', value.edit)
}

defineExpose({ focus: () => field.value?.focus() })
</script>

<template>
  <form class="typing-line no-print" @submit.prevent="enter">
    <input ref="field" v-model="text" :placeholder="placeholder" aria-label="Type what you want" autocomplete="off" spellcheck="false" @input="failed = false" />
    <output :class="{ failed }" aria-live="polite">{{ failed ? said : echo }}</output>
    <button type="button" class="plain-button" @click="emit('help')">What can I type?</button>
  </form>
</template>

<style scoped>
.typing-line {
  display: grid;
  grid-template-columns: minmax(280px, 2fr) 3fr auto;
  align-items: center;
  gap: 14px;
  padding: 8px 14px;
  background: #e3d8c3;
  border-top: 1px solid #cdbfa3;
}

input {
  height: 38px;
  border: 1px solid #a89a7d;
  border-radius: 3px;
  background: #fffdf8;
  padding: 0 12px;
  font: inherit;
  font-size: 17px;
  color: inherit;
}

input::placeholder {
  color: #6d706c;
}

output {
  color: var(--moss);
  font-weight: 600;
}

output.failed {
  color: var(--rust);
}
</style>
