<script setup lang="ts">
import { computed } from 'vue'
import type { PlannedPart } from '../../../contract/index.ts'
import { MAKE_UPS, CLOSURES } from '../../../core/cover/index.ts'
import { partName, setPicture } from '../../../core/job/index.ts'
import { printedRounding } from '../../../core/money/index.ts'
import type { DesignPlan } from '../../../core/planned/index.ts'
import { formatLength, toCut, unitName } from '../../../core/units/index.ts'
import { storeToRefs } from 'pinia'
import { phrase } from '../../../core/language/index.ts'
import { useJob } from '../../stores/job.ts'
import { useQuote } from '../../stores/quote.ts'
import { useShop } from '../../stores/shop.ts'
import { count, decimalsOf, money, wholeDay } from '../../ui/manner.ts'
import JobPhoto from '../../ui/JobPhoto.vue'
import { dayOf } from '../../ui/today.ts'

/** What the customer is given: cushions, sum, tax and deposit; no costs, hours or margin of the shop. */
const jobs = useJob()
const shop = useShop()
const { plan, charges, quote } = storeToRefs(useQuote())
const job = computed(() => jobs.job!)
const say = (amount: number) => money(amount, job.value.currency)
const parts = computed(() =>
  plan.value!.worked.map(({ part, prefix, designs }) => ({
    letter: part.letter,
    name: prefix === '' ? '' : partName(part),
    cushions: cushionsOf(designs),
    made: madeOf(part),
  })),
)
/** Cushions of one size are one line, however else they differ. */
function cushionsOf(designs: readonly DesignPlan[]) {
  const { units } = job.value
  const counts = new Map<string, number>()
  for (const { design, cover } of designs) {
    const { width, depth, thickness } = cover.solid
    const sizes = [width, depth, thickness].map((f) => formatLength(toCut(f.value, units), units)).join(' x ')
    counts.set(sizes, (counts.get(sizes) ?? 0) + design.count)
  }
  return [...counts].map(([sizes, count]) => ({ size: phrase`${sizes} ${unitName(units)}`, count }))
}
const madeOf = ({ makeUp, cloth }: PlannedPart): string =>
  phrase`${MAKE_UPS[makeUp.construction.kind].label.toLowerCase()}, ${CLOSURES[makeUp.closure.kind].label.toLowerCase()}${makeUp.piping.kind === 'none' ? '' : ', piped'}, in ${cloth.cloth.name}${cloth.match.kind === 'matched' ? ', pattern matched' : ''}`
/** What it stands on, where the title does not say so already. */
const furniture = computed(() => {
  const { title, terms } = job.value
  return terms.furniture === '' || terms.furniture.toLowerCase().startsWith(title.toLowerCase())
    ? terms.furniture || title
    : phrase`${title}, ${terms.furniture}`
})
const rounding = computed(() => {
  const { net, tax, total } = quote.value!
  return printedRounding(total.value, [net.value, tax.value], decimalsOf(job.value.currency))
})
</script>

<template>
  <article v-if="quote" class="quote-paper" aria-label="Quote for the customer">
    <header>
      <div>
        <b>{{ shop.lists?.settings.shopName }}</b>
        <p v-if="shop.lists?.settings.address" class="address">{{ shop.lists.settings.address }}</p>
        <p v-if="shop.lists?.settings.taxNumber" class="address">Tax number {{ shop.lists.settings.taxNumber }}</p>
      </div>
      <span>{{ wholeDay(dayOf(new Date())) }}</span>
    </header>
    <h2>Quote {{ job.ticket }}</h2>
    <p>{{ job.customer || 'Customer' }}<br />{{ furniture }}</p>
    <figure v-if="job.terms.picture" class="picture">
      <JobPhoto :id="job.terms.picture" alt="The cushions made up" />
      <button
        type="button"
        class="plain-button no-print"
        @click="jobs.edit(setPicture('Quote without a picture', null))"
      >
        Take the picture off
      </button>
    </figure>
    <table>
      <tbody>
        <template v-for="p in parts" :key="p.letter">
          <tr v-for="(c, i) in p.cushions" :key="c.size">
            <th scope="row">
              {{ p.name && i === 0 ? `${p.name}: ` : '' }}{{ c.count }} {{ c.count === 1 ? 'cushion' : 'cushions' }},
              {{ c.size }}
            </th>
            <td />
          </tr>
          <tr>
            <td colspan="2" class="quiet">{{ p.made }}</td>
          </tr>
        </template>
        <tr>
          <th scope="row">Made and fitted, without tax</th>
          <td class="n">{{ say(quote.net.value) }}</td>
        </tr>
        <tr v-for="(e, i) in job.terms.extras" :key="i">
          <td class="quiet">of which {{ e.what }}</td>
          <td class="n quiet">{{ say(e.amount) }}</td>
        </tr>
        <tr>
          <th scope="row">Tax, {{ count(charges.taxShare * 100) }} %</th>
          <td class="n">{{ say(quote.tax.value) }}</td>
        </tr>
        <tr v-if="rounding !== 0">
          <th scope="row">Rounding</th>
          <td class="n">{{ say(rounding) }}</td>
        </tr>
        <tr class="total">
          <th scope="row">To pay</th>
          <td class="n">{{ say(quote.total.value) }}</td>
        </tr>
        <tr>
          <th scope="row">Deposit before work begins</th>
          <td class="n">{{ say(quote.deposit.value) }}</td>
        </tr>
      </tbody>
    </table>
    <p v-if="job.terms.dueOn">Ready by {{ wholeDay(job.terms.dueOn) }}.</p>
    <p class="quiet">New foam and cloth end any fire rating on an old label; ask us for the certificates.</p>
  </article>
</template>

<style scoped>
.address {
  margin: 2px 0 0;
  white-space: pre-line;
}

.picture {
  margin: 10px 0 14px;
}

.picture :deep(img) {
  display: block;
  width: 100%;
  max-height: 300px;
  object-fit: contain;
}

.quote-paper {
  margin: 18px auto;
  width: min(560px, calc(100% - 36px));
  padding: 26px 30px;
  background: #fffefb;
  border: 1px solid var(--paper-edge);
}

header {
  display: flex;
  justify-content: space-between;
  border-bottom: 2px solid var(--ink);
  padding-bottom: 6px;
  margin-bottom: 14px;
}

table {
  width: 100%;
}

th,
td {
  text-align: left;
  font-weight: 400;
  padding: 5px 0;
  border-top: 1px solid var(--paper-edge);
}

.n {
  text-align: right;
  white-space: nowrap;
}

.total th,
.total td {
  font-weight: 600;
  font-size: 19px;
  border-top: 2px solid var(--ink);
}
</style>
