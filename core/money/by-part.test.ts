import { describe, expect, it } from 'vitest'
import type { Job } from '../../contract/index.ts'
import { USUAL_WORKSHOP } from '../defaults/index.ts'
import { demoJobs, DEMO_TRIMS, keepersBench } from '../demo/index.ts'
import { partJob, startPart, withPart } from '../job/index.ts'
import { buyingList } from '../lists/index.ts'
import { ratesOf, workOrder } from '../making/index.ts'
import { planJob } from '../plan/index.ts'
import type { WorkedPlan } from '../planned/index.ts'
import { chargesOf, quoteFor, sharesByPart } from './index.ts'

function priced(job: Job) {
  const plan = planJob(job) as WorkedPlan
  const buying = buyingList(
    job,
    plan,
    plan.cloth.lays.map(() => ({ laidMm: 4000, boundMm: 0 })),
    DEMO_TRIMS,
  )
  const quote = quoteFor(
    job,
    buying,
    workOrder(job, plan),
    ratesOf(USUAL_WORKSHOP),
    chargesOf(USUAL_WORKSHOP.charges, job),
  )
  return { plan, quote, shares: sharesByPart(plan, quote) }
}

describe('what of the bill falls to a part', () => {
  it.each(demoJobs().map((j) => [j.ticket, j] as const))('%s: the shares come to the net', (_ticket, job) => {
    const { quote, shares } = priced(job)
    expect(shares.reduce((sum, s) => sum + s.net, 0)).toBeCloseTo(quote.net.value, 6)
    expect(shares.every((s) => s.net > 0)).toBe(true)
    expect(shares.map((s) => s.letter)).toEqual(job.parts.map((p) => p.letter))
  })

  it('the same cushions twice are half each', () => {
    const { quote, shares } = priced(startPart(keepersBench(), 'A', 'copy'))
    for (const s of shares) expect(s.net).toBeCloseTo(quote.net.value / 2, 6)
  })

  it('twice as many cushions of the same kind are two thirds', () => {
    const twice = startPart(keepersBench(), 'A', 'copy')
    const other = partJob(twice, 'B')
    const seat = { ...other.seat, division: { kind: 'singles' as const, count: 6, mirrored: 0 } }
    const alike = withPart(twice, 'A', {
      ...partJob(twice, 'A'),
      seat: { ...seat, division: { kind: 'singles', count: 3, mirrored: 0 } },
    })
    const { quote, shares } = priced(withPart(alike, 'B', { ...other, seat }))
    expect(shares[1]!.net / quote.net.value).toBeCloseTo(2 / 3, 2)
  })

  it('a delivery is shared out as well', () => {
    const set = startPart(keepersBench(), 'A', 'backs')
    const before = priced(set)
    const after = priced({ ...set, terms: { ...set.terms, extras: [{ what: 'Delivery', amount: 60 }] } })
    const more = after.shares.map((s, i) => s.net - before.shares[i]!.net)
    expect(more[0]! + more[1]!).toBeCloseTo(60, 6)
    expect(more.every((m) => m > 0)).toBe(true)
  })
})
