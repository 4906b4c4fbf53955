<script setup lang="ts">
import { onMounted, ref } from 'vue'
import { useRouter } from 'vue-router'
import type { JobSummary, Seat } from '../../contract/index.ts'
import { startGrade } from '../../core/filling/index.ts'
import { newJob } from '../../core/job/index.ts'
import { valueOf } from '../../core/seat/index.ts'
import type { LengthUnit } from '../../core/units/index.ts'
import { createJob, listJobs } from '../api/jobs.ts'
import { useShop } from '../stores/shop.ts'
import HelpSheet from '../ui/HelpSheet.vue'
import TypingLine from '../ui/TypingLine.vue'
import AllowanceBookDialog from './AllowanceBookDialog.vue'
import { nextTicket } from './next-ticket.ts'
import { startTitle } from './start-title.ts'

const shop = useShop()
const router = useRouter()
const jobs = ref<readonly JobSummary[]>([])
const failed = ref('')
const help = ref(false)
const book = ref(false)
const picker = ref<HTMLInputElement>()
const isRead = ref(false)

onMounted(() => attempt(async () => {
  await shop.open()
  jobs.value = await listJobs()
  isRead.value = true
}))

async function attempt(work: () => Promise<void>): Promise<void> {
  failed.value = ''
  try {
    await work()
  } catch (cause) {
    failed.value = (cause as Error).message
  }
}

const start = (seat: Seat, says: string, units: LengthUnit) =>
  attempt(async () => {
    const { settings, grades, cloths } = shop.lists!
    const grade = startGrade(grades, valueOf(seat.thickness))
    const stored = await createJob(newJob({ ticket: nextTicket(jobs.value), title: startTitle(seat), units, currency: settings.currency, book: settings.book, grade, cloth: cloths[0]!, seat }), says)
    await router.push(`/jobs/${stored.id}/measure`)
  })

const openFile = (event: Event) =>
  attempt(async () => {
    const file = (event.target as HTMLInputElement).files?.[0]
    if (!file) return
    let document: unknown
    try {
      document = JSON.parse(await file.text())
    } catch {
      throw new Error(`${file.name} is not a job file: it is not JSON. Nothing was changed.`)
    } finally {
      picker.value!.value = ''
    }
    const stored = await createJob(document, `opened from ${file.name}`)
    await router.push(`/jobs/${stored.id}/measure`)
  })
</script>

<template>
  <div class="shelf">
    <header>
      <h1>Loft Seam</h1>
      <span class="quiet">{{ shop.lists?.settings.shopName }}</span>
      <span class="gap" />
      <RouterLink to="/foam" class="plain-button">Foam store</RouterLink>
      <RouterLink to="/cloth" class="plain-button">Cloth store</RouterLink>
      <button type="button" class="plain-button" :disabled="!shop.lists" @click="book = true">Allowance book</button>
      <button type="button" class="plain-button" @click="picker?.click()">Open a job file</button>
      <input ref="picker" type="file" accept=".json,application/json" hidden @change="openFile" />
    </header>
    <p v-if="failed" class="failed" role="alert">{{ failed }}</p>
    <main>
      <ul class="nails">
        <li v-for="job in jobs" :key="job.id">
          <RouterLink :to="`/jobs/${job.id}/measure`" class="ticket">
            <span class="number">{{ job.ticket }}</span>
            <span class="name">{{ job.title }}</span>
            <span class="quiet">{{ job.customer || 'no customer noted' }}</span>
            <span class="quiet">revision {{ job.revision }}, {{ new Date(job.savedAt).toLocaleDateString() }}</span>
          </RouterLink>
        </li>
      </ul>
      <section v-if="isRead" class="teach sheet">
        <h2>Start from the tape</h2>
        <p>Type the seat at the foot of the page, as you would say it:</p>
        <p class="say">bench 2236 x 468 x 75 in 3</p>
        <p class="say">bench 88 x 18 1/2 x 3 in 3</p>
        <p class="say">ring 1870 x 520 x 90 wall 3640 in 5</p>
        <p class="say">berth 1860 x 640 x 215 x 100 hull 24 pair</p>
        <p>Then walk the stations: measure, filling, make-up, pieces, lay, cut &amp; buy. Every figure opens into its sum; nothing is locked.</p>
      </section>
    </main>
    <TypingLine :job="null" :units="shop.lists?.settings.units ?? 'mm'" placeholder="Start a job: bench 2236 x 468 x 75 in 3" @seat="start" @help="help = true" />
    <HelpSheet v-model="help" />
    <AllowanceBookDialog v-if="shop.lists" v-model="book" />
  </div>
</template>

<style scoped>
.shelf {
  height: 100%;
  display: flex;
  flex-direction: column;
}

header {
  display: flex;
  align-items: baseline;
  gap: 12px;
  padding: 12px 18px;
  border-bottom: 3px solid var(--ink);
}

h1 {
  font-size: 28px;
}

.gap {
  flex: 1;
}

main {
  flex: 1;
  overflow: auto;
  padding: 26px 18px;
  display: grid;
  grid-template-columns: 1fr 360px;
  gap: 24px;
  align-items: start;
}

.nails {
  list-style: none;
  margin: 0;
  padding: 0;
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(230px, 1fr));
  gap: 30px 22px;
}

.ticket {
  position: relative;
  display: flex;
  flex-direction: column;
  gap: 2px;
  padding: 34px 16px 14px;
  min-height: 150px;
  background: var(--paper);
  border: 1px solid var(--paper-edge);
  color: var(--ink);
  text-decoration: none;
}

.ticket::before {
  content: '';
  position: absolute;
  top: 9px;
  left: 50%;
  width: 12px;
  height: 12px;
  margin-left: -6px;
  border-radius: 50%;
  background: radial-gradient(circle at 40% 35%, #8f8f8a, #3a3f41);
  box-shadow: 0 0 0 4px var(--floor);
}

.ticket:hover {
  border-color: var(--chalk);
}

.number {
  font-family: var(--slab);
  color: var(--chalk);
  font-weight: 600;
}

.name {
  font-family: var(--slab);
  font-size: 20px;
  font-weight: 600;
  overflow-wrap: anywhere;
}

.teach {
  padding: 16px 18px;
}

.say {
  font-weight: 600;
  color: var(--chalk);
  background: var(--chalk-wash);
  padding: 4px 10px;
}

.failed {
  margin: 0;
  padding: 8px 18px;
  background: var(--rust-wash);
  color: var(--rust);
}
</style>
