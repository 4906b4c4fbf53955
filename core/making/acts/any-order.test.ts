import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { PartJob } from '../../../contract/index.ts'
import { CONSTRUCTIONS } from '../../cover/index.ts'
import { demoJobs, keepersBenchPart } from '../../demo/index.ts'
import { jobOf, newSeat } from '../../job/index.ts'
import { planJob } from '../../plan/index.ts'
import type { WorkedPlan } from '../../planned/index.ts'
import { anyFilling, anyWork } from '../../testing/fillings.ts'
import { anyMakeUpOf } from '../../testing/make-ups.ts'
import { anySeat } from '../../testing/seats.ts'
import { planOne } from '../../testing/jobs.ts'
import { actsOf, garmentsIn, orderFaults, workOrder } from '../work-order.ts'
import { orderOf } from '../steps/order-of.ts'
import type { Step } from '../step.ts'
import type { Act } from './act.ts'
import { canBeMade } from './can-be-made.ts'
import { inOrder } from './in-order.ts'

const unmatched = { ...keepersBenchPart().cloth, match: { kind: 'none' as const } }
const anyBox = fc
  .record({
    w: fc.integer({ min: 300, max: 1500 }),
    d: fc.integer({ min: 300, max: 700 }),
    t: fc.integer({ min: 60, max: 300 }),
    n: fc.integer({ min: 1, max: 3 }),
    isRound: fc.boolean(),
  })
  .map(({ w, d, t, n, isRound }) => newSeat('singles', w, isRound ? t : d, t, n))
const wordsOf = (s: Step) => [s.title, ...s.says, ...s.checks, s.gate ?? ''].join(' ')

/** Words of things, and how it is told from the plan that there are none of them. */
const THINGS: readonly (readonly [word: RegExp, isThere: (plan: WorkedPlan) => boolean])[] = [
  [/\bpip(?:ed|ing)\b/i, (p) => p.designs.some((d) => d.cover.piping ?? d.liner?.piping)],
  [
    /\bboxing\b/i,
    (p) =>
      p.designs.some((d) =>
        [d.cover, d.liner].some((c) => c?.panels.some((x) => x.role === 'boxing' || x.role === 'gusset')),
      ),
  ],
  [
    /\bzip\b/i,
    (p) =>
      p.designs.some((d) =>
        [d.cover, d.liner].some((c) => c?.closures.some((x) => x.fittings.some((f) => f.use === 'zip'))),
      ),
  ],
  [/hide the pull/i, (p) => p.designs.some((d) => d.part.makeUp.closure.kind === 'zip-gusset')],
  [
    /\bbuttons\b/i,
    (p) => p.designs.some((d) => d.part.makeUp.trims.buttons ?? d.part.makeUp.closure.kind === 'buttons'),
  ],
  [/\bties\b/i, (p) => p.designs.some((d) => d.part.makeUp.trims.ties ?? d.part.makeUp.closure.kind === 'ties')],
  [
    /\bboard\b/i,
    (p) =>
      p.designs.some((d) => d.part.makeUp.construction.kind === 'pull-over') || (p.cutting?.blocks.length ?? 0) > 0,
  ],
  [/\bstapl/i, (p) => p.designs.some((d) => d.part.makeUp.construction.kind === 'pull-over')],
  [/\bcut the foam\b|electric knife/i, (p) => (p.cutting?.groups.length ?? 0) > 0],
  [/\bchalk\b|\bshears\b|\bcloth batch\b/i, (p) => p.sewn.length > 0],
  [/\bold cover\b/i, (p) => p.worked.some(({ part }) => part.work.kind === 'cover-only')],
  [/\bunpick/i, (p) => p.worked.some(({ part }) => part.work.kind === 'filling-only')],
  [/\bfibre\b/i, (p) => p.designs.some((d) => d.filling.kind === 'loose-fibre')],
  [
    /\bwadding\b/i,
    (p) =>
      p.designs.some(
        (d) =>
          d.part.makeUp.construction.kind === 'cube' ||
          d.cover.layers.some((l) => l.cloth === 'wadding') ||
          (d.part.filling.kind === 'foam' &&
            (d.part.filling.wadding !== null || d.part.filling.layers.some((l) => l.grade.family === 'wadding'))),
      ),
  ],
  [/\bliner\b/i, (p) => p.designs.some((d) => d.liner !== null)],
  [/\bpile arrow\b|one-way pile/i, (p) => p.cloth.lays.some((l) => l.cloth.nap === 'one-way')],
  [/\bpress it\b/i, (p) => p.cloth.lays.some((l) => l.cloth.nap !== 'one-way' && l.cloth.fibre !== 'synthetic')],
  [
    /\bwash/i,
    (p) => p.cloth.lays.some((l) => l.cloth.washFirst || l.cloth.shrink.across > 0 || l.cloth.shrink.along > 0),
  ],
  [
    /first of (?:several|the equal)/i,
    (p) =>
      p.designs.some((d) => d.design.count > 1) ||
      (p.cutting?.blocks.some((b) => b.parts.some((x) => x.count > 1)) ?? false),
  ],
  [
    /\bturn out\b/i,
    (p) => p.designs.some((d) => d.liner ?? !['pull-over', 'no-sew-wrap'].includes(d.part.makeUp.construction.kind)),
  ],
  [/\bstripes\b/i, (p) => p.worked.some(({ part }) => part.cloth.match.kind === 'matched')],
]

