import { describe, expect, it } from 'vitest'
import type { Closure, PartJob } from '../../contract/index.ts'
import { CLOSURES, usualMakeUp } from '../cover/index.ts'
import { layDrawing } from '../formats/index.ts'
import { newSeat, setCloth, setLooseFibre, shapedSeat, reading } from '../job/index.ts'
import { solveLay } from '../lay/index.ts'
import { buyingList } from '../lists/index.ts'
import { flatten, onEdge, outwardOn, type Point, type Polygon } from '../outline/index.ts'
import { DEMO_CLOTHS, demoParts } from '../demo/index.ts'
import { onlyDesign, worked, planOne, mediumBenchPart } from '../testing/jobs.ts'

/* Figures of whole jobs, recomputed from what is drawn, exported or bought. */

const single = (w: number, d: number, t: number, change: Partial<PartJob> = {}): PartJob => ({
  ...mediumBenchPart(),
  seat: { ...newSeat('singles', w, d, t, 1), clearanceMm: 0 },
  cloth: { ...mediumBenchPart().cloth, match: { kind: 'none' } },
  ...change,
})

/** How far a ray from a point meets a polygon first. */
function ray(polygon: Polygon, from: Point, way: Point): number {
  const hits = polygon.flatMap((a, i) => {
    const b = polygon[(i + 1) % polygon.length]!
    const turn = way.x * (b.y - a.y) - way.y * (b.x - a.x)
    if (Math.abs(turn) < 1e-12) return []
    const t = ((a.x - from.x) * (b.y - a.y) - (a.y - from.y) * (b.x - a.x)) / turn
    const s = ((a.x - from.x) * way.y - (a.y - from.y) * way.x) / turn
    return t > -1e-9 && s >= -1e-9 && s <= 1 + 1e-9 ? [t] : []
  })
  return Math.min(...hits)
}

describe('a rounded knife-edge plate with an allowance of its own along the front', () => {
  it.each([6, 25, 40])(
    '%d mm there, 12 along the arcs and all other edges, by rays from the exported sewing line',
    (own) => {
      const job = single(610, 545, 110, { makeUp: usualMakeUp('knife-edge') })
      const straight = worked(job).designs[0]!.cover.panels[0]!
      const front = straight.edges.find((e, i) => e.side === 'front' && straight.finished[i]!.bulge === undefined)!.name
      const plan = worked({
        ...job,
        allowances: { ...job.allowances, edges: { [`top-plate/${front}`]: own } },
        makeUp: { ...job.makeUp, closure: CLOSURES['sewn-shut'].usual },
      })
      const lay = plan.cloth.lays[0]!
      const solved = solveLay(lay.problem, { seed: 1, budget: { steps: 2, isStopped: () => false } })
      if (!solved.ok) throw new Error(solved.error.code)
      const drawn = layDrawing('T', lay, { ...solved.value.lay, seconds: 0 }, 5).pieces.find((p) =>
        p.name.startsWith('Top plate'),
      )!
      const cut = flatten(drawn.cut, 0.005)
      const panel = plan.designs[0]!.cover.panels[0]!
      panel.edges.forEach((edge, i) => {
        for (const share of [0.05, 0.5, 0.95])
          expect(
            ray(cut, onEdge(drawn.sew!, i, share), outwardOn(drawn.sew!, i, share)),
            `${edge.name} at ${share}`,
          ).toBeCloseTo(edge.name === front ? own : 12, 1)
      })
    },
  )

  it('notches of a back with a zip stand on the cut edge, in the exported lay', () => {
    const plan = worked(demoParts()[2]!)
    for (const lay of plan.cloth.lays) {
      const solved = solveLay(lay.problem, { seed: 1, budget: { steps: 1, isStopped: () => false } })
      if (!solved.ok) throw new Error(solved.error.code)
      for (const piece of layDrawing('T', lay, { ...solved.value.lay, seconds: 0 }, 5).pieces) {
        const cut = flatten(piece.cut, 0.005)
        for (const [edge] of piece.notches) {
          const off = Math.min(
            ...cut.map((a, i) => {
              const b = cut[(i + 1) % cut.length]!
              const [dx, dy] = [b.x - a.x, b.y - a.y]
              const share = Math.max(
                0,
                Math.min(1, ((edge.x - a.x) * dx + (edge.y - a.y) * dy) / (dx * dx + dy * dy || 1)),
              )
              return Math.hypot(a.x + share * dx - edge.x, a.y + share * dy - edge.y)
            }),
          )
          expect(off, piece.name).toBeLessThan(0.05)
        }
      }
    }
  })
})

