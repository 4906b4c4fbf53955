import type { Job, Rates, Trim } from '../../contract/index.ts'
import { instanceOf, lowerBound, solveLay } from '../lay/index.ts'
import { buyingList } from '../lists/index.ts'
import { totalMinutes, workOrder } from '../making/index.ts'
import type { WorkedPlan } from '../planned/index.ts'
import { problemKey } from './joint-lay.ts'

/** What a way of cutting is priced by. */
export interface Prices {
  readonly rates: Rates
  readonly shelf: readonly Trim[]
  /** Of work, for minutes in money. */
  readonly hourRate: number
}

/** A ticket to be priced; `laid`: lengths of lays that are known, mm, by the key of their pieces. */
export interface Priced {
  readonly job: Job
  readonly plan: WorkedPlan
  readonly laid: ReadonlyMap<string, number>
}

export interface Costs {
  /** Null where a cloth that is bought cannot be laid. */
  readonly money: number | null
  readonly minutes: number
}

/** Less than this is no saving. */
export const LEAST_MONEY = 0.01

/** What a change saves: cloth and trims less what is worked longer for it, at so much an hour. */
export const savedMoney = ({ money, minutes }: Costs, hourRate: number): number | null =>
  money === null ? null : -money - (minutes / 60) * hourRate

/** Materials and minutes of one way beside those of another; lays that are not known are first lays. */
export function costsOver(way: Priced, before: Priced, prices: Prices): Costs {
  const [now, then] = [materialsOf(way, prices), materialsOf(before, prices)]
  return {
    money: now === null || then === null ? null : now - then,
    minutes: minutesOf(way, prices) - minutesOf(before, prices),
  }
}

const minutesOf = ({ job, plan }: Priced, { rates }: Prices): number => totalMinutes(workOrder(job, plan), rates).value

/** What is in hand costs nothing, whether it is enough or not. */
function materialsOf({ job, plan, laid }: Priced, { shelf }: Prices): number | null {
  const lengths = plan.cloth.lays.map(({ problem, cloth }) => {
    const boundMm = lowerBound(instanceOf(problem)).length
    const known = laid.get(problemKey(problem))
    if (known !== undefined) return { laidMm: known, boundMm }
    const solved = solveLay(problem, FIRST_ANSWER)
    return { laidMm: solved.ok ? solved.value.lay.length : cloth.supply.kind === 'to-buy' ? null : 0, boundMm }
  })
  return lengths.some((l) => l.laidMm === null) ? null : buyingList(job, plan, lengths, shelf).total.value
}

const FIRST_ANSWER = { seed: 1, budget: { steps: Infinity, isStopped: () => true } } as const
