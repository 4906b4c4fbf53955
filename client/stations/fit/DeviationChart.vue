<script setup lang="ts">
import { computed } from 'vue'
import { phrase } from '../../../core/language/index.ts'
import type { WorkedPart } from '../../../core/planned/index.ts'
import { cushionKey } from '../../../core/job/index.ts'
import { mmPerUnit, unitName } from '../../../core/units/index.ts'
import { useJob } from '../../stores/job.ts'
import { Bar } from '../../ui/chart.ts'

/** How far each cushion finished from its plan, by width, depth and thickness. */
const props = defineProps<{ plan: WorkedPart }>()
const jobs = useJob()
const WAYS = [
  { key: 'widthMm', of: 'width', label: 'width', colour: '#2a638e' },
  { key: 'depthMm', of: 'depth', label: 'depth', colour: '#8a6a22' },
  { key: 'thicknessMm', of: 'thickness', label: 'thickness', colour: '#4a6630' },
] as const
const fitted = computed(() =>
  props.plan.cushions.inOrder.flatMap(({ design }, i) => {
    const fit = jobs.job!.fitting.fits[cushionKey(jobs.inView, i)]
    return fit ? [{ number: `${props.plan.prefix}${i + 1}`, fit, solid: props.plan.designs[design]!.cover.solid }] : []
  }),
)
const data = computed(() => ({
  labels: fitted.value.map((f) => phrase`cushion ${f.number}`),
  datasets: WAYS.map((w) => ({
    label: w.label,
    backgroundColor: w.colour,
    data: fitted.value.map((f) =>
      f.fit[w.key] === null ? null : (f.fit[w.key]! - f.solid[w.of].value) / mmPerUnit(jobs.job!.units),
    ),
  })),
}))
const options = computed(() => ({
  responsive: true,
  maintainAspectRatio: false,
  animation: false as const,
  scales: { y: { title: { display: true, text: phrase`measured less planned, ${unitName(jobs.job!.units)}` } } },
  plugins: { legend: { position: 'right' as const, labels: { boxWidth: 14 } } },
}))
</script>

<template>
  <div v-if="fitted.length > 0" class="chart">
    <Bar :data="data" :options="options" aria-label="Measured less planned" />
  </div>
</template>

<style scoped>
.chart {
  height: 190px;
  margin: 6px 14px;
  position: relative;
}
</style>
