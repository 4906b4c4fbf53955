import { jobOf } from '../../job/index.ts'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { Job, type PartJob } from '../../../contract/index.ts'
import { areaOf, boxOf, isSimple } from '../../outline/index.ts'
import { planDocument } from '../../plan/index.ts'
import { keepersBenchPart } from '../../demo/index.ts'
import { FACTORY_BOOK } from '../../defaults/index.ts'
import { boxSolid, coverOf, planOne } from '../../testing/jobs.ts'
import { anyMakeUp, anyMakeUpOf } from '../../testing/make-ups.ts'
import { anySeat } from '../../testing/seats.ts'
import { warningWords } from '../../warnings/index.ts'
import { eulerNumber } from '../checks/closes-round-block.ts'
import {
  applied,
  checkCover,
  CLOSURES,
  CONSTRUCTIONS,
  cutOutline,
  facetsOf,
  makeCover,
  MAKE_UPS,
  neighbourly,
  notchDepth,
  turnedOutline,
  volumeWithin,
  type Cover,
} from '../index.ts'
import { refusalWords } from '../refusal-words.ts'

/** Beside other tests on a small machine. */
const SLOW_MS = 120_000

const unmatched = { ...keepersBenchPart().cloth, match: { kind: 'none' as const } }
const made = (w: number, d: number, t: number, makeUp: Parameters<typeof makeCover>[0]['makeUp'], seamMm: number) =>
  makeCover({
    units: 'mm',
    solid: boxSolid(w, d, t),
    makeUp,
    cloth: unmatched,
    allowances: applied({ book: FACTORY_BOOK, overrides: { seamMm } }),
    edges: {},
  })
const sizes = {
  w: fc.integer({ min: 160, max: 2400 }),
  d: fc.integer({ min: 160, max: 1200 }),
  t: fc.integer({ min: 25, max: 300 }),
  s: fc.integer({ min: 5, max: 20 }),
}

describe.each(CONSTRUCTIONS)('%s', (kind) => {
  it(
    'passes the five checks on any box, or says why it cannot be made',
    () => {
      let passed = 0
      fc.assert(
        fc.property(fc.record(sizes), anyMakeUpOf(kind), ({ w, d, t, s }, makeUp) => {
          const round =
            kind === 'bolster' || (makeUp.construction.kind === 'liner' && makeUp.construction.of === 'bolster')
          const cover = made(w, round ? Math.max(60, t) : d, round ? Math.max(60, t) : t, makeUp, s)
          if (!cover.ok) {
            const { says, cure } = refusalWords(cover.error, 'mm')
            expect(says.length + cure.length).toBeGreaterThan(30)
            expect(`${says} ${cure}`).not.toMatch(/NaN|undefined/)
            return
          }
          passed++
          expect(checkCover(cover.value).flatMap((c) => c.faults)).toEqual([])
          for (const panel of cover.value.panels) {
            const cut = cutOutline(panel)
            expect(isSimple(cut)).toBe(true)
            expect(areaOf(cut)).toBeGreaterThanOrEqual(areaOf(panel.finished))
            const { minX, minY, maxX, maxY } = boxOf(cut)
            expect(
              [panel.figures.cutWidth.value, panel.figures.cutHeight.value],
              `${panel.name}: the list says what the outline is`,
            ).toEqual([expect.closeTo(maxX - minX, 1), expect.closeTo(maxY - minY, 1)])
            for (const n of panel.notches)
              expect(notchDepth(panel, n, FACTORY_BOOK.notchMm)).toBeLessThanOrEqual(
                panel.edges.find((e) => e.name === n.edge)!.allowance.value / 2,
              )
          }
        }),
        { numRuns: 90 },
      )
      expect(passed).toBeGreaterThan(15)
    },
    SLOW_MS,
  )
})

it('a join of the boxing a hair beside the slit is no seam of its own', () => {
  for (const share of [0.7, 0.7058, 0.7059, 0.706, 0.7063, 0.7064, 0.7065, 0.71]) {
    const trims = {
      ties: null,
      handles: null,
      vents: null,
      grip: { kind: 'none' },
      buttons: null,
      finishing: 'overlocked-together',
      trimReserveMm: 0,
    } as const
    const cover = made(
      160,
      511,
      25,
      {
        construction: { kind: 'slit-back', boxing: 'wrap', share, lapMm: 10, hemMm: 0 },
        closure: { kind: 'slit' },
        piping: { kind: 'none' },
        trims,
        liner: null,
        layers: [],
        reserves: [],
        readyEdges: [],
        joins: [],
      },
      5,
    )
    expect(cover.ok && checkCover(cover.value).flatMap((c) => c.faults)).toEqual([])
  }
})

