import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { LayProblem, type Cloth, type MakeUp, type PartJob } from '../../../contract/index.ts'
import { DEMO_CLOTHS, keepersBenchPart } from '../../demo/index.ts'
import { jobOf, newSeat } from '../../job/index.ts'
import { acceptLay, solveLay } from '../../lay/index.ts'
import { chalkList } from '../../lists/index.ts'
import { planJob } from '../../plan/index.ts'
import { usualMakeUp } from '../../cover/index.ts'
import type { ClothLay } from '../index.ts'

const calico = DEMO_CLOTHS.find((c) => c.id === 'house-calico')!
interface Made {
  readonly size?: readonly [number, number, number]
  readonly count?: number
  readonly makeUp?: Partial<MakeUp>
  readonly cloth?: Partial<Cloth>
  readonly folded?: boolean
}
function layOf({
  size: [w, d, t] = [600, 500, 80],
  count = 1,
  makeUp = {},
  cloth = {},
  folded = true,
}: Made): ClothLay {
  const base = keepersBenchPart()
  const part: PartJob = {
    ...base,
    seat: { ...newSeat('singles', w, d, t, count), clearanceMm: 0 },
    makeUp: { ...usualMakeUp('boxed'), ...makeUp },
    cloth: { ...base.cloth, cloth: { ...calico, ...cloth }, match: { kind: 'none' } },
  }
  const plan = planJob({ ...jobOf(part), folded: folded ? [calico.id] : [] })
  if (plan.kind !== 'worked') throw new Error(JSON.stringify(plan.warnings))
  return plan.cloth.lays[0]!
}
const ways = (lay: ClothLay) => Object.fromEntries(lay.pieces.map((p) => [p.id, `${p.qty} ${p.way}`]))
const solved = (lay: ClothLay) => {
  const answer = solveLay(lay.problem, { seed: 1, budget: { steps: 25, isStopped: () => false } })
  if (!answer.ok) throw new Error(answer.error.code)
  return { ...answer.value.lay, seconds: 0 }
}

