<script setup lang="ts">
import { computed, shallowRef } from 'vue'
import type { JobSummary, Learned } from '../../contract/index.ts'
import { correctedGrade, evidenceOf, joined, LEAST_LOGS, proposals } from '../../core/learning/index.ts'
import { listJobs } from '../api/jobs.ts'
import { useLiveReading } from '../stores/use-live-reading.ts'
import { useShop } from '../stores/shop.ts'
import ShopPage from '../ui/ShopPage.vue'
import { dayOf } from '../ui/today.ts'
import { useAttempt } from '../ui/use-attempt.ts'
import EvidenceChart from './EvidenceChart.vue'
import PeopleTable from './PeopleTable.vue'
import RateTable from './RateTable.vue'

/** What fits and times say, with their evidence; accepted or left, and taken back as easily. */
const shop = useShop()
const { failed, attempt } = useAttempt()
const jobs = shallowRef<readonly JobSummary[]>([])
const evidence = computed(() => joined(jobs.value.map((j) => evidenceOf(j, shop.workshop.rates, shop.workshop.people))))
const learned = computed(() => shop.workshop.learned)
const found = computed(() =>
  proposals(evidence.value, learned.value, dayOf(new Date()), shop.lists?.settings.units ?? 'mm'),
)
const read = async () => {
  jobs.value = await listJobs()
}
const unread = useLiveReading(read)
/** What is learnt of a grade corrects the catalogue itself; taken back, its forces are as before. */
async function correct(l: Learned, by: (factor: number) => number): Promise<void> {
  if (l.kind !== 'firmness') return
  const grade = shop.lists!.grades.find((g) => g.id === l.gradeId)
  if (grade) await shop.keepGrades([correctedGrade(grade, by(l.factor))], [grade])
}
const accept = (l: Learned) => keep([...learned.value, l], () => correct(l, (factor) => factor))
const takeBack = (at: number) =>
  keep(
    learned.value.filter((_, n) => n !== at),
    () => correct(learned.value[at]!, (factor) => 1 / factor),
  )
const keep = (list: readonly Learned[], first: () => Promise<void>) =>
  attempt(async () => {
    await first()
    const { settings } = shop.lists!
    await shop.changeSettings({ ...settings, workshop: { ...settings.workshop, learned: [...list] } })
  })
</script>

<template>
  <ShopPage title="Learnt" :failed="failed || unread" columns="minmax(0, 1.6fr) minmax(320px, 1fr)">
    <div class="column">
      <section class="sheet" aria-label="Proposals">
        <h2>What the logs say</h2>
        <p class="quiet">
          From {{ evidence.fits.length }} measured cushions, {{ evidence.times.length }} timed steps and
          {{ evidence.cloths.length }} cloths. Nothing is proposed from fewer than {{ LEAST_LOGS }} jobs, nor where
          chance alone would do it; nothing is changed until you accept it.
        </p>
        <article v-for="p in found" :key="p.says">
          <h3>{{ p.says }}</h3>
          <p>
            {{ p.spread.count }} jobs, median {{ (p.spread.median * 100).toFixed(1) }} %, spread
            {{ (p.spread.spread * 100).toFixed(1) }} %.
          </p>
          <EvidenceChart :proposal="p" />
          <button type="button" class="plain-button main" @click="accept(p.learned)">Accept</button>
        </article>
        <p v-if="found.length === 0">There is nothing to propose.</p>
      </section>
      <section class="sheet" aria-label="Accepted">
        <h2>Accepted</h2>
        <ul v-if="learned.length > 0">
          <li v-for="(l, i) in learned" :key="i">
            {{ l.says }} <span class="quiet">{{ l.on }}</span>
            <button type="button" class="plain-button" @click="takeBack(i)">Take back</button>
          </li>
        </ul>
        <p v-else class="quiet">
          Nothing yet. Sizes and fit windows are offered on the make-up of a job; rates and waste count everywhere at
          once.
        </p>
      </section>
    </div>
    <div class="column">
      <PeopleTable />
      <RateTable />
    </div>
  </ShopPage>
</template>

<style scoped>
article {
  border-top: 1px solid var(--paper-edge);
  padding: 10px 0;
}

h3 {
  color: var(--ink);
}

ul {
  padding-left: 18px;
}
</style>
