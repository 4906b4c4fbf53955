<script setup lang="ts">
import { computed, ref } from 'vue'
import { PAGES, templatePdf, tileTemplate } from '../../../core/formats/index.ts'
import { atHeight, at, boxOf, onEdge } from '../../../core/outline/index.ts'
import { formatLengthWithUnit } from '../../../core/units/index.ts'
import { useJob } from '../../stores/job.ts'
import ChoiceButtons from '../../ui/ChoiceButtons.vue'

/** The outline of the seat or of a cushion at true size, in pages to be glued together and tried on the seat. */
defineProps<{ modelValue: boolean }>()
const emit = defineEmits<{ 'update:modelValue': [open: boolean] }>()
const jobs = useJob()
const what = ref('seat')
const size = ref('A4')
const isMaking = ref(false)
const failed = ref('')
const cushions = computed(() => jobs.plan!.cushions!)
const choices = computed(() => [{ value: 'seat', label: 'the whole seat' }, ...cushions.value.designs.map((d) => ({ value: d.id, label: cushions.value.designs.length === 1 ? 'one cushion' : `cushion ${d.id}` }))])
const page = computed(() => PAGES.find((p) => p.name === size.value)!)
const template = computed(() => {
  const design = cushions.value.designs.find((d) => d.id === what.value)
  const { outline, edges } = design?.solid ?? cushions.value.seat.bare
  const leans = edges.map((e) => e.leanRad)
  const top = design && leans.some((l) => l !== 0) ? atHeight(outline, leans, design.solid.thickness.value) : null
  const job = jobs.job!
  const box = boxOf(outline)
  return {
    title: `${job.ticket} ${job.title}: ${design ? `cushion ${design.id}` : 'seat'}, net`,
    foot: outline,
    top,
    labels: edges.length > 30 ? [] : edges.map((e, i) => ({ at: inwards(onEdge(outline, i, 0.5), box), text: e.side === 'front' && e.name === job.seat.front ? 'front' : e.name })),
    notes: [`${formatLengthWithUnit(box.maxX, job.units)} x ${formatLengthWithUnit(box.maxY, job.units)} over all. ${design ? 'The line is where the finished cushion ends' : 'The line is the seat as measured'}, no seam allowance.`, ...(top ? ['Full line: foot of the cushion. Dashed: its top, where sides lean.'] : []), 'Fold a symmetrical template down its middle: both halves must agree.'],
  }
})
const inwards = (p: { x: number; y: number }, box: { maxX: number; maxY: number }) => at(p.x + (box.maxX / 2 - p.x) * 0.04, p.y + (box.maxY / 2 - p.y) * 0.06)
const pages = computed(() => tileTemplate([template.value.foot, ...(template.value.top ? [template.value.top] : [])], page.value))

async function make(): Promise<void> {
  isMaking.value = true
  failed.value = ''
  try {
    const bytes = await templatePdf(template.value, page.value)
    const link = document.createElement('a')
    link.href = URL.createObjectURL(new Blob([new Uint8Array(bytes)], { type: 'application/pdf' }))
    link.download = `${jobs.job!.ticket}-template-${what.value}.pdf`
    link.click()
    setTimeout(() => URL.revokeObjectURL(link.href), 10_000)
    emit('update:modelValue', false)
  } catch (cause) {
    failed.value = `The template could not be made: ${(cause as Error).message}`
  } finally {
    isMaking.value = false
  }
}
</script>

<template>
  <ElDialog :model-value="modelValue" title="Paper template at true size" width="560px" @update:model-value="$emit('update:modelValue', $event)">
    <div class="field-row"><span class="label">Outline of</span><div><ChoiceButtons v-model="what" :choices="choices" name="Outline of" /></div></div>
    <div class="field-row"><span class="label">Paper</span><div><ChoiceButtons v-model="size" :choices="PAGES.map((p) => ({ value: p.name, label: p.name }))" name="Paper" /></div></div>
    <p>{{ pages.tiles.length + 1 }} pages: a first one with a 100 mm square to check the printer, then those the outline needs of {{ pages.columns }} across and {{ pages.rows }} up, with crosses where neighbours overlap.</p>
    <p v-if="failed" role="alert" class="failed">{{ failed }}</p>
    <button type="button" class="plain-button" :disabled="isMaking" @click="make">{{ isMaking ? 'Making the PDF …' : 'Make the PDF' }}</button>
  </ElDialog>
</template>

<style scoped>
.failed {
  color: var(--rust);
}
</style>