describe('piping', () => {
  it('a strip is never shown narrower than π·c + 2s, in any unit', () => {
    for (const units of ['mm', 'cm', 'inch-8', 'inch-16'] as const)
      for (const cordMm of [3, 4, 4.7, 5, 6.35, 8])
        for (const seamMm of [6, 9.525, 10, 12.7, 15]) {
          const base = single(600, 480, 90, { units })
          const piping = base.makeUp.piping.kind === 'corded' ? { ...base.makeUp.piping, cordMm } : base.makeUp.piping
          const width = onlyDesign(
            worked({
              ...base,
              makeUp: { ...base.makeUp, piping },
              allowances: { ...base.allowances, overrides: { seamMm } },
            }),
          ).cover.piping!.stripWidth!.value
          const needed = Math.PI * cordMm + 2 * seamMm
          const step = units === 'inch-8' ? 25.4 / 8 : units === 'inch-16' ? 25.4 / 16 : 1
          expect(width).toBeGreaterThanOrEqual(needed - 1e-6)
          expect(width).toBeLessThan(needed + step)
          expect(Math.abs(width / step - Math.round(width / step))).toBeLessThan(1e-6)
        }
  })

  it('joins keep 60 off every corner and off the middle of the front, wherever the loop can be turned so', () => {
    let loops = 0
    for (let w = 420; w <= 1500; w += 60)
      for (const d of [380, 470, 610]) {
        const plan = worked(single(w, d, 90))
        const places = plan.cloth.strips[0]!.flatMap(({ split }) => split.joinsMm)
        // Counter-clockwise from the middle of the back: the left back corner, the left front one, the middle of the
        // front, and on.
        const kept = [w / 2, w / 2 + d, w + d, 1.5 * w + d, 1.5 * w + 2 * d].map((p) => p % (2 * (w + d)))
        const apart = (p: number, q: number) => Math.min(Math.abs(p - q), 2 * (w + d) - Math.abs(p - q))
        const nearest = Math.min(Infinity, ...places.flatMap((p) => kept.map((q) => apart(p, q))))
        const n = Math.max(...plan.cloth.strips[0]!.map(({ split }) => split.strips.value))
        const canBe = Array.from({ length: 4000 }, (_, i) => (i / 4000) * ((2 * (w + d)) / n)).some((turn) =>
          Array.from({ length: n }, (_, j) => turn + (j * 2 * (w + d)) / n).every((p) =>
            kept.every((q) => apart(p, q) >= 61),
          ),
        )
        loops++
        if (canBe) expect(nearest, `${w} x ${d}`).toBeGreaterThanOrEqual(60 - 0.01)
        else if (nearest < 59)
          expect(
            plan.warnings.map((x) => x.code),
            `${w} x ${d}`,
          ).toContain('piping-join-near')
      }
    expect(loops).toBe(57)
  })
})