describe('any make-up on any seat', () => {
  /**
   * Leaning sides beside sharp bows, or edges hardly longer than their allowance, cannot be sewn as drawn: the plan
   * stops and says so.
   */
  it(
    'is planned soundly, or stopped in words, never an exception',
    () => {
      let [worked, stopped] = [0, 0]
      fc.assert(
        fc.property(anySeat, anyMakeUp, (seat, makeUp) => {
          const job: PartJob = { ...keepersBenchPart(), seat, makeUp, cloth: unmatched }
          expect(Job.safeParse(jobOf(job)).success).toBe(true)
          const plan = planOne(job)
          for (const w of plan.warnings)
            expect(`${warningWords(w, 'inch-16').says} ${warningWords(w, 'inch-16').cure}`).not.toMatch(
              /NaN|undefined|Infinity/,
            )
          if (plan.kind === 'unworkable') {
            expect(plan.warnings.some((w) => w.level === 'stop')).toBe(true)
            return
          }
          expect(JSON.stringify(planDocument(jobOf(job), plan, []))).not.toMatch(/NaN|Infinity|"value":null/)
          for (const { checks } of plan.designs) {
            worked++
            if (checks.every((c) => c.faults.length === 0)) continue
            stopped++
            expect(plan.warnings.some((w) => w.code === 'check-failed' && w.level === 'stop')).toBe(true)
          }
        }),
        { numRuns: 300 },
      )
      expect(worked).toBeGreaterThan(100)
      expect(stopped / worked).toBeLessThan(0.03)
    },
    SLOW_MS,
  )
})

describe('the cover in space', () => {
  const closed = (['boxed', 'slit-back', 'lap-closed', 'wrapped-tube', 'rolled-edge', 'pinch-corner'] as const).map(
    (kind) =>
      [kind, coverOf(boxSolid(600, 400, 80), { kind, closure: CLOSURES[MAKE_UPS[kind].closures[0]].usual })] as const,
  )
  it.each(closed)('%s encloses its cushion: 600 x 400 x 80', (_kind, cover) =>
    expect(volumeWithin(cover.patches, 0.2) / (600 * 400 * 80)).toBeCloseTo(1, 3),
  )

  it('a bolster encloses its roll, a round-fronted waterfall a little less than its box', () => {
    expect(
      volumeWithin(
        coverOf(boxSolid(620, 190, 190), { kind: 'bolster', closure: CLOSURES['zip-seam'].usual }).patches,
        0.02,
      ) /
        ((Math.PI / 4) * 190 * 190 * 620),
    ).toBeCloseTo(1, 2)
    const box = 600 * 400 * 80
    // Two quarter rounds of 25 along the front.
    const rounded = box - 600 * (4 - Math.PI) * 0.5 * 25 * 25
    expect(
      volumeWithin(
        coverOf(boxSolid(600, 400, 80), { kind: 'waterfall', closure: CLOSURES['zip-gusset'].usual }).patches,
        0.05,
      ) / rounded,
    ).toBeCloseTo(1, 2)
  })

  it('a pillow holds less than its box and more than half of it', () => {
    const share =
      volumeWithin(
        coverOf(boxSolid(560, 480, 140), { kind: 'knife-edge', closure: CLOSURES['zip-seam'].usual }).patches,
        0.5,
      ) /
      (560 * 480 * 140)
    expect(share).toBeGreaterThan(0.5)
    expect(share).toBeLessThan(1)
  })

  it('facets are right side up and as large as their patch', () => {
    for (const [, cover] of closed) {
      for (const patch of cover.patches) {
        const { flat, triangles } = facetsOf(patch, 0.2)
        const area = triangles.reduce(
          (sum, [a, b, c]) =>
            sum +
            ((flat[b]!.x - flat[a]!.x) * (flat[c]!.y - flat[a]!.y) -
              (flat[b]!.y - flat[a]!.y) * (flat[c]!.x - flat[a]!.x)) /
              2,
          0,
        )
        expect(area / areaOf(patch.outline)).toBeCloseTo(1, 3)
      }
    }
  })
})

