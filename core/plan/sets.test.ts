import { describe, expect, it } from 'vitest'
import { readJob, type Follows, type Job, type LayPiece, type PartJob } from '../../contract/index.ts'
import { DEMO_CLOTHS, DEMO_GRADES, demoJobs, keepersBench, keepersBenchPart } from '../demo/index.ts'
import { addPart, jobOf, newSeat, partFrom, partJob, reading, removePart, startPart, withPart } from '../job/index.ts'
import { newLayer } from '../filling/index.ts'
import { solveLay } from '../lay/index.ts'
import { buyingList } from '../lists/index.ts'
import { minutesByKind, workOrder } from '../making/index.ts'
import type { WorkedPlan } from '../planned/index.ts'
import { patternUnder, stepBetween } from '../testing/pattern-under.ts'
import { USUAL_WORKSHOP } from '../defaults/index.ts'
import { keepingPlanner, planJob } from './index.ts'

const clothNamed = (id: string) => DEMO_CLOTHS.find((c) => c.id === id)!
const worked = (job: Job): WorkedPlan => {
  const plan = planJob(job)
  if (plan.kind !== 'worked') throw new Error(JSON.stringify(plan.warnings))
  return plan
}
const pieces = (plan: WorkedPlan): readonly LayPiece[] => plan.cloth.lays.flatMap((l) => l.problem.pieces)
const piece = (plan: WorkedPlan, id: string) => pieces(plan).find((p) => p.id === id)!

/** The keepers' bench, its stripes' rust band on the middle, and three backs of 700 x 450 x 120. */
function benchAndBacks(change: (back: PartJob) => PartJob, bench: PartJob = keepersBenchPart()): Job {
  const one = jobOf({ ...bench, name: 'Seats' })
  const back: PartJob = {
    ...bench,
    pose: { kind: 'stands-at-back', leanDeg: 12 },
    follows: { part: 'A', how: 'same-centre' },
    seat: { ...newSeat('singles', 700, 450, 120, 3), clearanceMm: 0 },
  }
  return addPart(one, partFrom(one, change(back)), 'Backs')
}

describe('chairs of which no two measure the same', () => {
  const chairs = (job: PartJob): PartJob => ({
    ...job,
    seat: {
      ...newSeat('singles', 452, 431, 60, 1),
      clearanceMm: 0,
      division: {
        kind: 'rows',
        rows: [
          { count: 1, readings: {} },
          { count: 1, readings: { width: reading(449), depth: reading(436) } },
          { count: 1, readings: { width: reading(452), depth: reading(431) } },
          { count: 1, readings: { width: reading(455), depth: reading(433) } },
        ],
      },
    },
    cloth: { ...job.cloth, match: { kind: 'none' } },
  })

  it('452 x 431, 449 x 436, 452 x 431, 455 x 433: three designs, two of the first', () => {
    const [part] = worked(jobOf(chairs(keepersBenchPart()))).worked
    expect(
      part.designs.map((d) => [d.design.id, d.design.count, d.design.solid.width.value, d.design.solid.depth.value]),
    ).toEqual([
      ['A', 2, 452, 431],
      ['B', 1, 449, 436],
      ['C', 1, 455, 433],
    ])
    expect(part.cushions.inOrder.map((c) => c.design)).toEqual([0, 1, 0, 2])
  })

  it('in a set they are lettered within their part', () => {
    const job = benchAndBacks((back) => chairs({ ...back, follows: null, pose: { kind: 'lies' } }))
    expect(worked(job).designs.map((d) => d.design.id)).toEqual(['A', 'Ba', 'Bb', 'Bc'])
  })

  it('a thickness of its own makes a design of its own', () => {
    const job = chairs(keepersBenchPart())
    if (job.seat.division.kind !== 'rows') throw new Error('no rows')
    const rows = job.seat.division.rows.map((r, i) =>
      i === 2 ? { ...r, readings: { ...r.readings, thickness: reading(75) } } : r,
    )
    const [part] = worked(jobOf({ ...job, seat: { ...job.seat, division: { kind: 'rows', rows } } })).worked
    expect(part.designs.map((d) => [d.design.count, d.design.solid.thickness.value])).toEqual([
      [1, 60],
      [1, 60],
      [1, 75],
      [1, 60],
    ])
  })
})