describe('what is bought', () => {
  it('a base that an inset leaves nothing of is not bought by a negative area, but stops', () => {
    const base = single(420, 400, 80)
    const job = {
      ...base,
      makeUp: { ...base.makeUp, trims: { ...base.makeUp.trims, grip: { kind: 'non-slip' as const, insetMm: 250 } } },
    }
    const plan = worked(job)
    expect(plan.warnings.find((w) => w.code === 'grip-vanishes')).toMatchObject({ level: 'stop' })
    const { lines } = buyingList(job, plan, [{ laidMm: 1000, boundMm: 0 }])
    expect(lines.filter((l) => l.amount.value <= 0)).toEqual([])
    expect(lines.map((l) => l.what)).not.toContain('Non-slip cloth')
  })

  it('a hassock of eight sheets of 50: eight parts, seven faces glued on both sides', () => {
    const plan = worked(demoParts().find((j) => j.ticket === 'SL-08')!)
    const parts = plan.cutting!.groups.flatMap((g) => g.group.parts)
    expect(parts.map((p) => p.thicknessMm)).toEqual(Array(8).fill(50))
    expect(plan.cutting!.supplies.glue!.value).toBeCloseTo((2 * 7 * 0.44 * 0.44 * 90) / 1000, 6)
    expect(plan.warnings.map((w) => w.code)).not.toContain('too-many-layers')
  })
})

it('a slit back on a ring, whose bottom the line would cut twice through one edge, is refused with what can be made', () => {
  const ring = { ...demoParts()[0]!, makeUp: usualMakeUp('slit-back') }
  const bent = shapedSeat(
    {
      kind: 'ring',
      at: 'inner',
      curve: { by: 'radius', radius: reading(700) },
      depth: reading(350),
      extent: { by: 'angle', degrees: 120 },
    },
    90,
    { kind: 'singles', count: 1, mirrored: 0 },
  )
  expect(planOne({ ...ring, seat: bent }).warnings[0]).toMatchObject({
    code: 'make-up-refused',
    refusal: { reason: { code: 'slit-outside' }, nearest: 'boxed' },
  })
})

describe('whether it can be filled', () => {
  const opened = (job: PartJob) => planOne(job).warnings.flatMap((w) => (w.code === 'opening-too-small' ? [w] : []))
  const closedBy = (job: PartJob, closure: Closure): PartJob => ({
    ...job,
    makeUp: { ...usualMakeUp('boxed'), closure },
  })
  const sewn = (openingMm: number): Closure => ({ kind: 'sewn-shut', side: 'left', openingMm })

  it('a block goes through a whole open end, however firm', () => {
    expect(
      opened(
        closedBy(single(900, 400, 100), { ...CLOSURES['zip-seam'].usual, kind: 'zip-seam', side: 'left' } as Closure),
      ),
    ).toEqual([])
    expect(opened(closedBy(single(900, 400, 100), sewn(250)))).toMatchObject([{ way: 'flat' }])
  })

  it('firmer foam folds when it is thin', () => {
    expect(opened(closedBy(single(900, 400, 60), sewn(250)))).toMatchObject([
      { way: 'folded', needed: expect.closeTo(0.55 * 408 + 60, 0) },
    ])
    expect(opened(closedBy(single(900, 400, 60), sewn(290)))).toEqual([])
  })

  it('film that is chosen is counted on', () => {
    const filmed = (openingMm: number) => {
      const job = closedBy(single(900, 400, 100), sewn(openingMm))
      return { ...job, cutting: { ...job.cutting, film: 'taken-out' as const } }
    }
    // 0.4 x (408 + 0.3 x 100) = 175: the block is cut 2 % larger.
    expect(opened(filmed(180))).toEqual([])
    expect(opened(filmed(120))).toMatchObject([{ way: 'film' }])
  })

  it('a pillow of 450 in a filled liner does not go through a gap of 120', () => {
    const pillow = setLooseFibre.apply(
      setCloth(DEMO_CLOTHS.find((c) => c.id === 'house-calico')!).apply(single(450, 450, 140)),
    )
    const gap = (openingMm: number) =>
      opened({
        ...pillow,
        makeUp: { ...usualMakeUp('knife-edge'), closure: { kind: 'sewn-shut', side: 'back', openingMm } },
      })
    expect(gap(120)).toMatchObject([{ way: 'fibre', closure: 'sewn-shut' }])
    expect(gap(400)).toEqual([])
  })
})
