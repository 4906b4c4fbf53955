<script setup lang="ts">
import { computed } from 'vue'
import type { Proposal } from '../../core/learning/index.ts'
import { Bar } from '../ui/chart.ts'

/** Each log of a proposal: how far what was found lies from what was planned. */
const props = defineProps<{ proposal: Proposal }>()
const data = computed(() => ({
  labels: props.proposal.evidence.map((e) => e.label),
  datasets: [
    {
      label: 'found less planned, %',
      data: props.proposal.evidence.map((e) => e.value * 100),
      backgroundColor: '#2a638e',
    },
  ],
}))
const options = {
  responsive: true,
  maintainAspectRatio: false,
  animation: false as const,
  plugins: { legend: { display: false } },
  scales: { y: { title: { display: true, text: 'found less planned, %' } } },
}
</script>

<template>
  <div class="chart"><Bar :data="data" :options="options" :aria-label="proposal.says" /></div>
</template>

<style scoped>
.chart {
  height: 170px;
  position: relative;
  margin-bottom: 8px;
}
</style>