const spokenOfInVain = (job: Parameters<typeof workOrder>[0], plan: WorkedPlan): readonly string[] =>
  workOrder(job, plan).flatMap((s) =>
    THINGS.flatMap(([word, isThere]) => (word.test(wordsOf(s)) && !isThere(plan) ? [`${s.id}: ${word.source}`] : [])),
  )

describe.each(CONSTRUCTIONS)('%s', (kind) => {
  it('can be made in its order, with any closure, piping, liner, filling and trims, and speaks of nothing that is not there, in the units of the job', () => {
    let worked = 0
    fc.assert(
      fc.property(fc.oneof(anySeat, anyBox), anyMakeUpOf(kind), anyFilling, anyWork, (seat, makeUp, filling, work) => {
        const job: PartJob = { ...keepersBenchPart(), cloth: unmatched, seat, makeUp, filling, work }
        const plan = planOne(job)
        if (plan.kind === 'unworkable') return
        worked++
        const ticket = jobOf(job)
        expect(orderFaults(ticket, plan)).toEqual([])
        expect(spokenOfInVain(ticket, plan)).toEqual([])
        const inInches = workOrder({ ...ticket, units: 'inch-8' }, plan).map(wordsOf)
        expect(inInches.filter((words) => /\d mm\b/.test(words))).toEqual([])
        const ids = workOrder(ticket, plan).map((s) => s.id)
        expect(ids.filter((own, i) => ids.indexOf(own) !== i)).toEqual([])
      }),
      { numRuns: 60 },
    )
    expect(worked).toBeGreaterThan(0)
  }, 60_000)
})

describe('every demo ticket', () => {
  it.each(demoJobs().map((j) => [j.ticket, j] as const))(
    '%s can be made, and speaks only of what is there',
    (_, job) => {
      const plan = planJob(job)
      if (plan.kind !== 'worked') throw new Error(job.ticket)
      expect(orderFaults(job, plan)).toEqual([])
      expect(spokenOfInVain(job, plan)).toEqual([])
    },
  )
})

