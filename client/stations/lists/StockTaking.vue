<script setup lang="ts">
import { computed, ref } from 'vue'
import type { TakeStock } from '../../../contract/index.ts'
import type { BuyingList } from '../../../core/lists/index.ts'
import { beforeWash } from '../../../core/pattern/index.ts'
import type { WorkedPlan } from '../../../core/plan.ts'
import { takeStock } from '../../api/stock.ts'
import { useJob } from '../../stores/job.ts'
import { useLay } from '../../stores/lay.ts'
import { useShop } from '../../stores/shop.ts'
import { dayOf } from '../../ui/today.ts'
import { useAttempt } from '../../ui/use-attempt.ts'

/** Takes what this job uses off the shelves, once: cloth in hand, foam pieces that were nested, trims. */
const props = defineProps<{ plan: WorkedPlan; buying: BuyingList }>()
const jobs = useJob()
const lays = useLay()
const shop = useShop()
const { failed, attempt } = useAttempt()
const taken = ref<readonly string[]>([])

const taking = computed((): TakeStock => {
  const trims = shop.lists?.trims ?? []
  const needs = new Map<string, number>()
  for (const { trim } of props.buying.lines) {
    const own = trims.find((t) => t.use === trim?.use)
    if (trim && own) needs.set(own.id, (needs.get(own.id) ?? 0) + trim.needs)
  }
  const pieces = props.plan.cutting?.groups.flatMap((g) => g.nest.flatMap((n) => (n.stock ? [n.stock] : []))) ?? []
  return {
    jobId: jobs.id,
    ticket: jobs.job!.ticket,
    trims: [...needs].map(([id, amount]) => ({ id, amount: Math.round(amount * 1000) / 1000 })).filter((t) => t.amount > 0),
    cloths: props.plan.cloth.lays.flatMap(({ cloth }, i) => (cloth.supply.kind !== 'to-buy' && lays.all[i] ? [{ id: cloth.id, mm: beforeWash(cloth, lays.all[i]!.length) }] : [])),
    foam: [...new Set(pieces)].map((id) => ({ id, count: pieces.filter((p) => p === id).length })),
  }
})
const take = () =>
  attempt(async () => {
    const move = await takeStock(taking.value)
    taken.value = move.lines
    jobs.edit({ says: 'Taken from the shelf', apply: (j) => ({ ...j, making: { ...j.making, stockTakenOn: dayOf(new Date()) } }) })
    await shop.readAgain()
  })
</script>

<template>
  <div class="taking no-print">
    <p v-if="jobs.job!.making.stockTakenOn" role="status">Taken from the shelves on {{ jobs.job!.making.stockTakenOn }}.<template v-if="taken.length > 0"> {{ taken.join('; ') }}.</template></p>
    <div v-else class="fields-in-line">
      <button type="button" class="plain-button" :disabled="!shop.lists" @click="take">It is cut: take it off the shelves</button>
      <span class="quiet">{{ taking.trims.length }} trims, {{ taking.cloths.length }} cloths in hand, {{ taking.foam.length }} pieces of foam</span>
    </div>
    <p v-if="failed" class="failed" role="alert">{{ failed }}</p>
  </div>
</template>

<style scoped>
.taking {
  margin: 8px 0 14px;
}

.failed {
  color: var(--rust);
}
</style>
