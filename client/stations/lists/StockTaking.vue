<script setup lang="ts">
import { computed, ref } from 'vue'
import type { TakeStock } from '../../../contract/index.ts'
import type { BuyingList } from '../../../core/lists/index.ts'
import { held } from '../../../core/keyed/index.ts'
import { beforeWash } from '../../../core/pattern/index.ts'
import type { WorkedPlan } from '../../../core/planned/index.ts'
import type { Edit } from '../../../core/job/index.ts'
import { newAct } from '../../api/http.ts'
import { giveStockBack, takeStock } from '../../api/stock.ts'
import { useJob } from '../../stores/job.ts'
import { useLay } from '../../stores/lay/index.ts'
import { useShop } from '../../stores/shop.ts'
import { dayOf } from '../../ui/today.ts'
import { useAttempt } from '../../ui/use-attempt.ts'
import { wholeDay } from '../../ui/manner.ts'

/** Takes what this job uses off the shelves, once: cloth in hand, foam pieces that were nested, trims. */
const props = defineProps<{ plan: WorkedPlan; buying: BuyingList }>()
const jobs = useJob()
const lays = useLay()
const shop = useShop()
const { failed, attempt } = useAttempt()
const taken = ref<readonly string[]>([])

const taking = computed((): Omit<TakeStock, 'id'> => {
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
    trims: [...needs]
      .map(([id, amount]) => ({ id, amount: Math.round(amount * 1000) / 1000 }))
      .filter((t) => t.amount > 0),
    cloths: props.plan.cloth.lays.flatMap(({ cloth }, i) => {
      const taken = lays.taken[i]
      const jointId = held(jobs.whole!.lays, cloth.id)?.joint?.id ?? null
      return cloth.supply.kind !== 'to-buy' && taken
        ? [{ id: cloth.id, mm: beforeWash(cloth, taken.laidMm), jointId: taken.share < 1 ? jointId : null }]
        : []
    }),
    foam: [...new Set(pieces)].map((id) => ({ id, count: pieces.filter((p) => p === id).length })),
  }
})
const take = () =>
  attempt(async () => {
    const wanted = taking.value
    const takeIt = async () => {
      taken.value = (await takeStock({ id: newAct(), ...wanted })).lines
      await shop.readAgain()
    }
    await takeIt()
    jobs.edit(noted(dayOf(new Date())), null, { undo: () => layBack(wanted.jobId), redo: takeIt })
  })
const giveBack = () =>
  attempt(async () => {
    await layBack(jobs.id)
    jobs.edit(noted(null), null, {
      undo: () => takeStock({ id: newAct(), ...taking.value }),
      redo: () => layBack(jobs.id),
    })
  })

async function layBack(jobId: string): Promise<void> {
  await giveStockBack({ id: newAct(), jobId })
  taken.value = []
  await shop.readAgain()
}
const noted = (stockTakenOn: string | null): Edit => ({
  says: stockTakenOn === null ? 'Given back to the shelves' : 'Taken from the shelf',
  apply: (j) => ({ ...j, making: { ...j.making, stockTakenOn } }),
})
</script>

<template>
  <div class="taking no-print">
    <p v-if="jobs.job!.making.stockTakenOn" role="status">
      Taken from the shelves on {{ wholeDay(jobs.job!.making.stockTakenOn) }}.<template v-if="taken.length > 0">
        {{ taken.join('; ') }}.</template
      >
      <button type="button" class="plain-button" @click="giveBack">Give it back</button>
    </p>
    <div v-else class="fields-in-line">
      <button type="button" class="plain-button" :disabled="!shop.lists" @click="take">
        It is cut: take it off the shelves
      </button>
      <span class="quiet"
        >trims: {{ taking.trims.length }}, cloths in hand: {{ taking.cloths.length }}, pieces of foam:
        {{ taking.foam.length }}</span
      >
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
