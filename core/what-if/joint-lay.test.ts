import { describe, expect, it } from 'vitest'
import { Job, type Lay, type LayProblem } from '../../contract/index.ts'
import { keepersBench, demoJobs } from '../demo/index.ts'
import { firstPart } from '../job/index.ts'
import { acceptLay, solveLay } from '../lay/index.ts'
import { buyingList } from '../lists/index.ts'
import { planJob } from '../plan/index.ts'
import { cutTogether, jointShares, takenBy, wholeLay, type JointTicket } from './index.ts'

const laid = (problem: LayProblem): Lay => {
  const solved = solveLay(problem, { seed: 1, budget: { steps: 10, isStopped: () => false } })
  if (!solved.ok) throw new Error(solved.error.code)
  return { ...solved.value.lay, seconds: 0 }
}
const bench = keepersBench()
const { cloth } = firstPart(bench).cloth
/** The pad of a chair from the same ticking, and one more bench: three tickets of one cloth. */
const others = demoJobs().slice(0, 2)
const tickets: readonly JointTicket[] = [bench, ...others].map((job, i) => {
  const plan = planJob({ ...job, cloth: { cloth, others: {} } })
  if (plan.kind !== 'worked') throw new Error(`${job.ticket} cannot be worked`)
  return { jobId: `job-${i}`, ticket: job.ticket, own: plan.cloth.lays.find((l) => l.cloth.id === cloth.id)! }
})
const joint = cutTogether(tickets)
const lay = laid(joint.problem)
const alone = tickets.map((t) => ({ ...t, aloneMm: laid(t.own.problem).length }))
const shares = jointShares('2e2c9d3a-8a57-4f6e-9d43-4a52a3c2f001', lay, alone)

describe('tickets cut together', () => {
  it('lie on one length with all their pieces, none over another', () => {
    const wanted = tickets.reduce((sum, t) => sum + t.own.problem.pieces.reduce((n, p) => n + p.qty, 0), 0)
    expect(lay.placements).toHaveLength(wanted)
    expect(acceptLay(joint.problem, lay)).toEqual([])
    expect(new Set(joint.problem.pieces.map((p) => p.id)).size).toBe(joint.problem.pieces.length)
  })

  it('each keeps a lay of its own pieces that holds by itself, its pattern as its rule wants it', () => {
    for (const [i, kept] of shares.entries()) expect(acceptLay(tickets[i]!.own.problem, kept.lay)).toEqual([])
    // Read another way: a piece lies where the joint lay has one of the same turn, to a hundredth of a millimetre.
    const spots = new Set(lay.placements.map((p) => [p.x.toFixed(2), p.y.toFixed(2), p.turn].join(' ')))
    for (const { lay: own } of shares)
      for (const p of own.placements) expect(spots).toContain([p.x.toFixed(2), p.y.toFixed(2), p.turn].join(' '))
  })

  it('and from what any of them keeps, the whole lay comes back', () => {
    for (const kept of shares) {
      const whole = wholeLay(kept.lay, kept.joint!)
      expect([whole.length, whole.placements.length]).toEqual([lay.length, lay.placements.length])
      expect(acceptLay(joint.problem, whole)).toEqual([])
    }
  })

  it('shares add up to the length, each as it would take alone', () => {
    const paid = shares.map((s) => takenBy(s)).map((t) => t.laidMm * t.share)
    expect(paid.reduce((a, b) => a + b)).toBeCloseTo(lay.length, 6)
    const [a, b] = [paid[0]! / alone[0]!.aloneMm, paid[1]! / alone[1]!.aloneMm]
    expect(a).toBeCloseTo(b, 9)
  })

  it('is a job file like any other', () => {
    const job = { ...bench, lays: { [cloth.id]: shares[0]! } }
    expect(Job.parse(job).lays[cloth.id]!.joint!.others.map((o) => o.ticket)).toEqual(others.map((j) => j.ticket))
    const before = { problemKey: 'k', lay, byHand: false, locked: [] }
    expect(Job.parse({ ...bench, lays: { [cloth.id]: before } }).lays[cloth.id]!.joint).toBe(null)
  })

  it('is paid by the share of what is bought: 6420 by the 100 is 6500, of which 3250 / 6850 are 3083.9', () => {
    const plan = planJob(bench)
    if (plan.kind !== 'worked') throw new Error()
    const share = 3250 / 6850
    const [line] = buyingList(bench, plan, [{ laidMm: 6420, boundMm: 0, share }]).lines.filter((l) =>
      l.amount.id.startsWith('buy.cloth'),
    )
    expect(cloth.buyingStepMm).toBe(100)
    expect(line!.amount.value).toBeCloseTo(3083.94, 2)
    expect(line!.cost!.value).toBeCloseTo((3083.94 / 1000) * cloth.pricePerMetre, 2)
  })
})
