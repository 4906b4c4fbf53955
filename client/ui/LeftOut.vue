<script setup lang="ts">
import { computed } from 'vue'
import { partName } from '../../core/job/index.ts'
import { warningWords } from '../../core/warnings/index.ts'
import { useJob } from '../stores/job.ts'

/** Parts of a set that cannot be made as they stand: nothing of them is counted on this page, and why. */
const jobs = useJob()
const out = computed(() =>
  (jobs.plan?.kind === 'worked' ? jobs.plan.parts : []).flatMap(({ kind, part, warnings }) => {
    const stop = warnings.find((w) => w.level === 'stop')
    return kind === 'unworkable' && stop
      ? [{ letter: part.letter, name: partName(part), says: warningWords(stop, part.units).says }]
      : []
  }),
)
</script>

<template>
  <p v-for="p in out" :key="p.letter" class="left-out" role="status">
    <b>{{ p.name }} cannot be made as they stand, and count nowhere here.</b> {{ p.says }}
    <button type="button" class="plain-button no-print" @click="jobs.look(p.letter)">Look at them</button>
  </p>
</template>

<style scoped>
.left-out {
  margin: 0 0 8px;
  padding: 6px 10px;
  border-left: 4px solid var(--rust);
  background: var(--rust-wash);
}
</style>
