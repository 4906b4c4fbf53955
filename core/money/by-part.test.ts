import { describe, expect, it } from 'vitest'
import type { Job, Part } from '../../contract/index.ts'
import { USUAL_WORKSHOP } from '../defaults/index.ts'
import { DEMO_GRADES, demoJobs, DEMO_TRIMS, keepersBench } from '../demo/index.ts'
import { applyEdit, keepBody, partJob, reading, setThere, startPart, withPart } from '../job/index.ts'
import { buyingList } from '../lists/index.ts'
import { ratesOf, workOrder } from '../making/index.ts'
import { planJob } from '../plan/index.ts'
import { oldBody, thick } from '../testing/bodies.ts'
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

/** The same job with its foam twice as dear: what that adds to a part is its foam. */
const dearer = (job: Job): Job => ({
  ...job,
  parts: job.parts.map((part) => {
    if (part.filling.kind !== 'foam') return part
    const layers = part.filling.layers.map((l) => ({ ...l, grade: { ...l.grade, pricePerM3: 2 * l.grade.pricePerM3 } }))
    return { ...part, filling: { ...part.filling, layers } }
  }),
})

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

  it('foam falls to what is filled, cloth and work to what is sewn', () => {
    const twice = startPart(keepersBench(), 'A', 'copy')
    const second = (change: (part: Part) => Part): Job => ({
      ...twice,
      parts: twice.parts.map((part, i) => (i === 1 ? change(part) : part)),
    })
    const bought = ({ quote }: ReturnType<typeof priced>, kind: 'foam' | 'cloth') =>
      quote.lines.flatMap((l) => (l.part === kind ? [l.cost.value] : [])).reduce((sum, cost) => sum + cost, 0) *
      (1 + quote.markUp.value / quote.materials.value)

    // However dear the foam, a cover for the old filling bears nothing of it.
    const covered = second((part) => ({ ...part, work: { kind: 'cover-only' } }))
    const [now, then] = [priced(covered), priced(dearer(covered))]
    expect(bought(then, 'foam')).toBeGreaterThan(1.5 * bought(now, 'foam'))
    expect(then.shares[1]!.net).toBeCloseTo(now.shares[1]!.net, 6)
    expect(then.shares[0]!.net - now.shares[0]!.net).toBeCloseTo(bought(then, 'foam') - bought(now, 'foam'), 6)

    const filled = priced(second((part) => ({ ...part, work: { kind: 'filling-only', inside: null, unpicking: '' } })))
    expect(filled.shares[1]!.net).toBeCloseTo(bought(filled, 'foam') / 2, 6)
    expect(filled.shares[0]!.net).toBeCloseTo(filled.quote.net.value - bought(filled, 'foam') / 2, 6)
  })

  it('nor does an old body that is kept under a new cover', () => {
    const body = oldBody({ found: thick(75) })
    const there = applyEdit(
      startPart(keepersBench(), 'A', 'copy'),
      'B',
      setThere('', (t) => ({ ...t, bodies: [body] })),
    )
    const kept = applyEdit(there, 'B', keepBody(body, DEMO_GRADES[0]!))
    const [now, then] = [priced(kept), priced(dearer(kept))]
    expect(then.shares[0]!.net).toBeGreaterThan(now.shares[0]!.net)
    expect(then.shares[1]!.net).toBeCloseTo(now.shares[1]!.net, 6)
  })

  it('foam is shared by the volume of the blocks', () => {
    const twice = startPart(keepersBench(), 'A', 'copy')
    const { seat } = partJob(twice, 'B')
    const job = withPart(twice, 'B', { ...partJob(twice, 'B'), seat: { ...seat, thickness: reading(150) } })
    const [now, then] = [priced(job), priced(dearer(job))]
    const [thin, thick] = then.shares.map((s, i) => s.net - now.shares[i]!.net)
    // Blocks of one outline: 75 mm and 150 mm thick.
    expect(thick! / thin!).toBeCloseTo(2, 6)
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