describe('seats and backs on one ticket', () => {
  const apart = worked(keepersBench())
  const job = benchAndBacks((back) => back)
  const plan = worked(job)

  it('is laid as one: the pieces of both, by their letters, on one cloth', () => {
    expect(plan.cloth.lays).toHaveLength(1)
    const ids = pieces(plan).map((p) => p.id)
    expect(new Set(ids).size).toBe(ids.length)
    for (const p of pieces(apart).filter((q) => !q.id.startsWith('piping')))
      expect(piece(plan, `A${p.id}`)).toEqual({ ...p, id: `A${p.id}` })
    expect(ids.filter((id) => id.startsWith('B'))).toHaveLength(3 * plan.designs[1]!.cover.panels.length)
  })

  it('each back has under its middle what its seat has, within half a millimetre', () => {
    const cloth = job.cloth.cloth
    for (const n of [1, 2, 3]) {
      // A top plate lies with its front at y = 0, its allowance beyond; its middle is half its cut width from its left.
      const middle = (id: string) => {
        const xs = piece(plan, id).outline.map((p) => p[0])
        return patternUnder(piece(plan, id), [(Math.min(...xs) + Math.max(...xs)) / 2, 50]).across!
      }
      expect(stepBetween(cloth, 'across', middle(`A${n}/top-plate`), middle(`B${n}/top-plate`))).toBeLessThan(0.5)
    }
    // By hand: the rust band (45 from where a repeat of 68 begins) on the middle of 2240 at 1120; the first seat's
    // middle is 373.33, 746.67 before it: 45 - 746.67 = -701.67, which is 46.33 into a repeat.
    const xs = piece(plan, 'B1/top-plate').outline.map((p) => p[0])
    const under = patternUnder(piece(plan, 'B1/top-plate'), [(Math.min(...xs) + Math.max(...xs)) / 2, 50]).across!
    expect(stepBetween(cloth, 'across', under, 46.33)).toBeLessThan(0.05)
  })

  it('without following, the backs have their own rule', () => {
    const own = worked(
      benchAndBacks((back) => ({
        ...back,
        follows: null,
        cloth: { ...back.cloth, match: { kind: 'matched', rule: { kind: 'band-at-left-end', band: 3 } } },
      })),
    )
    expect(piece(own, 'B1/top-plate').match).not.toEqual(piece(plan, 'B1/top-plate').match)
  })

  it('goes on: what a check ends with at the back edge of the seat begins at the foot of the back', () => {
    const check = clothNamed('tern-check')
    const bench = keepersBenchPart()
    const checked: PartJob = {
      ...bench,
      cloth: { ...bench.cloth, cloth: check, match: { kind: 'matched', rule: { kind: 'band-on-centre', band: 0 } } },
    }
    const set = worked(benchAndBacks((back) => ({ ...back, follows: { part: 'A', how: 'goes-on' } }), checked))
    const seam = 12
    for (const n of [1, 2, 3]) {
      const [seat, back] = [piece(set, `A${n}/top-plate`), piece(set, `B${n}/top-plate`)]
      const ys = seat.outline.map((p) => p[1])
      const foot = Math.min(...back.outline.map((p) => p[1])) + seam
      expect(
        stepBetween(
          check,
          'along',
          patternUnder(seat, [300, Math.max(...ys) - seam]).along!,
          patternUnder(back, [300, foot]).along!,
        ),
      ).toBeLessThan(0.5)
    }
    expect(set.warnings.map((w) => w.code)).not.toContain('cannot-follow')
  })

  it.each<[string, (back: PartJob) => PartJob, string]>([
    ['another cloth', (b) => ({ ...b, cloth: { ...b.cloth, cloth: clothNamed('tern-check') } }), 'other-cloth'],
    ['the other direction', (b) => ({ ...b, cloth: { ...b.cloth, direction: 'railroaded' } }), 'other-direction'],
    ['nothing from front to back', (b) => ({ ...b, follows: { part: 'A', how: 'goes-on' } }), 'nothing-goes-on'],
    ['not matched itself', (b) => ({ ...b, cloth: { ...b.cloth, match: { kind: 'none' } } }), 'not-matched'],
  ])('%s: it is said why its stripes cannot follow', (_name, change, because) => {
    const told = worked(benchAndBacks(change)).warnings.filter((w) => w.code === 'cannot-follow')
    expect(told).toMatchObject([{ part: 'B', leader: 'A', because }])
  })

  it('four backs over three seats are shared out on the middle of the row', () => {
    const four = worked(
      benchAndBacks((b) => ({ ...b, seat: { ...newSeat('singles', 500, 450, 120, 4), clearanceMm: 0 } })),
    )
    expect(four.warnings.map((w) => w.code)).not.toContain('cannot-follow')
    // Middles at 1120 less 750, 250 and so on; the rust band lies on 1120.
    const xs = piece(four, 'B1/top-plate').outline.map((p) => p[0])
    const under = patternUnder(piece(four, 'B1/top-plate'), [(Math.min(...xs) + Math.max(...xs)) / 2, 50]).across!
    expect(stepBetween(job.cloth.cloth, 'across', under, 45 - 750)).toBeLessThan(0.5)
  })
})

