import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { Job, type PartJob } from '../../contract/index.ts'
import { jobOf, newSeat, reading, shapedSeat } from '../job/index.ts'
import { areaOf, atHeight, bevelVolume, boxOf, edgeLength, slantOf, vertex, at, hasArcs } from '../outline/index.ts'
import { reshape } from '../seat/index.ts'
import { demoParts, keepersBenchPart } from '../demo/index.ts'
import { foamJob, onlyDesign, worked, planOne } from '../testing/jobs.ts'
import { anySeat } from '../testing/seats.ts'
import { eulerNumber } from './checks/closes-round-block.ts'
import { panelOf } from './index.ts'
import { runsOnFlat, unroll, wallArea, wholePart } from './wall.ts'

const withSeat = (seat: PartJob['seat']): PartJob =>
  foamJob((foam) => ({ ...foam, school: { kind: 'size-for-size' } }), { ...keepersBenchPart(), seat })
const upright = { meets: 'open' as const, riseMm: 0, lean: null }

describe('a leaning side, by hand', () => {
  const degrees = 24
  const seat = shapedSeat(
    { kind: 'rectangle', width: reading(600), depth: reading(500), rising: null, falling: null },
    100,
    { kind: 'singles', count: 1, mirrored: 0 },
  )
  const job = withSeat({ ...seat, edges: { left: { ...upright, lean: { by: 'angle', degrees } } } })
  const { cover, design } = onlyDesign(worked(job))

  it('leaning 24° at 100: the top moves out 44.5, the slant is 109.5', () => {
    expect(boxOf(panelOf(cover, 'top-plate').finished).minX).toBeCloseTo(-44.523, 3)
    expect(slantOf((degrees * Math.PI) / 180, 100)).toBeCloseTo(109.464, 3)
    const left = panelOf(cover, 'boxing-left')
    expect(boxOf(left.finished).maxY).toBeCloseTo(109.464, 3)
  })

  it('the front beside it is a trapezium: 600 at the foot, 644.5 at the top, 100 high', () => {
    const front = panelOf(cover, 'boxing-front').finished
    expect(areaOf(front)).toBeCloseTo(((600 + 644.523) / 2) * 100, 1)
  })

  it('the volume is that of a prism and a wedge', () => {
    const { outline, edges } = design.solid
    expect(
      bevelVolume(
        outline,
        edges.map((e) => e.leanRad),
        100,
      ),
    ).toBeCloseTo(600 * 500 * 100 + (44.5229 * 100 * 500) / 2, -2)
  })

  it('leaning all round by 10°, the volume is that of a frustum', () => {
    const leans = [1, 1, 1, 1].map(() => (10 * Math.PI) / 180)
    const out = 100 * Math.tan((10 * Math.PI) / 180)
    const [low, high] = [600 * 500, (600 + 2 * out) * (500 + 2 * out)]
    const middle = (600 + out) * (500 + out)
    expect(bevelVolume(design.solid.outline, leans, 100)).toBeCloseTo((100 / 6) * (low + 4 * middle + high), 3)
  })

  it('a top 40 mm further out than the foot is told by its overhang', () => {
    const { cover: by } = onlyDesign(
      worked(withSeat({ ...seat, edges: { far: { ...upright, lean: { by: 'overhang', mm: 40 } } } })),
    )
    expect(boxOf(panelOf(by, 'top-plate').finished).maxY).toBeCloseTo(540, 6)
  })
})

describe('a bowed leaning side is a stretch of a cone', () => {
  // A half disc of radius 300 leaning out by 20° over 100: slant 106.4, apex radius 300 / sin 20° = 877.1.
  const foot = [vertex(at(-300, 0), 1), at(300, 0)]
    .reverse()
    .map((v, i) => (i === 0 ? vertex(at(300, 0), 1) : at(-300, 0)))
  const lean = (20 * Math.PI) / 180
  const top = atHeight(foot, [lean, 0], 100)
  const wall = { foot, middle: atHeight(foot, [lean, 0], 50), top, heightMm: 100 }
  const flat = unroll(wall, [wholePart(wall, 0)])

  it('keeps the lengths of both arcs', () => {
    expect(edgeLength(flat.outline, 0)).toBeCloseTo(edgeLength(foot, 0), 6)
    expect(edgeLength(flat.outline, 2)).toBeCloseTo(edgeLength(top, 0), 6)
    expect(edgeLength(foot, 0)).toBeCloseTo(Math.PI * 300, 6)
  })

  it('has the area of the cone between them', () => {
    const slant = 100 / Math.cos(lean)
    const outer = 300 + 100 * Math.tan(lean)
    // The straight side does not lean: the top arc runs on a little past the half circle to meet it.
    const half = ((Math.PI * (300 + outer)) / 2) * slant
    expect(Math.abs(areaOf(flat.outline) - half)).toBeLessThan(0.02 * half)
  })
})