describe('the panels laid out', () => {
  it('lie apart, each once, whatever the make-up', () => {
    for (const kind of CONSTRUCTIONS) {
      const cover = coverOf(kind === 'bolster' ? boxSolid(620, 190, 190) : boxSolid(600, 400, 80), {
        kind,
        closure: CLOSURES[MAKE_UPS[kind].closures[0]].usual,
      })
      const laid = neighbourly(cover, 20)
      expect(laid.map((l) => l.panel.id).toSorted()).toEqual(cover.panels.map((p) => p.id).toSorted())
      const boxes = laid
        .map((l) => turnedOutline(l, cutOutline(l.panel)))
        .map(
          (o) =>
            [
              Math.min(...o.map((p) => p.x)),
              Math.min(...o.map((p) => p.y)),
              Math.max(...o.map((p) => p.x)),
              Math.max(...o.map((p) => p.y)),
            ] as const,
        )
      boxes.forEach((a, i) =>
        boxes
          .slice(i + 1)
          .forEach((b) => expect(a[0] < b[2] - 1 && b[0] < a[2] - 1 && a[1] < b[3] - 1 && b[1] < a[3] - 1).toBe(false)),
      )
    }
  })
})

describe('the checks find what is wrong in other make-ups', () => {
  const capped = coverOf(boxSolid(600, 400, 80), { kind: 'capped', closure: CLOSURES['zip-seam'].usual })
  const faults = (cover: Cover) => checkCover(cover).flatMap((c) => c.faults.map((f) => `${c.name}: ${f}`))

  it('a corner left open is not sewn to anything', () => {
    const open = {
      ...capped,
      seams: capped.seams.filter((s) => !s.name.startsWith('corner at the start of the front')),
    }
    expect(faults(open).join('; ')).toMatch(/corner at front, left: not sewn to anything/)
  })

  it('a corner sewn after the border was sewn to the base', () => {
    const late = {
      ...capped,
      seams: [...capped.seams.filter((s) => s.kind !== 'corner'), ...capped.seams.filter((s) => s.kind === 'corner')],
    }
    expect(faults(late).join('; ')).toMatch(/runs across the end of seam .*, which is sewn only afterwards/)
  })

  it('a panel that lies elsewhere than its seams, or is stretched', () => {
    const shifted = {
      ...capped,
      patches: capped.patches.map((p, i) =>
        i === 0 ? { ...p, place: (q: { x: number; y: number }) => ({ ...p.place(q), z: 95 }) } : p,
      ),
    }
    expect(faults(shifted)).toEqual([])
    const base = {
      ...capped,
      patches: capped.patches.map((p) =>
        p.panel === 'base' ? { ...p, place: (q: { x: number; y: number }) => ({ ...p.place(q), z: -9 }) } : p,
      ),
    }
    expect(faults(base).join('; ')).toMatch(/lie 9 mm apart on the cushion/)
    const stretched = {
      ...capped,
      patches: capped.patches.map((p) =>
        p.panel === 'base' ? { ...p, place: (q: { x: number; y: number }) => p.place({ x: q.x * 1.1, y: q.y }) } : p,
      ),
    }
    expect(faults(stretched).join('; ')).toMatch(/Base is stretched: 600 mm of it lie along 660 mm/)
  })

  it('a free rim counts: a slip cover open at the foot closes with its rim, not without', () => {
    const cube = coverOf(boxSolid(440, 440, 380), { kind: 'cube', closure: CLOSURES['snap-tape'].usual })
    // The slip cover, its lining, and the inner cover with its base.
    expect(eulerNumber(cube)).toEqual({ surfaces: 3, sum: 6 })
    const hemless = {
      ...cube,
      panels: cube.panels.map((p) => ({
        ...p,
        edges: p.edges.map((e) => (e.treatment === 'hem' ? { ...e, treatment: 'seam' as const } : e)),
      })),
    }
    expect(faults(hemless).join('; ')).toMatch(/foot: not sewn to anything/)
  })

  it('a surface that is not what the cushion has, though every seam meets', () => {
    const box = coverOf(boxSolid(600, 400, 80))
    expect(faults({ ...box, surfaceMm2: box.surfaceMm2! * 1.05 }).join('; ')).toMatch(
      /the sewn area is 0.64 m², the cover's surface has 0.672 m²/,
    )
  })

  it('nothing opens, or is shut from outside before the inside is done', () => {
    const shut = coverOf(boxSolid(600, 400, 80), { kind: 'rolled-edge', closure: CLOSURES['sewn-shut'].usual })
    expect(faults({ ...shut, seams: [shut.seams.at(-1)!, ...shut.seams.slice(0, -1)] }).join('; ')).toMatch(
      /sewn from outside, but seams follow/,
    )
    expect(
      faults({
        ...shut,
        seams: shut.seams.map((s) => (s.kind === 'final' ? { ...s, kind: 'plate' as const } : s)),
      }).join('; '),
    ).toMatch(/nothing opens/)
  })
})
