<script setup lang="ts">
import { ref, watch } from 'vue'
import { AllowanceBook, limits, type ShopSettings } from '../../contract/index.ts'
import { ALLOWANCE_LABELS, ALLOWANCE_NAMES } from '../../core/cover/index.ts'
import { useShop } from '../stores/shop.ts'
import LengthField from '../ui/LengthField.vue'
import { UNIT_CHOICES } from '../ui/unit-choices.ts'

const props = defineProps<{ modelValue: boolean }>()
const emit = defineEmits<{ 'update:modelValue': [open: boolean] }>()
const shop = useShop()
/** The settings as they were when this was opened. */
let base = shop.lists!.settings
const draft = ref<ShopSettings>(structuredClone(base))
const failed = ref('')

watch(
  () => props.modelValue,
  (open) => {
    if (!open) return
    base = shop.lists!.settings
    draft.value = structuredClone(base)
  },
)

const setBook = (name: keyof AllowanceBook, mm: number) =>
  (draft.value = { ...draft.value, book: { ...draft.value.book, [name]: mm } })

async function save(): Promise<void> {
  try {
    await shop.changeSettings(draft.value, base)
    emit('update:modelValue', false)
  } catch (cause) {
    failed.value = (cause as Error).message
  }
}
</script>

<template>
  <ElDialog
    :model-value="modelValue"
    title="The shop's allowance book"
    width="560px"
    @update:model-value="emit('update:modelValue', $event)"
  >
    <p class="quiet">New jobs start with these. Jobs already started keep the book they were started with.</p>
    <div v-for="name in ALLOWANCE_NAMES" :key="name" class="field-row">
      <span class="label">{{ ALLOWANCE_LABELS[name] }}</span>
      <LengthField
        :model-value="draft.book[name]"
        :unit="draft.units"
        v-bind="limits(AllowanceBook.shape[name])"
        :name="ALLOWANCE_LABELS[name]"
        @update:model-value="setBook(name, $event)"
      />
    </div>
    <div class="field-row">
      <span class="label">Lengths of new jobs</span>
      <ElSelect v-model="draft.units" aria-label="Unit of new jobs"
        ><ElOption v-for="u in UNIT_CHOICES" :key="u.value" :value="u.value" :label="u.label"
      /></ElSelect>
    </div>
    <p v-if="failed" role="alert">{{ failed }}</p>
    <template #footer>
      <button type="button" class="plain-button main" @click="save">Keep in the book</button>
    </template>
  </ElDialog>
</template>

<style scoped>
.field-row {
  grid-template-columns: 220px 1fr;
  margin-bottom: 6px;
}
</style>
