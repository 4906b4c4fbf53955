<script setup lang="ts">
import { computed, onMounted, ref, shallowRef } from 'vue'
import { phrase } from '../../core/language/index.ts'
import type { Cloth, JobSummary } from '../../contract/index.ts'
import { repeatOf } from '../../core/pattern/index.ts'
import { isOpen } from '../../core/card/index.ts'
import { amountFactor, amountUnit, formatLength, formatLengthWithUnit } from '../../core/units/index.ts'
import { listJobs } from '../api/jobs.ts'
import { useShop } from '../stores/shop.ts'
import ShopPage from '../ui/ShopPage.vue'
import { useAttempt } from '../ui/use-attempt.ts'
import ClothDialog from './ClothDialog.vue'
import ClothSwatch from './ClothSwatch.vue'
import { newCloth } from './new-cloth.ts'
import { money } from '../ui/manner.ts'

/** The shop's cloth: what can be bought, and what lies on the shelf. */
const shop = useShop()
const { failed, attempt } = useAttempt()
const open = ref<Cloth | null>(null)
const cloths = computed(() => shop.lists?.cloths ?? [])
const units = computed(() => shop.lists?.settings.units ?? 'mm')

const jobs = shallowRef<readonly JobSummary[]>([])
onMounted(() =>
  attempt(async () => {
    await shop.open()
    jobs.value = await listJobs()
  }),
)
/** What open jobs will cut from a cloth in hand. */
const keptWords = ({ id }: Cloth) => {
  const own = jobs.value
    .filter((j) => isOpen(j.card) && !j.card.stockTaken)
    .flatMap((j) => j.card.needs.cloths.filter((c) => c.id === id).map((c) => ({ ticket: j.ticket, mm: c.mm })))
  return own.length === 0
    ? ''
    : phrase`, ${formatLengthWithUnit(
        own.reduce((sum, c) => sum + c.mm, 0),
        units.value,
      )} kept for ${own.map((c) => c.ticket).join(', ')}`
}
const repeatWords = (cloth: Cloth) => {
  const [across, along] = [repeatOf(cloth, 'across'), repeatOf(cloth, 'along')]
  const mm = (v: number) => formatLength(v, units.value)
  if (across !== null && along !== null)
    return phrase`repeat ${mm(across)} x ${mm(along)}${cloth.pattern.kind === 'motif' && cloth.pattern.halfDrop ? ', half-drop' : ''}`
  if (across !== null) return phrase`stripes along, repeat ${mm(across)}`
  return along !== null ? phrase`stripes across, repeat ${mm(along)}` : 'plain'
}
const priceWords = ({ pricePerMetre }: Cloth) =>
  phrase`${money(pricePerMetre / amountFactor('metre-price', units.value), shop.lists!.settings.currency)} ${amountUnit('metre-price', units.value)}`
const supplyWords = ({ supply }: Cloth) =>
  supply.kind === 'to-buy'
    ? 'bought as needed'
    : supply.kind === 'length'
      ? phrase`${formatLengthWithUnit(supply.lengthMm, units.value)} in hand`
      : 'remnant'
</script>

<template>
  <ShopPage title="Cloth store" :failed="failed" columns="repeat(auto-fill, minmax(270px, 1fr))">
    <template #tools>
      <button type="button" class="plain-button main" @click="open = newCloth(units)">New cloth</button>
    </template>
    <p v-if="shop.lists && cloths.length === 0" class="quiet">
      No cloth yet. Enter one with its width, its price and its pattern: New cloth.
    </p>
    <button v-for="c in cloths" :key="c.id" type="button" class="card sheet" @click="open = c">
      <ClothSwatch :cloth="c" :height="120" />
      <strong>{{ c.name }}</strong>
      <span class="quiet"
        >{{ formatLengthWithUnit(c.widthMm, units) }} wide, {{ repeatWords(c)
        }}{{ c.nap === 'one-way' ? ', one-way' : '' }}</span
      >
      <span class="quiet"
        >{{ supplyWords(c) }}{{ keptWords(c)
        }}{{ c.flaws.length > 0 ? `, ${c.flaws.length} flaw${c.flaws.length === 1 ? '' : 's'}` : '' }},
        {{ priceWords(c) }}</span
      >
    </button>
    <ClothDialog v-if="open" :cloth="open" :is-new="!cloths.some((c) => c.id === open!.id)" @close="open = null" />
  </ShopPage>
</template>

<style scoped>
.card {
  display: grid;
  gap: 4px;
  justify-items: start;
  align-content: end;
  text-align: left;
  padding: 12px;
  font: inherit;
  cursor: pointer;
}

.card:hover,
.card:focus-visible {
  border-color: var(--chalk);
}
</style>
