import { defineStore } from 'pinia'
import { computed } from 'vue'
import type { Job } from '../../contract/index.ts'
import { wasteFactor } from '../../core/learning/index.ts'
import { instanceOf, lowerBound } from '../../core/lay/index.ts'
import { buyingList, type ClothLength } from '../../core/lists/index.ts'
import { ratesOf, workOrder } from '../../core/making/index.ts'
import { chargesOf, quoteFor } from '../../core/money/index.ts'
import { planJob } from '../../core/plan/index.ts'
import type { WorkedPlan } from '../../core/planned/index.ts'
import { useJob } from './job.ts'
import { useLay } from './lay/index.ts'
import { useShop } from './shop.ts'

/**
 * The quote of the open job by the shop's prices, rates and charges, worked out once for every page; and of any other
 * way of making it.
 */
export const useQuote = defineStore('quote', () => {
  const jobs = useJob()
  const lays = useLay()
  const shop = useShop()
  const plan = computed(() => (jobs.plan?.kind === 'worked' ? jobs.plan : null))
  const charges = computed(() => chargesOf(shop.workshop.charges, jobs.whole!))
  const lengths = computed(
    () =>
      plan.value?.cloth.lays.map(({ cloth, problem }, i): ClothLength =>
        longer(
          cloth.id,
          lays.taken[i]
            ? { ...lays.taken[i], boundMm: 0 }
            : { laidMm: null, boundMm: lowerBound(instanceOf(problem)).length },
        ),
      ) ?? [],
  )
  const quote = computed(() => plan.value && priced(jobs.whole!, plan.value, lengths.value))

  /** By what the shop has learnt of its waste, where it has. */
  function longer(clothId: string, { laidMm, boundMm, share = 1 }: ClothLength): ClothLength {
    const by = wasteFactor(clothId, shop.workshop.learned)
    return { laidMm: laidMm === null ? null : laidMm * by, boundMm: boundMm * by, share }
  }
  function priced(job: Job, own: WorkedPlan, clothLengths: readonly ClothLength[]) {
    return quoteFor(
      job,
      buyingList(job, own, clothLengths, shop.lists?.trims ?? []),
      workOrder(job, own),
      ratesOf(shop.workshop),
      chargesOf(shop.workshop.charges, job),
    )
  }
  /** Another way of making the job, its main cloth laid at so many mm; null where it cannot be made. */
  function pricedOtherwise(job: Job, laidMm: number) {
    const own = planJob(job)
    return own.kind === 'worked'
      ? priced(
          job,
          own,
          own.cloth.lays.map(({ cloth, problem }, i) =>
            longer(cloth.id, {
              laidMm: i === 0 ? laidMm : null,
              boundMm: i === 0 ? 0 : lowerBound(instanceOf(problem)).length,
            }),
          ),
        )
      : null
  }
  return { plan, charges, quote, pricedOtherwise }
})
