<script setup lang="ts">
import { computed, ref } from 'vue'
import { phrase } from '../../../core/language/index.ts'
import { fewestPages, PAGES, templatePdf } from '../../../core/formats/index.ts'
import { at, boxOf, onEdge } from '../../../core/outline/index.ts'
import { topOf } from '../../../core/seat/index.ts'
import { formatLengthWithUnit } from '../../../core/units/index.ts'
import { useJob } from '../../stores/job.ts'
import { download } from '../../ui/download.ts'
import ChoiceButtons from '../../ui/ChoiceButtons.vue'

/** The outline of the seat or of a cushion at true size, in pages to be glued together and tried on the seat. */
defineProps<{ modelValue: boolean }>()
const emit = defineEmits<{ 'update:modelValue': [open: boolean] }>()
const jobs = useJob()
const what = ref('seat')
const size = ref('A4')
const isMaking = ref(false)
const failed = ref('')
const cushions = computed(() => jobs.part!.cushions!)
const letterOf = (id: string) => (cushions.value.designs.length === 1 ? '' : ` ${id}`)
/** Blocks of foam, where they are worked out: larger or smaller than the finished cushion, and traced onto the foam. */
const blocks = computed(() => (jobs.plan?.kind === 'worked' && jobs.plan.cutting ? jobs.plan.cutting.blocks : []))
const choices = computed(() => [
  { value: 'seat', label: 'the whole seat' },
  ...cushions.value.designs.map((d) => ({
    value: d.id,
    label: letterOf(d.id) === '' ? 'one cushion' : phrase`cushion ${d.id}`,
  })),
  ...blocks.value.map((b) => ({ value: phrase`block ${b.letter}`, label: phrase`foam block${letterOf(b.letter)}` })),
])
const page = computed(() => PAGES.find((p) => p.name === size.value)!)
const template = computed(() => {
  const design = cushions.value.designs.find((d) => d.id === what.value)
  const block = blocks.value.find((b) => what.value === `block ${b.letter}`)
  const solid = block?.block ?? design?.solid
  const { outline, edges } = solid ?? cushions.value.seat.bare
  const leans = edges.map((e) => e.leanRad)
  const top = solid && leans.some((l) => l !== 0) ? topOf(solid) : null
  const job = jobs.job!
  const box = boxOf(outline)
  return {
    title: `${job.ticket} ${job.title}: ${block ? phrase`foam block${letterOf(block.letter)}, cut` : design ? phrase`cushion ${design.id}, net` : 'seat, net'}`,
    foot: outline,
    top,
    labels:
      edges.length > 30
        ? []
        : edges.map((e, i) => ({
            at: inwards(onEdge(outline, i, 0.5), box),
            text: e.side === 'front' && e.name === job.seat.front ? 'front' : e.name,
          })),
    notes: [
      phrase`${formatLengthWithUnit(box.maxX, job.units)} x ${formatLengthWithUnit(box.maxY, job.units)} over all. ${block ? 'The line is where the knife goes; it is the block, not the cushion.' : phrase`${design ? 'The line is where the finished cushion ends' : 'The line is the seat as measured'}, no seam allowance.`}`,
      ...(top ? ['Full line: foot. Dashed: its top, where sides lean.'] : []),
      'Fold a symmetrical template down its middle: both halves must agree.',
    ],
  }
})
const inwards = (p: { x: number; y: number }, box: { maxX: number; maxY: number }) =>
  at(p.x + (box.maxX / 2 - p.x) * 0.04, p.y + (box.maxY / 2 - p.y) * 0.06)
const pages = computed(() => fewestPages(template.value, page.value))

async function make(): Promise<void> {
  isMaking.value = true
  failed.value = ''
  try {
    const bytes = await templatePdf(template.value, page.value)
    download(`${jobs.job!.ticket}-template-${what.value}.pdf`, new Uint8Array(bytes), 'application/pdf')
    emit('update:modelValue', false)
  } catch (cause) {
    failed.value = phrase`The template could not be made: ${(cause as Error).message}`
  } finally {
    isMaking.value = false
  }
}
</script>

<template>
  <ElDialog
    :model-value="modelValue"
    title="Paper template at true size"
    width="560px"
    @update:model-value="$emit('update:modelValue', $event)"
  >
    <div class="field-row">
      <span class="label">Outline of</span>
      <div><ChoiceButtons v-model="what" :choices="choices" name="Outline of" /></div>
    </div>
    <div class="field-row">
      <span class="label">Paper</span>
      <div>
        <ChoiceButtons v-model="size" :choices="PAGES.map((p) => ({ value: p.name, label: p.name }))" name="Paper" />
      </div>
    </div>
    <p>
      {{ pages.tiling.tiles.length + 1 }} pages: a first one with a 100 mm square to check the printer, then those the
      outline needs of {{ pages.tiling.columns }} across and {{ pages.tiling.rows }} up, with crosses where neighbours
      overlap.<template v-if="pages.angleRad > 0"> It is drawn turned, to take fewer pages.</template>
    </p>
    <p v-if="failed" role="alert" class="failed">{{ failed }}</p>
    <button type="button" class="plain-button" :disabled="isMaking" @click="make">
      {{ isMaking ? 'Making the PDF …' : 'Make the PDF' }}
    </button>
  </ElDialog>
</template>

<style scoped>
.field-row {
  margin-bottom: 10px;
}

.failed {
  color: var(--rust);
}
</style>
