<script setup lang="ts">
import { computed } from 'vue'
import type { MachineCard } from '../../../contract/index.ts'
import { buyingList } from '../../../core/lists/index.ts'
import { machineCardFor } from '../../../core/making/index.ts'
import { formatAmount } from '../../../core/units/index.ts'
import FigureValue from '../../ui/FigureValue.vue'
import { useWorkOrder } from './use-work-order.ts'
import { vTyped } from '../../ui/v-typed.ts'

/** What the machine is set to, and what is used up: thread, glue, staples, tape. */
const { jobs, shop, plan } = useWorkOrder()
const cloth = computed(() => jobs.job!.cloth.cloth)
const card = computed(() => machineCardFor(shop.workshop.machineCards, cloth.value))
const supplies = computed(() =>
  plan.value ? buyingList(jobs.job!, plan.value, []).lines.filter((l) => l.from === 'trims') : [],
)
const FIELDS = [
  ['thread', 'Thread', 80],
  ['needle', 'Needle', 40],
  ['foot', 'Foot', 80],
] as const
const STITCHES = [
  ['stitchMm', 'Stitch, mm'],
  ['topStitchMm', 'Top-stitch, mm'],
] as const

function change(patch: Partial<MachineCard>): void {
  const { lists } = shop
  if (!lists || !card.value) return
  const cards = lists.settings.workshop.machineCards.map((c) => (c.name === card.value!.name ? { ...c, ...patch } : c))
  void shop.changeSettings({ ...lists.settings, workshop: { ...lists.settings.workshop, machineCards: cards } })
}
const number = (key: 'stitchMm' | 'topStitchMm', event: Event) => {
  const n = Number((event.target as HTMLInputElement).value.replace(',', '.'))
  if (n >= 0.5 && n <= 12) change({ [key]: n })
}
</script>

<template>
  <section v-if="card" aria-label="Machine card">
    <h3>Machine card: {{ card.name }}</h3>
    <p class="quiet">
      for {{ cloth.name }}, {{ formatAmount(cloth.massGM2, 'surface-mass', jobs.job!.units) }},
      {{ formatAmount(cloth.thicknessMm, 'thin', jobs.job!.units) }} thick, {{ cloth.use }}. Changes are kept for the
      shop. Test on scraps first.
    </p>
    <div v-for="[key, label, most] in FIELDS" :key="key" class="field-row">
      <label :for="`card-${key}`">{{ label }}</label>
      <input
        :id="`card-${key}`"
        class="text"
        v-typed="card[key]"
        :maxlength="most"
        @change="change({ [key]: ($event.target as HTMLInputElement).value })"
      />
    </div>
    <div v-for="[key, label] in STITCHES" :key="key" class="field-row">
      <label :for="`card-${key}`">{{ label }}</label>
      <input
        :id="`card-${key}`"
        class="text number"
        v-typed="card[key]"
        inputmode="decimal"
        @change="number(key, $event)"
      />
    </div>
  </section>
  <p v-else class="quiet">The shop has no machine card for {{ cloth.name }}.</p>
  <section aria-label="Used up">
    <h3>Used up on this job</h3>
    <table class="ruled-table close-table">
      <tbody>
        <tr v-for="l in supplies" :key="l.what">
          <th scope="row">{{ l.what }}</th>
          <td class="n"><FigureValue :figure="l.amount" bare /></td>
        </tr>
      </tbody>
    </table>
  </section>
</template>

<style scoped>
.field-row {
  margin-bottom: 6px;
}

.number {
  width: 90px;
}
</style>
