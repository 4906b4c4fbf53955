import { describe, expect, it } from 'vitest'
import type { Cloth, MakeUp, PartJob } from '../../contract/index.ts'
import { DEMO_CLOTHS, keepersBenchPart } from '../demo/index.ts'
import { jobOf, newSeat } from '../job/index.ts'
import { solveLay } from '../lay/index.ts'
import { workOrder } from '../making/index.ts'
import { boxSolid, coverOf, onlyDesign, worked } from '../testing/jobs.ts'
import { cutOutline, usualMakeUp } from './index.ts'

const ticking = DEMO_CLOTHS.find((c) => c.id === 'lamp-room-ticking')!
const ready = (panel: string, edge: string) => ({ panel, edge, is: 'selvedge' as const })
const part = (makeUp: Partial<MakeUp>, cloth: Partial<Cloth> = {}, kind: 'boxed' | 'slit-back' = 'boxed'): PartJob => ({
  ...keepersBenchPart(),
  seat: { ...newSeat('singles', 700, 500, 80, 1), clearanceMm: 0 },
  makeUp: { ...usualMakeUp(kind), ...makeUp },
  cloth: {
    ...keepersBenchPart().cloth,
    cloth: { ...ticking, pattern: { kind: 'plain' }, ...cloth },
    match: { kind: 'none' },
  },
})
/** Where each piece lies across the cloth, from the exported lay by this file's own sums. */
function across(job: PartJob, name: RegExp): readonly { id: string; from: number; to: number }[] {
  const { problem } = worked(job).cloth.lays[0]!
  const solved = solveLay(problem, { seed: 1, budget: { steps: 60, isStopped: () => false } })
  if (!solved.ok) throw new Error(solved.error.code)
  return solved.value.lay.placements
    .filter((p) => name.test(p.id))
    .map((p) => {
      const angle = (p.turn * Math.PI) / 180
      const xs = problem.pieces
        .find((q) => q.id === p.id)!
        .outline.map(([x, y]) => p.x + Math.cos(angle) * x - Math.sin(angle) * y)
      return { id: p.id, from: Math.min(...xs), to: Math.max(...xs) }
    })
    .toSorted((a, b) => a.from - b.from)
}

describe('an edge on the selvedge', () => {
  it('a back 700 wide from selvedge to selvedge on 1370: two halves of 350, each at a selvedge, joined in the middle', () => {
    const job = part(
      {
        readyEdges: [ready('bottom-plate', 'left'), ready('bottom-plate', 'right')],
        joins: [{ panel: 'bottom-plate', of: 'cover', lines: 'up', places: { kind: 'even', pieces: 2 } }],
      },
      { nap: 'one-way' },
    )
    const halves = across(job, /bottom-plate/)
    expect(halves).toHaveLength(2)
    // 350 and 12 for the join; at the selvedge the 12 of the seam beside the boxing.
    for (const { from, to } of halves) expect(to - from).toBeCloseTo(350 + 12 + 12, 3)
    expect(halves[0]!.from).toBeCloseTo(0, 3)
    expect(halves[1]!.to).toBeCloseTo(1370, 3)
    // What has no ready edge keeps within the selvedges.
    for (const { from, to } of across(job, /top-plate|boxing/)) {
      expect(from).toBeGreaterThan(ticking.selvedgeMm[0] - 1e-3)
      expect(to).toBeLessThan(1370 - ticking.selvedgeMm[1] + 1e-3)
    }
  })

  it('takes no hem: a lapped bottom part is cut 25 shorter there, and its hem is not sewn', () => {
    const slit = (readyEdges: MakeUp['readyEdges']) => onlyDesign(worked(part({ readyEdges }, {}, 'slit-back')))
    const cut = (d: ReturnType<typeof slit>) =>
      d.cover.panels.find((p) => p.id === 'bottom-front')!.figures.cutHeight.value
    const both = [ready('bottom-front', 'slit'), ready('bottom-back', 'slit')]
    // 0.7 of 500, half the lap of 70, the seam of 12; and the hem of 25 where it has one.
    expect(cut(slit([]))).toBeCloseTo(350 + 35 + 25 + 12, 6)
    expect(cut(slit(both))).toBeCloseTo(350 + 35 + 12, 6)
    const steps = (readyEdges: MakeUp['readyEdges']) => {
      const job = part({ readyEdges }, {}, 'slit-back')
      return workOrder(jobOf(job), worked(job)).map((s) => s.title)
    }
    expect(steps([]).some((t) => /hem the free edges/i.test(t))).toBe(true)
    expect(steps(both).some((t) => /hem the free edges/i.test(t))).toBe(false)
  })

  it('keeps half its lap and its reserve, and so does the layer behind it', () => {
    const slit = ready('bottom-front', 'slit')
    const heights = (makeUp: Partial<MakeUp>) => {
      const layers: MakeUp['layers'] = [{ kind: 'wadding', behind: ['bottom'], quilt: null }]
      const { cover } = onlyDesign(worked(part({ ...makeUp, layers }, {}, 'slit-back')))
      return [...cover.panels, ...cover.layers]
        .filter((p) => p.id.startsWith('bottom-front'))
        .map((p) => {
          const ys = cutOutline(p).map((c) => c.y)
          return Math.max(...ys) - Math.min(...ys)
        })
    }
    const reserves = [{ panel: 'bottom-front', edge: 'slit', mm: 20 }]
    // 350, half the lap of 35, the seam of 12: 397; 25 more for the hem, which the layer and the ready edge have not.
    expect(heights({})).toEqual([422, 397].map((mm) => expect.closeTo(mm, 6)))
    expect(heights({ readyEdges: [slit] })).toEqual([397, 397].map((mm) => expect.closeTo(mm, 6)))
    expect(heights({ reserves })).toEqual([442, 417].map((mm) => expect.closeTo(mm, 6)))
    expect(heights({ reserves, readyEdges: [slit] })).toEqual([417, 417].map((mm) => expect.closeTo(mm, 6)))
  })

  it('is turned to the side where the cloth may lie any way, and told where it may not', () => {
    const readyEdges = [ready('bottom-front', 'slit')]
    const [piece] = across(part({ readyEdges }, { nap: 'two-way' }, 'slit-back'), /bottom-front/)
    expect(Math.min(piece!.from, 1370 - piece!.to)).toBeCloseTo(0, 3)
    const told = worked(part({ readyEdges }, { pattern: ticking.pattern }, 'slit-back'))
    expect(told.warnings.filter((w) => w.code === 'never-on-selvedge')).toHaveLength(1)
    const { problem } = told.cloth.lays[0]!
    const solved = solveLay(problem, { seed: 1, budget: { steps: 5, isStopped: () => false } })
    expect(solved.ok ? null : solved.error.code).toBe('never-at-side')
  })

  it('is not asked of a remnant, and an edge that is not there is told', () => {
    const outline: [number, number][] = [
      [0, 0],
      [1300, 0],
      [1300, 2000],
      [0, 2000],
    ]
    const readyEdges = [ready('bottom-plate', 'left')]
    const onRemnant = worked(part({ readyEdges }, { supply: { kind: 'remnant', outline } }))
    const { problem } = onRemnant.cloth.lays[0]!
    expect(onRemnant.warnings.some((w) => w.code === 'never-on-selvedge')).toBe(true)
    expect([problem.version, problem.pieces.some((p) => p.sides)]).toEqual([1, false])
    const cover = coverOf(boxSolid(600, 400, 80), {
      readyEdges: [ready('top-plate', 'hem'), ready('top-plate', 'back')],
    })
    expect(cover.readyNowhere).toEqual([ready('top-plate', 'hem')])
  })
})
