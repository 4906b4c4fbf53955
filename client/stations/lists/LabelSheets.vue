<script setup lang="ts">
import { computed, ref } from 'vue'
import { phrase } from '../../../core/language/index.ts'
import { LABEL_SHEETS, labelPdf, labelsOn, type LabelSheet } from '../../../core/formats/index.ts'
import type { BlockLabel, CoverLabel } from '../../../core/lists/index.ts'
import { formatLength, unitName } from '../../../core/units/index.ts'
import { useJob } from '../../stores/job.ts'
import { useShop } from '../../stores/shop.ts'
import ChoiceButtons from '../../ui/ChoiceButtons.vue'
import CountField from '../../ui/CountField.vue'
import { download } from '../../ui/download.ts'
import { useAddress } from './use-address.ts'

/** The labels of a job on a sheet of gummed labels, from the first that is still on it. */
const props = defineProps<{ blocks: readonly BlockLabel[]; covers: readonly CoverLabel[] }>()
const jobs = useJob()
const shop = useShop()
const { address } = useAddress()
const paper = computed(() => (shop.lists?.settings.paper === 'letter' ? 'Letter' : 'A4'))
/** Those of the shop's paper first. */
const sheets = computed(() => LABEL_SHEETS.toSorted((a, b) => rank(a) - rank(b)))
const rank = (s: LabelSheet) => (s.page.name === paper.value ? 0 : 1)
const wanted = ref('')
const sheet = computed(() => sheets.value.find((s) => s.id === wanted.value) ?? sheets.value[0]!)
const words = (s: LabelSheet) => {
  const { units } = jobs.job!
  const size = phrase`${formatLength(s.widthMm, units)} x ${formatLength(s.heightMm, units)} ${unitName(units)}`
  return phrase`${labelsOn(s)} on ${s.page.name}, ${size}`
}
const KINDS = [
  { value: 'both', label: 'Blocks and covers' },
  { value: 'blocks', label: 'Blocks' },
  { value: 'covers', label: 'Covers' },
] as const
const kind = ref<(typeof KINDS)[number]['value']>('both')
const first = ref(1)
const failed = ref('')
const labels = computed(() => {
  const { ticket, customer } = jobs.job!
  const blocks = props.blocks.map((l) => ({
    head: phrase`${ticket} block ${l.block}`,
    lines: [l.size, l.layers, l.parts, l.note, customer],
    address: address('filling'),
  }))
  const covers = props.covers.map((l) => ({
    head: phrase`${ticket} cover ${l.number} of ${props.covers.length}`,
    lines: [l.size, l.made, l.place, l.wash, l.papers],
    address: address('fit'),
  }))
  return [...(kind.value === 'covers' ? [] : blocks), ...(kind.value === 'blocks' ? [] : covers)]
})
const firstFree = computed(() => Math.min(first.value, labelsOn(sheet.value)) - 1)
const sheetCount = computed(() => Math.ceil((firstFree.value + labels.value.length) / labelsOn(sheet.value)))

async function save(): Promise<void> {
  failed.value = ''
  try {
    const bytes = await labelPdf(labels.value, sheet.value, firstFree.value)
    download(phrase`${jobs.job!.ticket} labels.pdf`, new Uint8Array(bytes), 'application/pdf')
  } catch (cause) {
    failed.value = phrase`The labels cannot be written: ${(cause as Error).message}`
  }
}
</script>

<template>
  <section class="label-sheets no-print">
    <h2>Labels on a gummed sheet</h2>
    <div class="fields-in-line">
      <label>
        Sheet
        <ElSelect
          :model-value="sheet.id"
          aria-label="Sheet of labels"
          class="sheet-choice"
          @update:model-value="wanted = $event"
        >
          <ElOption v-for="s in sheets" :key="s.id" :value="s.id" :label="words(s)" />
        </ElSelect>
      </label>
      <ChoiceButtons v-model="kind" :choices="KINDS" name="Labels for" />
    </div>
    <div class="fields-in-line">
      <span>First label that is left</span>
      <CountField v-model="first" name="First label that is left" :min="1" :max="labelsOn(sheet)" />
      <button type="button" class="plain-button" :disabled="labels.length === 0" @click="save">Labels as PDF</button>
    </div>
    <p class="quiet">
      {{ labels.length }} labels on {{ sheetCount }} {{ sheetCount === 1 ? 'sheet' : 'sheets' }}. Print at 100 %, not
      fitted to the page; try it on plain paper first and hold it against the sheet.
    </p>
    <p v-if="failed" role="alert" class="fault">{{ failed }}</p>
  </section>
</template>

<style scoped>
h2 {
  font-size: 20px;
}

.sheet-choice {
  width: 290px;
}
</style>
