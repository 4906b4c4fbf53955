import { jobOf } from '../job/index.ts'
import { planOne } from '../testing/jobs.ts'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { PartJob } from '../../contract/index.ts'
import { instanceOf, lowerBound } from '../lay/index.ts'
import { buyingList } from '../lists/index.ts'
import { totalMinutes, ratesOf, workOrder } from '../making/index.ts'
import { quoteFor } from '../money/index.ts'
import { planDocument } from './plan-document.ts'
import { demoParts, DEMO_TRIMS, keepersBenchPart } from '../demo/index.ts'
import { USUAL_WORKSHOP } from '../defaults/index.ts'
import { checkedSum } from '../testing/calculator.ts'
import { anyClothChoice } from '../testing/cloths.ts'
import { anyMakeUp } from '../testing/make-ups.ts'
import { anySeat } from '../testing/seats.ts'
import { sayWorking, type Figure } from '../working/index.ts'

const UNITS = ['mm', 'cm', 'inch-8', 'inch-16'] as const
type Units = (typeof UNITS)[number]

/** The last digit in which an amount is shown, by hand. */
const LAST: Readonly<Record<Figure['quantity'], (units: Units) => number>> = {
  length: (u) => ({ mm: 0.1, cm: 0.01, 'inch-8': 1 / 8, 'inch-16': 1 / 16 })[u],
  run: () => 0.01,
  area: () => 0.001,
  angle: () => 0.01,
  mass: () => 0.01,
  density: () => 0.01,
  money: () => 0.01,
  'metre-price': () => 0.01,
  'volume-price': () => 0.01,
  share: () => 0.001,
  count: () => 1,
  time: () => 1,
  plain: () => 1e-4,
  conversion: () => 1e-4,
}

interface Shown {
  readonly working: string
  readonly quantity: Figure['quantity']
  readonly label: string
}

/** Every figure anywhere in a value: in a document by its working, in a plan by itself. */
function shownIn(value: unknown, units: Units, seen = new Set<unknown>()): Shown[] {
  if (typeof value !== 'object' || value === null || seen.has(value)) return []
  seen.add(value)
  const own = value as { working?: unknown; quantity?: Figure['quantity']; sum?: unknown; label?: string }
  const said =
    typeof own.working === 'string'
      ? own.working
      : own.sum && own.quantity && typeof own.label === 'string'
        ? sayWorking(value as Figure, units)
        : null
  return [
    ...(said ? [{ working: said, quantity: own.quantity!, label: own.label! }] : []),
    ...Object.values(value).flatMap((v) => shownIn(v, units, seen)),
  ]
}

function falseSums(shown: readonly Shown[], units: Units): string[] {
  return shown.flatMap(({ working, quantity, label }) => {
    const sum = checkedSum(working)
    const isTrue =
      !sum || !Number.isFinite(sum.right) || Math.abs(sum.left - sum.right) <= LAST[quantity](units) * 0.5001
    return isTrue ? [] : [`${label}: ${working} (${sum.left})`]
  })
}

/** All that is shown of a job: its plan, what is bought, its work and its quote. */
function everySum(job: PartJob, units: Units): { shown: Shown[]; count: number } {
  const own = { ...job, units }
  const plan = planOne(own)
  if (plan.kind !== 'worked') return { shown: [], count: 0 }
  const buying = buyingList(
    own,
    plan,
    plan.cloth.lays.map(({ problem }) => ({
      laidMm: problem.pieces.length > 0 ? lowerBound(instanceOf(problem)).length * 1.07 : 0,
      boundMm: 0,
    })),
    DEMO_TRIMS,
  )
  const steps = workOrder(jobOf(own), plan)
  const rates = ratesOf(USUAL_WORKSHOP)
  const shown = [
    ...shownIn(planDocument(jobOf(own), plan, []), units),
    ...shownIn(plan, units),
    ...shownIn(
      [buying, totalMinutes(steps, rates), quoteFor(own, buying, steps, rates, USUAL_WORKSHOP.charges)],
      units,
    ),
  ]
  return { shown, count: shown.filter((s) => s.working.includes(' = ')).length }
}

describe.each(UNITS)('sums in %s come out on a calculator', (units) => {
  it('of every demo ticket', () => {
    let counted = 0
    for (const job of demoParts()) {
      const { shown, count } = everySum(job, units)
      counted += count
      expect(falseSums(shown, units).slice(0, 5), job.ticket).toEqual([])
    }
    expect(counted).toBeGreaterThan(1000)
  })
})

it('of random jobs', () => {
  fc.assert(
    fc.property(
      anySeat,
      anyMakeUp,
      anyClothChoice,
      fc.constantFrom(...UNITS),
      fc.constantFrom('none' as const, 'taken-out' as const),
      (seat, makeUp, cloth, units, film) => {
        const job = keepersBenchPart()
        const cutting = { ...job.cutting, film }
        expect(falseSums(everySum({ ...job, seat, makeUp, cloth, cutting }, units).shown, units).slice(0, 5)).toEqual(
          [],
        )
      },
    ),
    { numRuns: 60 },
  )
}, 120_000)

describe('the calculator', () => {
  it.each([
    ['(2236 − 2 × (−2)) ÷ 3 = 746.7 mm net', 2240 / 3, 746.7],
    ['29 3/8 + 1/2 = 29 7/8 in cut', 29.875, 29.875],
    ['(the smaller of 150 and 468 ÷ 4) + 1 = 118 mm', 118, 118],
    ['39.7, up to the next whole = 40', 40, 40],
    ['the middle of 468, 470, 469 = 469 mm', 469, 469],
    ['119.00 × 4 % = 4.76', 4.76, 4.76],
    ['2697 × 163° × π ÷ 180 = 7672.7 mm', 2697 * 163 * (Math.PI / 180), 7672.7],
  ])('%s', (working, left, right) => {
    const sum = checkedSum(working)!
    expect(sum.left).toBeCloseTo(left, 6)
    expect(sum.right).toBeCloseTo(right, 6)
  })
  it('tells a false sum', () =>
    expect(
      falseSums([{ working: '4.7 m ÷ 1000 × 34.00 = 159.80', quantity: 'money', label: 'Cloth' }], 'mm'),
    ).toHaveLength(1))
})