describe('what a ticket shares', () => {
  const job = benchAndBacks((back) => back)
  const plan = worked(job)
  const [seats, backs] = [keepersBench(), jobOf({ ...partJob(job, 'B'), letter: 'A', follows: null })].map(worked)

  it('what was ticked of a part stays ticked when another joins it', () => {
    const corner = demoJobs().find((j) => j.ticket === 'SL-12')!
    const before = workOrder(corner, worked(corner)).map((s) => s.id)
    const more = startPart(corner, 'A', 'backs')
    const after = workOrder(more, worked(more)).map((s) => s.id)
    // Three designs: A, B and C alone, Aa, Ab and Ac beside backs.
    expect(before.filter((id) => /^sew\.C\./.test(id)).length).toBeGreaterThan(3)
    expect(before.filter((id) => id.startsWith('sew.') && !after.includes(id))).toEqual([])
    expect(new Set(after).size).toBe(after.length)
  })

  it('materials: foam parts, trims and thread of the set are those of both tickets', () => {
    const lengths = [{ laidMm: 1000, boundMm: 0 }]
    const amount = (p: WorkedPlan, what: RegExp) =>
      buyingList(job, p, lengths)
        .lines.filter((l) => what.test(l.what))
        .reduce((sum, l) => sum + l.amount.value, 0)
    for (const what of [/cord/, /Thread/, /Sliders/, /glue/i])
      expect(amount(plan, what)).toBeCloseTo(amount(seats!, what) + amount(backs!, what), 6)
    expect(plan.cutting!.blocks.reduce((sum, b) => sum + b.count, 0)).toBe(6)
    // 75 and 120 thick are other sheets: what is bought is what each would buy.
    expect(plan.cutting!.cost.value).toBeCloseTo(seats!.cutting!.cost.value + backs!.cutting!.cost.value, 6)
  })

  it('work: sewn and filled as both, but measured, prepared and checked once', () => {
    const minutes = (p: WorkedPlan, kind: string) =>
      minutesByKind(workOrder(job, p), USUAL_WORKSHOP.rates).find((m) => m.kind === kind)?.minutes.value ?? 0
    for (const kind of ['plate', 'zip', 'piping', 'cut-cloth', 'mark', 'fill', 'turn'])
      expect(minutes(plan, kind), kind).toBeCloseTo(minutes(seats!, kind) + minutes(backs!, kind), 6)
    expect(minutes(plan, 'prepare')).toBe(minutes(seats!, 'prepare'))
    const ids = workOrder(job, plan).map((s) => s.id)
    expect(new Set(ids).size).toBe(ids.length)
  })
})

describe('lids pulled over their boards, and a cushion beside them', () => {
  const lids = demoJobs().find((j) => j.ticket === 'SL-05')!
  const both = addPart(lids, partFrom(lids, { ...keepersBenchPart(), letter: 'A' }), 'Bench')
  const units = (job: Job, id: string) =>
    workOrder(job, worked(job))
      .find((s) => s.id === id)
      ?.work.reduce((sum, w) => sum + w.amount.value, 0)

  it('what is stapled is not turned, what is sewn is not stapled, and both are fitted', () => {
    expect(units(lids, 'close.turn')).toBeUndefined()
    expect(units(both, 'close.turn')).toBe(3)
    expect(units(both, 'close.staple')).toBe(units(lids, 'close.staple'))
    expect(units(both, 'fit.seat')).toBe(5)
    expect(units(keepersBench(), 'close.staple')).toBeUndefined()
  })
})

describe('the reading chairs of the demo', () => {
  it('laid as one they take no more cloth than seats and backs apart', () => {
    const chairs = demoJobs().find((j) => j.ticket === 'SL-03')!
    const lengthOf = (job: Job) => {
      const { problem } = worked(job).cloth.lays.find((l) => l.cloth.id === 'moss-loop')!
      const found = solveLay(problem, { seed: 1, budget: { steps: 40, isStopped: () => false } })
      if (!found.ok) throw new Error(found.error.code)
      return found.value.lay.length
    }
    const apart = ['A', 'B'].map((letter) =>
      lengthOf({ ...chairs, parts: chairs.parts.filter((p) => p.letter === letter) }),
    )
    expect(lengthOf(chairs)).toBeLessThan(apart[0]! + apart[1]!)
  })
})