describe('the five checks on any shape', () => {
  /**
   * Sharp bows beside steep leans, or edges hardly longer than their allowance, are rare corners that cannot be sewn:
   * the plan must say so.
   */
  it('pass wherever a plan is made but for a hundredth, and then the plan stops', () => {
    let [made, stopped] = [0, 0]
    fc.assert(
      fc.property(
        anySeat,
        fc.constantFrom('wrap' as const, 'one-per-side' as const),
        fc.boolean(),
        (seat, boxing, matched) => {
          const base = withSeat(seat)
          const job: PartJob = {
            ...base,
            makeUp: { ...base.makeUp, construction: { kind: 'boxed', boxing } },
            cloth: { ...base.cloth, match: matched ? base.cloth.match : { kind: 'none' } },
          }
          expect(Job.safeParse(jobOf(job)).success).toBe(true)
          const plan = planOne(job)
          if (plan.kind === 'unworkable') {
            expect(plan.warnings.some((w) => w.level === 'stop')).toBe(true)
            return
          }
          for (const { cover, checks } of plan.designs) {
            made++
            const faults = checks.flatMap((c) => c.faults)
            if (faults.length === 0) expect(eulerNumber(cover)).toMatchObject({ sum: 2 })
            else {
              stopped++
              expect(plan.warnings.some((w) => w.code === 'check-failed' && w.level === 'stop')).toBe(true)
            }
          }
        },
      ),
      { numRuns: 400 },
    )
    expect(made).toBeGreaterThan(200)
    expect(stopped).toBeLessThan(made / 100)
  })

  it('pass on every seat of the demo shop and on every shape as it starts', () => {
    const starts = (['rectangle', 'taper', 'eared', 'corner-bench', 'ring', 'berth', 'taped', 'points'] as const).map(
      (kind) => withSeat(reshape(newSeat('bench', 1800, 600, 80, 3), kind)),
    )
    for (const job of [...demoParts(), ...starts]) {
      for (const { cover, checks } of worked(job).designs) {
        expect(
          checks.flatMap((c) => c.faults),
          job.seat.footprint.kind,
        ).toEqual([])
        const { surfaces, sum } = eulerNumber(cover)
        expect(sum).toBe(2 * surfaces)
      }
    }
  })

  it('unrolled strips are as long as the outlines they meet, and together as large as the walls', () => {
    fc.assert(
      fc.property(anySeat, (seat) => {
        const plan = planOne(withSeat(seat))
        if (plan.kind === 'unworkable') return
        // An outline that cannot be sewn as drawn stops the plan by its checks.
        for (const { cover } of plan.designs.filter((d) => d.checks.every((c) => c.faults.length === 0))) {
          const wall = cover.wall!
          wall.foot.forEach((_, i) => {
            const flat = unroll(wall, [wholePart(wall, i)])
            expect(edgeLength(flat.outline, 0)).toBeCloseTo(edgeLength(wall.foot, i), 4)
            const [part] = flat.parts
            expect(part!.topTo - part!.topFrom).toBeCloseTo(edgeLength(wall.top, i), 1)
          })
          const strips = cover.panels.filter((p) => p.role !== 'plate').reduce((sum, p) => sum + areaOf(p.finished), 0)
          // Where bows and leaning sides meet a strip is drawn with arcs: on ten thousand seats the worst were 0.44 and
          // 0.61 % off, a quarter to a third of a millimetre of its height.
          const isTwisted = hasArcs(wall.foot) && cover.solid.edges.some((e) => e.leanRad !== 0)
          expect(Math.abs(strips - wallArea(wall))).toBeLessThan((isTwisted ? 0.01 : 0.0005) * strips)
        }
      }),
      { numRuns: 150 },
    )
  })

  it('upright corners run on flat; a corner between leaning sides does not', () => {
    const box = onlyDesign(
      worked(
        withSeat(
          shapedSeat(
            { kind: 'rectangle', width: reading(600), depth: reading(500), rising: null, falling: null },
            100,
            { kind: 'singles', count: 1, mirrored: 0 },
          ),
        ),
      ),
    ).cover.wall!
    expect([0, 1, 2, 3].map((i) => runsOnFlat(box, i))).toEqual([true, true, true, true])
    const leaning = {
      ...box,
      middle: atHeight(box.foot, [0, 0.2, 0, 0], 50),
      top: atHeight(box.foot, [0, 0.2, 0, 0], 100),
    }
    expect([0, 1, 2, 3].map((i) => runsOnFlat(leaning, i))).toEqual([true, false, false, true])
  })
})
