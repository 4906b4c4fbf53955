<script setup lang="ts">
import { onMounted, shallowRef } from 'vue'
import type { HistorySize } from '../../contract/index.ts'
import { historySize } from '../api/records.ts'
import { useAttempt } from '../ui/use-attempt.ts'
import { count, moment } from '../ui/manner.ts'

/** What the history of all jobs takes, and what could not be read and was set aside. */
const { failed, attempt } = useAttempt()
const size = shallowRef<HistorySize | null>(null)
onMounted(() =>
  attempt(async () => {
    size.value = await historySize()
  }),
)
const megabytes = (bytes: number) => (bytes / 1024 / 1024).toFixed(bytes < 1024 * 1024 ? 2 : 1)
</script>

<template>
  <section class="sheet" aria-label="History">
    <h2>History</h2>
    <p v-if="size">
      {{ count(size.revisions) }} revisions of all jobs take {{ megabytes(size.bytes) }} MB. None is ever thrown away:
      older ones are kept as what they differ in.
    </p>
    <template v-if="size && size.aside.length > 0">
      <p class="failed">
        Something could not be read and was set aside, so that the rest goes on. Its bytes are kept in the database; an
        older backup may still have it whole.
      </p>
      <ul>
        <li v-for="a in size.aside" :key="a.at + a.name">
          {{ a.name || 'nameless' }} ({{ a.stoodIn }}), {{ moment(a.at) }}: {{ a.why }}
        </li>
      </ul>
    </template>
    <p v-if="failed" class="failed" role="alert">{{ failed }}</p>
  </section>
</template>

<style scoped>
.failed {
  color: var(--rust);
}
</style>
