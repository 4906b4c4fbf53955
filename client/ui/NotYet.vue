<script setup lang="ts">
import { computed } from 'vue'
import { useJob } from '../stores/job.ts'
import WarningList from './WarningList.vue'

const jobs = useJob()
const stops = computed(() => jobs.plan?.warnings.filter((w) => w.level === 'stop') ?? [])
</script>

<template>
  <div class="sheet not-yet">
    <h2>Nothing can be worked out from these measurements yet</h2>
    <WarningList :warnings="stops" />
    <p><RouterLink :to="`/jobs/${jobs.id}/measure`">Back to the tape</RouterLink></p>
  </div>
</template>

<style scoped>
.not-yet {
  padding: 20px;
  align-self: start;
}

h2 {
  margin-bottom: 12px;
}

a {
  color: var(--chalk);
}
</style>
