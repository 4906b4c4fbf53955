<script setup lang="ts">
import { computed, onMounted, shallowRef } from 'vue'
import type { JobSummary } from '../../contract/index.ts'
import { listShelf } from '../api/jobs.ts'
import { useJob } from '../stores/job.ts'
import { lessonsFor } from './lessons.ts'

/** What was written down on other jobs with the same cloth, make-up or seat. */
const jobs = useJob()
const others = shallowRef<readonly JobSummary[]>([])
onMounted(async () => {
  others.value = await listShelf().catch(() => [])
})
const lessons = computed(() => (jobs.job ? lessonsFor(jobs.id, jobs.job, others.value) : []))
</script>

<template>
  <ul v-if="lessons.length > 0" class="lessons" aria-label="Lessons of earlier jobs">
    <li v-for="l in lessons" :key="l.id">
      <strong>{{ l.ticket }}</strong> <span class="quiet">{{ l.because }}</span><br />{{ l.lesson }}
    </li>
  </ul>
</template>

<style scoped>
.lessons {
  list-style: none;
  margin: 0;
  padding: 0;
}

li {
  padding: 7px 10px;
  border-left: 4px solid var(--brass);
  background: var(--note);
  font-size: 15px;
  margin-bottom: 6px;
}
</style>
