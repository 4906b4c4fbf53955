<script setup lang="ts">
import { computed } from 'vue'
import { useJob } from '../stores/job.ts'
import { differences } from './differences.ts'
import { timeOfDay } from '../ui/manner.ts'

const jobs = useJob()
const rows = computed(() => (jobs.conflict && jobs.whole ? differences(jobs.whole, jobs.conflict.job) : []))
</script>

<template>
  <ElDialog
    :model-value="jobs.conflict !== null"
    title="This job was saved from another window"
    width="640px"
    :show-close="false"
    :close-on-click-modal="false"
    :close-on-press-escape="false"
  >
    <p v-if="jobs.conflict">
      Revision {{ jobs.conflict.revision }} was saved at {{ timeOfDay(jobs.conflict.savedAt) }}, after this window last
      saved. Both versions stay in the history; choose which one the job goes on with.
    </p>
    <table>
      <thead>
        <tr>
          <th>Where</th>
          <th>Here</th>
          <th>There</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="row in rows" :key="row.path">
          <th scope="row">{{ row.path.replace(/^parts ([A-P])/, jobs.whole!.parts.length > 1 ? 'part $1' : '') }}</th>
          <td>{{ row.mine }}</td>
          <td>{{ row.theirs }}</td>
        </tr>
      </tbody>
    </table>
    <template #footer>
      <button type="button" class="plain-button" @click="jobs.takeTheirs()">Go on with theirs</button>
      <button type="button" class="plain-button main" @click="jobs.keepMine()">Go on with mine</button>
    </template>
  </ElDialog>
</template>

<style scoped>
th,
td {
  text-align: left;
  padding: 4px 14px 4px 0;
  font-weight: 400;
  vertical-align: top;
}

thead th {
  color: var(--ink-soft);
}

.plain-button {
  margin-left: 10px;
}
</style>
