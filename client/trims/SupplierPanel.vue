<script setup lang="ts">
import { computed, ref } from 'vue'
import type { SupplierAnswer, SupplierMood } from '../../contract/index.ts'
import { askSupplier } from '../api/stock.ts'
import { useShop } from '../stores/shop.ts'
import { useAttempt } from '../ui/use-attempt.ts'
import { amountWords, priceOfOne } from './counted-in.ts'
import { toOrder, type ShelfRow } from './shelf-rows.ts'

/** Asks the supplier for what runs low: price and days; prices can be taken over. */
const props = defineProps<{ rows: readonly ShelfRow[] }>()
const shop = useShop()
const { failed, attempt } = useAttempt()
const units = computed(() => shop.lists!.settings.units)
const mood = ref<SupplierMood>('as-usual')
const MOODS: Record<SupplierMood, string> = {
  'as-usual': 'as usual',
  'short-of-stock': 'out of much',
  slow: 'slow',
  failing: 'failing',
  silent: 'silent',
}
const low = computed(() => props.rows.filter((r) => r.isLow))
const asking = ref(false)
const answer = ref<SupplierAnswer | null>(null)
const offers = computed(() =>
  answer.value?.kind === 'offers'
    ? answer.value.offers.flatMap((offer) => {
        const row = props.rows.find((r) => r.trim.id === offer.ref)
        return row ? [{ row, offer, amount: toOrder(row) }] : []
      })
    : [],
)
const ask = () =>
  attempt(async () => {
    asking.value = true
    answer.value = null
    try {
      answer.value = await askSupplier(
        low.value.map((r) => ({
          ref: r.trim.id,
          name: r.trim.name,
          unit: r.trim.unit,
          amount: toOrder(r),
          lastPrice: r.trim.price,
        })),
        mood.value,
      )
    } finally {
      asking.value = false
    }
  })
const takePrices = () =>
  attempt(() =>
    shop.keepTrims(
      offers.value.flatMap(({ row, offer }) => (offer.kind === 'offered' ? [{ ...row.trim, price: offer.price }] : [])),
    ),
  )
const arrived = (row: ShelfRow) =>
  attempt(() => shop.keepTrims([{ ...row.trim, inHand: row.trim.inHand + toOrder(row) }]))
</script>

<template>
  <section class="sheet" aria-label="Supplier">
    <h2>
      To order <span class="quiet">{{ low.length }} run low</span>
    </h2>
    <div class="fields-in-line">
      <button type="button" class="plain-button main" :disabled="low.length === 0 || asking" @click="ask">
        {{ asking ? 'Asking …' : 'Ask the supplier' }}
      </button>
      <label class="tick"
        >simulated, it is
        <ElSelect v-model="mood" aria-label="How the simulated supplier is" class="mood"
          ><ElOption v-for="(label, m) in MOODS" :key="m" :value="m" :label="label" /></ElSelect
      ></label>
    </div>
    <p v-if="failed || answer?.kind === 'away'" class="away" role="alert">
      {{ failed || (answer?.kind === 'away' ? answer.why : '') }}
    </p>
    <table v-if="offers.length > 0" class="ruled-table close-table">
      <tbody>
        <tr v-for="o in offers" :key="o.row.trim.id">
          <th scope="row">{{ o.row.trim.name }}</th>
          <template v-if="o.offer.kind === 'offered'"
            ><td class="n">
              {{ amountWords(o.amount, o.row.trim.unit, units) }} at
              {{ priceOfOne(o.offer.price, o.row.trim.unit, units) }}
            </td>
            <td class="n">{{ o.offer.leadDays }} days</td></template
          >
          <td v-else colspan="2">
            {{
              o.offer.kind === 'unknown'
                ? 'not known there'
                : `out of stock${o.offer.backInDays === null ? '' : `, back in ${o.offer.backInDays} days`}`
            }}
          </td>
          <td>
            <button
              type="button"
              class="plain-button"
              :aria-label="`${o.row.trim.name} has come`"
              @click="arrived(o.row)"
            >
              Has come
            </button>
          </td>
        </tr>
      </tbody>
    </table>
    <button
      v-if="offers.some((o) => o.offer.kind === 'offered')"
      type="button"
      class="plain-button"
      @click="takePrices"
    >
      Take over the prices
    </button>
  </section>
</template>

<style scoped>
h2 {
  margin-bottom: 8px;
}

.mood {
  width: 140px;
}

.away {
  color: var(--rust);
}
</style>
