<script setup lang="ts">
import { shelfCsv, trimsCsv } from '../../core/formats/index.ts'
import { listJobs } from '../api/jobs.ts'
import { useShop } from '../stores/shop.ts'
import { download } from '../ui/download.ts'
import { csvManner } from '../ui/manner.ts'
import { useAttempt } from '../ui/use-attempt.ts'

/** Lists for a spreadsheet. */
const shop = useShop()
const { failed, attempt } = useAttempt()
const jobs = () => attempt(async () => download('jobs.csv', shelfCsv(await listJobs(), csvManner()), 'text/csv'))
const trims = () => download('trims.csv', trimsCsv(shop.lists?.trims ?? [], csvManner()), 'text/csv')
</script>

<template>
  <section class="sheet" aria-label="Lists">
    <h2>Lists for a spreadsheet</h2>
    <div class="fields-in-line">
      <button type="button" class="plain-button" @click="jobs">Jobs</button
      ><button type="button" class="plain-button" :disabled="!shop.lists" @click="trims">Trims</button>
    </div>
    <p v-if="failed" role="alert">{{ failed }}</p>
  </section>
</template>
