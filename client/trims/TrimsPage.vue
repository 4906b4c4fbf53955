<script setup lang="ts">
import { computed, ref, shallowRef } from 'vue'
import type { JobSummary, StockMove, Trim } from '../../contract/index.ts'
import { isOpen } from '../../core/card/index.ts'
import { listJobs } from '../api/jobs.ts'
import { stockMoves } from '../api/stock.ts'
import { useLiveReading } from '../stores/use-live-reading.ts'
import { useShop } from '../stores/shop.ts'
import ShopPage from '../ui/ShopPage.vue'
import { amountWords, priceOfOne } from './counted-in.ts'
import { shelfRows } from './shelf-rows.ts'
import { USE_LABELS } from './use-labels.ts'
import SupplierPanel from './SupplierPanel.vue'
import TrimDialog from './TrimDialog.vue'
import { moment } from '../ui/manner.ts'

/** The shelf of trims: in hand, kept for open jobs, to be ordered; and the stock book. */
const shop = useShop()
const jobs = shallowRef<readonly JobSummary[]>([])
const moves = shallowRef<readonly StockMove[]>([])
const open = ref<Trim | null>(null)
const rows = computed(() =>
  shelfRows(
    shop.lists?.trims ?? [],
    jobs.value.filter((j) => isOpen(j.card) && !j.card.stockTaken),
  ),
)
const currency = computed(() => shop.lists?.settings.currency ?? '')
const read = async () => {
  ;[jobs.value, moves.value] = await Promise.all([listJobs(), stockMoves()])
}
const unread = useLiveReading(read)
const newTrim = (): Trim => ({
  id: crypto.randomUUID(),
  name: '',
  use: 'other',
  unit: 'piece',
  price: 0,
  pack: 1,
  inHand: 0,
  reorderAt: 0,
})
const units = computed(() => shop.lists?.settings.units ?? 'mm')
const say = (n: number, unit: Trim['unit']) => amountWords(n, unit, units.value)
</script>

<template>
  <ShopPage title="Trims" :failed="unread" columns="minmax(0, 1.7fr) minmax(320px, 1fr)">
    <template #tools>
      <button type="button" class="plain-button main" :disabled="!shop.lists" @click="open = newTrim()">
        New thing
      </button>
    </template>
    <section class="sheet" aria-label="On the shelf">
      <table class="ruled-table close-table">
        <thead>
          <tr>
            <th>Thing</th>
            <th>For</th>
            <th class="n">In hand</th>
            <th class="n">Kept for jobs</th>
            <th class="n">Free</th>
            <th class="n">Order at</th>
            <th class="n">Price, {{ currency }}</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="r in rows" :key="r.trim.id" :class="{ low: r.isLow }">
            <th scope="row">
              <button type="button" class="thing-name" @click="open = r.trim">{{ r.trim.name }}</button>
            </th>
            <td>{{ USE_LABELS[r.trim.use] }}</td>
            <td class="n">{{ say(r.trim.inHand, r.trim.unit) }}</td>
            <td class="n">
              <span :title="r.keptFor.join(', ')">{{ r.kept > 0 ? say(r.kept, r.trim.unit) : '' }}</span>
            </td>
            <td class="n">{{ say(r.free, r.trim.unit) }}</td>
            <td class="n">{{ r.trim.reorderAt > 0 ? say(r.trim.reorderAt, r.trim.unit) : '' }}</td>
            <td class="n">{{ priceOfOne(r.trim.price, r.trim.unit, units) }}</td>
          </tr>
        </tbody>
      </table>
    </section>
    <aside class="column">
      <SupplierPanel :rows="rows" />
      <section class="sheet" aria-label="Stock book">
        <h2>Stock book</h2>
        <ol v-if="moves.length > 0">
          <li v-for="m in moves" :key="m.id">
            <b>{{ m.says }}</b> <span class="quiet">{{ moment(m.at) }}</span><br />{{ m.lines.join('; ') }}
          </li>
        </ol>
        <p v-else class="quiet">Nothing was taken yet. "Cut & buy" of a job takes what it needs off the shelves.</p>
      </section>
    </aside>
    <TrimDialog
      v-if="open"
      :trim="open"
      :is-new="!(shop.lists?.trims ?? []).some((t) => t.id === open!.id)"
      @close="open = null"
    />
  </ShopPage>
</template>

<style scoped>
.low td,
.low th {
  background: var(--rust-wash);
}

ol {
  list-style: none;
  padding: 0;
  margin: 4px 0;
}

li {
  border-top: 1px solid var(--paper-edge);
  padding: 5px 0;
  font-size: 15px;
}
</style>
