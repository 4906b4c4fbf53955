<script setup lang="ts">
import { computed } from 'vue'
import type { JobSummary } from '../../contract/index.ts'
import { dayName, dayNumber } from '../../core/calendar/index.ts'
import { FOLLOW_UP_WORDS } from '../job/follow-up-words.ts'
import { dayOf } from '../ui/today.ts'
import { wholeDay } from '../ui/manner.ts'

/** What customers are to be reminded of, up to a fortnight ahead. */
const props = defineProps<{ jobs: readonly JobSummary[] }>()
const AHEAD_DAYS = 14
const due = computed(() => {
  const until = dayName(dayNumber(dayOf(new Date())) + AHEAD_DAYS)
  return props.jobs
    .flatMap((j) => j.card.followUps.filter((f) => f.day <= until).map((f) => ({ ...f, job: j })))
    .toSorted((a, b) => a.day.localeCompare(b.day))
})
</script>

<template>
  <section v-if="due.length > 0" class="sheet reminders">
    <h2>Reminders</h2>
    <ul>
      <li v-for="(d, i) in due" :key="i">
        <RouterLink :to="`/jobs/${d.job.id}/fit`">{{ d.job.ticket }}</RouterLink> {{ FOLLOW_UP_WORDS[d.kind] }},
        {{ wholeDay(d.day) }} <span class="quiet">{{ d.job.customer }}</span>
      </li>
    </ul>
  </section>
</template>

<style scoped>
.reminders {
  padding: 12px 16px;
  margin-bottom: 14px;
}

ul {
  margin: 6px 0 0;
  padding-left: 18px;
}

a {
  color: var(--chalk);
}
</style>
