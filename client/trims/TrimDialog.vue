<script setup lang="ts">
import { computed, ref } from 'vue'
import { phrase } from '../../core/language/index.ts'
import { readWith, TrimUnit, TrimUse, Trim, textLimits } from '../../contract/index.ts'
import { useShop } from '../stores/shop.ts'
import EntryDialog from '../ui/EntryDialog.vue'
import { countedIn } from './counted-in.ts'
import { readNumbers, writeNumbers } from './trim-numbers.ts'
import { USE_LABELS } from './use-labels.ts'

/** One thing of the shelf: what it is for, its price and pack, what is in hand. */
const props = defineProps<{ trim: Trim; isNew: boolean }>()
const emit = defineEmits<{ close: [] }>()
const shop = useShop()
const NUMBERS = [
  ['price', 'Price of one'],
  ['pack', 'Sold in packs of'],
  ['inHand', 'In hand'],
  ['reorderAt', 'Order again at'],
] as const
const draft = ref({ ...props.trim })
const lengths = computed(() => shop.lists!.settings.units)
/** As typed. */
const numbers = ref(writeNumbers(props.trim, lengths.value))
const NAMES: Record<string, string> = {
  name: 'Name',
  price: 'Price of one',
  pack: 'Sold in packs of',
  inHand: 'In hand',
  reorderAt: 'Order again at',
}
const read = computed(() =>
  readWith(Trim, {
    ...draft.value,
    name: draft.value.name.trim(),
    ...readNumbers(numbers.value, draft.value.unit, lengths.value, props.trim),
  }),
)
const fault = computed(() => {
  if (read.value.ok) return ''
  const { path, message } = read.value.faults[0]!
  const field = path.replace('$.', '')
  return phrase`${NAMES[field] ?? field} ${message}.`
})
const keep = async () => {
  if (read.value.ok) await shop.keepTrims([read.value.value], props.isNew ? [] : [props.trim])
}
</script>

<template>
  <EntryDialog
    :title="isNew ? 'New thing of the shelf' : trim.name"
    width="520px"
    :fault="fault"
    :keep="keep"
    :drop="isNew ? null : { words: 'Take it off the shelf', run: () => shop.dropTrim(trim.id) }"
    @close="emit('close')"
  >
    <div class="field-row">
      <label for="trim-name">Name</label
      ><input id="trim-name" v-model="draft.name" class="text" v-bind="textLimits(Trim.shape.name)" />
    </div>
    <div class="field-row">
      <span class="label">For</span
      ><ElSelect v-model="draft.use" aria-label="For"
        ><ElOption v-for="u in TrimUse.options" :key="u" :value="u" :label="USE_LABELS[u]"
      /></ElSelect>
    </div>
    <div class="field-row">
      <span class="label">Counted in</span
      ><ElSelect v-model="draft.unit" aria-label="Counted in"
        ><ElOption v-for="u in TrimUnit.options" :key="u" :value="u" :label="countedIn(u, lengths).name"
      /></ElSelect>
    </div>
    <div v-for="[key, label] in NUMBERS" :key="key" class="field-row">
      <label :for="`trim-${key}`">{{ label }}</label><input
        :id="`trim-${key}`"
        v-model="numbers[key]"
        class="text"
        inputmode="decimal"
      />
    </div>
  </EntryDialog>
</template>

<style scoped>
.field-row {
  margin-bottom: 6px;
}
</style>