describe('bad sets', () => {
  it('a part that cannot be made does not stop the others, and says so by its letter', () => {
    const job = benchAndBacks((b) => ({ ...b, seat: { ...newSeat('bench', 300, 450, 120, 5) } }))
    const broken = {
      ...job,
      parts: job.parts.map((p) =>
        p.letter === 'B'
          ? {
              ...p,
              seat: { ...p.seat, division: { kind: 'run' as const, count: 40, gapMm: 200, cuts: 'straight' as const } },
            }
          : p,
      ),
    }
    const plan = worked(broken)
    expect(plan.worked.map((p) => p.part.letter)).toEqual(['A'])
    expect(plan.warnings.filter((w) => w.level === 'stop')).toMatchObject([{ part: 'B', station: 'measure' }])
    expect(plan.warnings.find((w) => w.code === 'cannot-follow')).toBeUndefined()
  })

  it('a seat whose backs follow it, and that cannot be made: the backs have their own rule', () => {
    const job = benchAndBacks((b) => b)
    const broken = {
      ...job,
      parts: job.parts.map((p) =>
        p.letter === 'A'
          ? {
              ...p,
              seat: { ...p.seat, division: { kind: 'run' as const, count: 40, gapMm: 200, cuts: 'straight' as const } },
            }
          : p,
      ),
    }
    expect(worked(broken).warnings.find((w) => w.code === 'cannot-follow')).toMatchObject({ because: 'not-there' })
  })

  const fault = (change: (job: Job) => Job) => {
    const read = readJob(JSON.parse(JSON.stringify(change(benchAndBacks((b) => b)))))
    return read.ok ? 'sound' : `${read.faults[0]!.path} ${read.faults[0]!.message}`
  }
  const follows =
    (letter: string, to: Follows | null) =>
    (job: Job): Job => ({ ...job, parts: job.parts.map((p) => (p.letter === letter ? { ...p, follows: to } : p)) })
  it.each<[string, (job: Job) => Job, RegExp]>([
    ['itself', follows('B', { part: 'B', how: 'alike' }), /^\$\.parts\[1\]\.follows\.part follows itself/],
    ['in a ring', follows('A', { part: 'B', how: 'alike' }), /follows in a ring \(A, B, A\)/],
    ['one that is not there', follows('B', { part: 'C', how: 'alike' }), /follows part C, which is not there/],
    [
      'two of one letter',
      (j) => ({ ...j, parts: [j.parts[0]!, { ...j.parts[1]!, letter: 'A', follows: null }] }),
      /is A twice/,
    ],
    ['no part', (j) => ({ ...j, parts: [] }), /at least one part/],
    ['seventeen parts', (j) => ({ ...j, parts: Array.from({ length: 17 }, () => j.parts[0]!) }), /more than 16 parts/],
    [
      '123 cushions',
      (j) => ({
        ...j,
        parts: [
          j.parts[0]!,
          { ...j.parts[1]!, seat: { ...j.parts[1]!.seat, division: { kind: 'singles', count: 120, mirrored: 0 } } },
        ],
      }),
      /have 123 cushions, more than 120 in all/,
    ],
  ])('following %s is refused in words', (_name, change, says) => expect(fault(change)).toMatch(says))

  it('taking out a part lets those that followed it stand by themselves; the last one stays', () => {
    const left = removePart(
      benchAndBacks((b) => b),
      'A',
    )
    expect(left.parts).toMatchObject([{ letter: 'B', follows: null }])
    expect(removePart(left, 'B')).toBe(left)
    expect(readJob(JSON.parse(JSON.stringify(left))).ok).toBe(true)
  })
})

describe('an open ticket', () => {
  it('plans anew only the part that was changed', () => {
    const planner = keepingPlanner()
    const job = benchAndBacks((b) => b)
    const before = planJob(job, planner)
    const back = partJob(job, 'B')
    const changed = withPart(job, 'B', { ...back, seat: { ...back.seat, thickness: reading(90) } })
    const after = planJob(changed, planner)
    expect(after.parts[0]).toBe(before.parts[0])
    expect(after.parts[1]).not.toBe(before.parts[1])
    expect(planJob({ ...changed, note: 'x' }, planner).parts[1]).toBe(after.parts[1])
  })
  it('of other foam and cloth keeps each to itself', () => {
    const grade = DEMO_GRADES.find((g) => g.name === 'Eider 50/60')!
    const set = worked(
      benchAndBacks((b) => ({
        ...b,
        filling: b.filling.kind === 'foam' ? { ...b.filling, layers: [newLayer(grade)] } : b.filling,
        cloth: { ...b.cloth, cloth: clothNamed('house-calico'), match: { kind: 'none' } },
        follows: null,
      })),
    )
    expect(set.cloth.lays.map((l) => [l.cloth.id, l.pieces.every((p) => (p.of ? p.of.part : 'A') !== '')])).toEqual([
      ['lamp-room-ticking', true],
      ['house-calico', true],
    ])
    expect(set.cloth.lays[0]!.pieces.some((p) => p.of?.part === 'B')).toBe(false)
    expect(set.cutting!.groups.map((g) => g.group.grade.name).toSorted()).toContain('Eider 50/60')
  })
})