describe('planted errors', () => {
  const ordered = (ticket: string) => {
    const job = demoJobs().find((j) => j.ticket === ticket)!
    const plan = planJob(job)
    if (plan.kind !== 'worked') throw new Error(ticket)
    return { order: inOrder(actsOf(orderOf(job, plan))).order, garments: garmentsIn(plan) }
  }
  /** The order with one act moved to just before another. */
  const moved = (order: readonly Act[], what: (a: Act) => boolean, before: (a: Act) => boolean): readonly Act[] => {
    const one = order.find(what)!
    const rest = order.filter((a) => a !== one)
    const at = rest.findIndex(before)
    expect(at).toBeGreaterThanOrEqual(0)
    return [...rest.slice(0, at), one, ...rest.slice(at)]
  }
  const does = (kind: Act['does']['kind']) => (a: Act) => a.does.kind === kind
  const id = (wanted: string) => (a: Act) => a.step.id === wanted

  it('a divider before the cover is turned', () => {
    const { order, garments } = ordered('SL-09')
    expect(canBeMade(moved(order, does('top-stitch'), does('turn')), garments).join()).toMatch(
      /right side.*wrong side out/,
    )
  })
  it('the last seam before the zip is open', () => {
    const { order, garments } = ordered('SL-02')
    const open = order.find(does('open'))!
    const last = order.findLast(does('seam'))!
    expect(order.indexOf(open)).toBeLessThan(order.indexOf(last))
    expect(
      canBeMade(
        moved(
          order,
          (a) => a === last,
          (a) => a === open,
        ),
        garments,
      ).join(),
    ).toMatch(/closure is not open/)
  })
  it('a liner filled before it is sewn, and put in before it is shut', () => {
    const { order, garments } = ordered('SL-03')
    const liner = (a: Act) => a.thing.endsWith('liner')
    const early = moved(
      order,
      (a) => liner(a) && a.does.kind === 'fill',
      (a) => liner(a) && a.does.kind === 'seam',
    )
    expect(canBeMade(early, garments).join()).toMatch(/not turned out yet/)
    const open = moved(
      order,
      (a) => !liner(a) && a.does.kind === 'fill' && a.does.with.endsWith('liner'),
      (a) => liner(a) && a.does.kind === 'shut',
    )
    expect(canBeMade(open, garments).join()).toMatch(/not filled and shut yet/)
  })
  it('a corner closed only after the plate that runs across it', () => {
    const { order, garments } = ordered('SL-06')
    const corner = (a: Act) => a.does.kind === 'seam' && a.does.seam.kind === 'corner'
    const plate = order.find((a) => a.does.kind === 'seam' && a.does.seam.kind === 'plate')!
    const at = order.indexOf(plate)
    const swapped = [
      ...order.slice(0, at).filter((a) => a !== order.find(corner)),
      plate,
      order.find(corner)!,
      ...order.slice(at + 1),
    ]
    expect(canBeMade(swapped, garments).join()).toMatch(/runs across the end of seam/)
  })
  it('a button before the filling; a zip on a base that is sewn in; a cover pulled over a board that is not there', () => {
    const pad = ordered('SL-10')
    const pads = (a: Act) => a.does.kind === 'button'
    const fill = pad.order.find((a) => a.does.kind === 'fill' && a.thing === pad.order.find(pads)!.thing)!
    expect(
      canBeMade(
        moved(pad.order, pads, (a) => a === fill),
        pad.garments,
      ).join(),
    ).toMatch(/through the block/)
    const berth = ordered('SL-06')
    const slot = berth.order.find((a) => a.step.id.endsWith('.slot'))!
    const border = (a: Act) => a.does.kind === 'finish' && a.thing === slot.thing
    expect(
      canBeMade(
        moved(berth.order, (a) => a === slot, border),
        berth.garments,
      ).join(),
    ).toMatch(/does not lie flat/)
    const lid = ordered('SL-05')
    const pulled = moved(lid.order, does('cover-over'), does('prepare'))
    expect(canBeMade(pulled, lid.garments).join()).toMatch(/there is no board A yet/)
  })
  it('an act left out is missed: a seam, the filling, the closing', () => {
    const { order, garments } = ordered('SL-02')
    const without = (wanted: (a: Act) => boolean) =>
      canBeMade(
        order.filter((a) => !wanted(a)),
        garments,
      ).join()
    expect(without(id('sew.A.C'))).toMatch(/seam C/)
    expect(without(does('fill'))).toMatch(/never filled/)
    expect(without(does('shut'))).toMatch(/never closed/)
  })
})