describe('cloth cut folded', () => {
  it('is half as wide, both selvedges on each other; a flaw of either layer is one of both', () => {
    const lay = layOf({
      cloth: {
        widthMm: 1400,
        selvedgeMm: [8, 12],
        flaws: [
          { xMm: 100, yMm: 50, widthMm: 20, lengthMm: 30 },
          { xMm: 680, yMm: 500, widthMm: 60, lengthMm: 30 },
        ],
      },
    })
    expect(lay.problem.cloth).toMatchObject({
      width: 700,
      selvedge: [12, 0],
      // The second lies over the fold: 20 of it this side, 40 that side.
      flaws: [
        [100, 50, 20, 30],
        [680, 500, 20, 30],
        [660, 500, 40, 30],
      ],
    })
  })

  it('plates and opposite strips are cut two at once', () => {
    const closure = { kind: 'sewn-shut', side: 'back', openingMm: 300 } as const
    expect(ways(layOf({ makeUp: { closure } }))).toEqual({
      '1/top-plate+1/bottom-plate': '1 two-at-once',
      '1/boxing-front+1/boxing-back': '1 two-at-once',
      '1/boxing-left+1/boxing-right': '1 two-at-once',
    })
  })

  it('a plate wider than half the cloth lies on the fold: 1000 and 24, half of it 512, opened 1024', () => {
    const lay = layOf({ size: [1000, 500, 80], cloth: { widthMm: 1370 } })
    const at = lay.pieces.findIndex((p) => p.id === '1/top-plate on-the-fold')
    const { outline } = lay.problem.pieces[at]!
    expect(Math.max(...outline.map((p) => p[0])) - Math.min(...outline.map((p) => p[0]))).toBeCloseTo(512, 6)
    const chalked = chalkList(lay, solved(lay)).find((l) => l.piece === '1/top-plate on-the-fold')!
    expect(Math.max(...chalked.corners.map((c) => c.fromSelvedge))).toBeCloseTo(685, 3)
  })

  it('what has no partner comes twice, and is told; a pattern, deep pile and a remnant stay flat', () => {
    // A strip cut on the slant has the other slant in the layer below.
    const bias = { ...keepersBenchPart().makeUp.piping, cut: 'bias' as const } as MakeUp['piping']
    expect(Object.values(ways(layOf({ makeUp: { piping: bias } }))).some((w) => /one-spare/.test(w))).toBe(true)
    for (const cloth of [
      { pattern: DEMO_CLOTHS.find((c) => c.id === 'lamp-room-ticking')!.pattern },
      { marking: 'tacks' as const },
    ])
      expect(layOf({ cloth }).isFolded).toBe(false)
  })

  it('opened out it is every piece of the flat lay, side by side on the whole cloth', () => {
    const made = fc.record({
      size: fc.tuple(fc.integer({ min: 300, max: 900 }), fc.integer({ min: 300, max: 600 }), fc.constant(80)),
      count: fc.integer({ min: 1, max: 3 }),
      piped: fc.boolean(),
      nap: fc.constantFrom('two-way' as const, 'one-way'),
    })
    fc.assert(
      fc.property(made, ({ size, count, piped, nap }) => {
        const one = {
          size,
          count,
          cloth: { nap, widthMm: 1500 },
          makeUp: piped ? { piping: keepersBenchPart().makeUp.piping } : {},
        }
        const [flat, folded] = [layOf({ ...one, folded: false }), layOf(one)]
        const lay = solved(folded)
        const opened = lay.placements.flatMap((p) => {
          const k = folded.problem.pieces.findIndex((q) => q.id === p.id)
          const [c, s] = [Math.cos((p.turn * Math.PI) / 180), Math.sin((p.turn * Math.PI) / 180)]
          const here = folded.problem.pieces[k]!.outline.map(
            ([x, y]) => [p.x + c * x - s * y, p.y + s * x + c * y] as [number, number],
          )
          const there = here.map(([x, y]) => [1500 - x, y] as [number, number])
          if (folded.pieces[k]!.way !== 'on-the-fold') return [here, there]
          // Both halves in one: its own points but those of the fold, and their mirror images the other way round.
          const off = (points: [number, number][]) => points.filter(([x]) => Math.abs(x - 750) > 1e-3)
          const from = here.findIndex(([x], i) => Math.abs(x - 750) > 1e-3 && Math.abs(here.at(i - 1)![0] - 750) < 1e-3)
          const half = off([...here.slice(from), ...here.slice(0, from)])
          return [[...half, ...half.toReversed().map(([x, y]) => [1500 - x, y] as [number, number])]]
        })
        const spares = folded.pieces.reduce((n, p) => n + (p.way === 'one-spare' ? p.qty : 0), 0)
        const wanted = flat.problem.pieces.flatMap((p) => Array.from({ length: p.qty }, () => areaOf(p.outline)))
        expect(opened).toHaveLength(wanted.length + spares)
        const areas = opened.map(areaOf)
        for (const area of wanted) {
          const at = areas.findIndex((a) => Math.abs(a - area) < 1)
          expect(at).toBeGreaterThanOrEqual(0)
          areas.splice(at, 1)
        }
        const whole = LayProblem.parse({
          ...flat.problem,
          version: 1,
          pieces: opened.map((outline, i) => ({ id: `p${i}`, outline })),
        })
        expect(
          acceptLay(whole, {
            ...lay,
            placements: opened.map((_, i) => ({ id: `p${i}`, copy: 1, x: 0, y: 0, turn: 0, flip: false })),
          }),
        ).toEqual([])
      }),
      { numRuns: 25 },
    )
  })
})

const areaOf = (p: readonly (readonly [number, number])[]): number =>
  Math.abs(p.reduce((sum, [x, y], i) => sum + x * p[(i + 1) % p.length]![1] - p[(i + 1) % p.length]![0] * y, 0) / 2)
