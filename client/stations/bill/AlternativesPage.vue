<script setup lang="ts">
import { computed, ref, shallowRef } from 'vue'
import { alternatives, type Alternative, type Quote } from '../../../core/money/index.ts'
import { planJob } from '../../../core/plan/index.ts'
import { formatLengthWithUnit } from '../../../core/units/index.ts'
import { useWhatIf } from '../lay/what-if.ts'
import { useJob } from '../../stores/job.ts'
import { useQuote } from '../../stores/quote.ts'
import { useShop } from '../../stores/shop.ts'
import { money } from '../../ui/manner.ts'

/** The same job made otherwise, each laid for real, side by side. */
const SECONDS = 1.5
const jobs = useJob()
const shop = useShop()
const { pricedOtherwise } = useQuote()
const chosen = ref<string[]>([])
const list = shallowRef<readonly Alternative[]>([])
const laid = ref(new Map<number, number | null>())
const { open, ask } = useWhatIf((answer) => {
  if (answer.kind === 'lay') laid.value = new Map(laid.value).set(answer.key, answer.lengthMm)
})
const cloths = computed(() => (shop.lists?.cloths ?? []).filter((c) => c.id !== jobs.whole!.cloth.cloth.id))

function compare(): void {
  list.value = alternatives(
    jobs.whole!,
    cloths.value.filter((c) => chosen.value.includes(c.id)),
  )
  laid.value = new Map()
  ask(
    list.value.flatMap((a, key) => {
      const plan = planJob(a.job)
      const problem = plan.kind === 'worked' ? plan.cloth.lays[0]?.problem : undefined
      return problem ? [{ kind: 'lay' as const, key, problem, seconds: SECONDS }] : []
    }),
  )
}
const rows = computed(() =>
  list.value.map((a, key) => {
    const lengthMm = laid.value.get(key)
    const quote: Quote | null = lengthMm ? pricedOtherwise(a.job, lengthMm) : null
    return { says: a.says, lengthMm, quote, failed: lengthMm === null }
  }),
)
const first = computed(() => rows.value[0]?.quote?.total.value ?? null)
const say = (n: number) => money(n, jobs.whole!.currency)
</script>

<template>
  <div class="fields-in-line">
    <ElSelect
      v-model="chosen"
      multiple
      collapse-tags
      placeholder="other cloths"
      aria-label="Other cloths"
      class="cloths"
      ><ElOption v-for="c in cloths" :key="c.id" :value="c.id" :label="c.name"
    /></ElSelect>
    <button type="button" class="plain-button main" @click="compare">
      {{ open > 0 ? `Laying ${open} …` : 'Lay and price them' }}
    </button>
  </div>
  <table v-if="rows.length > 0" class="ruled-table close-table">
    <thead>
      <tr>
        <th>Made</th>
        <th class="n">Cloth</th>
        <th class="n">Hours</th>
        <th class="n">To pay</th>
        <th class="n">Against the first</th>
        <th class="n">Margin</th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="r in rows" :key="r.says">
        <th scope="row">{{ r.says }}</th>
        <template v-if="r.quote">
          <td class="n">{{ formatLengthWithUnit(r.lengthMm!, jobs.whole!.units) }}</td>
          <td class="n">{{ (r.quote.hours.value / 60).toFixed(1) }}</td>
          <td class="n">
            <b>{{ say(r.quote.total.value) }}</b>
          </td>
          <td class="n">
            {{
              first === null
                ? ''
                : `${r.quote.total.value >= first ? '+' : '−'} ${say(Math.abs(r.quote.total.value - first))}`
            }}
          </td>
          <td class="n">{{ (r.quote.margin.value * 100).toFixed(0) }} %</td>
        </template>
        <td v-else colspan="5" class="quiet">{{ r.failed ? 'cannot be laid on this cloth' : 'being laid …' }}</td>
      </tr>
    </tbody>
  </table>
  <p v-else class="quiet">
    With or without piping, matched or not, and from other cloths: each is laid and priced before you promise it.
  </p>
</template>

<style scoped>
.cloths {
  width: 230px;
}
</style>
