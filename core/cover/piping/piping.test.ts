import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { PanelJoins } from '../../../contract/index.ts'
import { edgeLength, onEdge } from '../../outline/index.ts'
import { panelOf, type Cover } from '../cover.ts'
import { USUAL_PIPING } from '../../job/index.ts'
import { boxSolid, coverOf } from '../../testing/jobs.ts'
import { sayWorking } from '../../working/index.ts'
import { leastBend } from './piping.ts'
import type { PipingPlan } from './piping-plan.ts'
import { splitRun, splitToLay } from './split.ts'

function pipingOf(w: number, d: number, choice: Partial<typeof USUAL_PIPING> = {}, seamMm = 12): PipingPlan {
  return coverOf(
    boxSolid(w, d, 80),
    { construction: { kind: 'boxed', boxing: 'wrap' }, piping: { ...USUAL_PIPING, ...choice } },
    { seamMm },
  ).piping!
}

describe('strip width, by hand', () => {
  it.each<[number, number, number]>([
    [5, 12, 40], // 15.71 + 24 = 39.71
    [6, 12, 43], // 18.85 + 24 = 42.85
    [4, 10, 33], // 12.57 + 20 = 32.57
    [6.35, 12.7, 46], // 19.95 + 25.4 = 45.35
  ])('cord %d with %d allowance: %d', (cord, seam, width) =>
    expect(pipingOf(600, 500, { cordMm: cord }, seam).stripWidth!.value).toBe(width),
  )

  it('shows both steps', () => {
    const stripWidth = pipingOf(600, 500).stripWidth!
    expect(sayWorking(stripWidth, 'mm')).toBe('39.7, up to the next 1 = 40 mm cut')
    const bare =
      stripWidth.sum.kind === 'round' && stripWidth.sum.of.kind === 'figure' ? stripWidth.sum.of.figure : null
    expect(sayWorking(bare!, 'mm')).toBe('3.1416 × 5 + 2 × 12 = 39.7 mm cut')
  })
})

describe('one loop', () => {
  it('is the perimeter and the overlap; one or two loops a cushion', () => {
    expect(pipingOf(600, 500).groups[0]!.length.value).toBe(2260)
    expect(pipingOf(600, 500).groups.map((g) => g.count)).toEqual([2])
    expect(pipingOf(600, 500, { rows: 'top' }).groups.map((g) => g.count)).toEqual([1])
  })
  it('cord is 2 % longer', () => expect(pipingOf(600, 500, { rows: 'top' }).cord!.value).toBeCloseTo(2260 * 1.02, 6))
  it('bends round three cords on the bias, ten cut straight', () => {
    expect(leastBend({ ...USUAL_PIPING, cut: 'bias' })).toBe(15)
    expect(leastBend({ ...USUAL_PIPING, cut: 'along' })).toBe(50)
  })
})

describe('splitting a loop into strips', () => {
  it('one strip where it is long enough, joined at the back', () => {
    const split = splitRun(pipingOf(600, 500).groups[0]!, { longestMm: 3000, lossMm: 40 })
    expect(split.strips.value).toBe(1)
    expect(split.lengths[0]!.value).toBe(2260)
    expect(split.joinsMm).toHaveLength(1)
  })

  it('by hand: 2260 from strips of 1000 losing 40 at each join: (2260 - 40) / 960 = 2.3, so 3 of 780', () => {
    const split = splitRun(pipingOf(600, 500).groups[0]!, { longestMm: 1000, lossMm: 40 })
    expect(split.strips.value).toBe(3)
    expect(split.lengths[0]!.value).toBeCloseTo((2260 + 80) / 3, 9)
  })

  it('strips suffice, none is too long, and no join falls on the front while two or fewer are enough', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 250, max: 1200 }),
        fc.integer({ min: 250, max: 900 }),
        fc.integer({ min: 900, max: 3000 }),
        (w, d, longest) => {
          const run = pipingOf(w, d).groups[0]!
          const { strips, lengths, joinsMm } = splitRun(run, { longestMm: longest, lossMm: 40 })
          const all = lengths.map((l) => l.value)
          expect(Math.max(...all)).toBeLessThanOrEqual(longest + 1e-6)
          expect(all).toHaveLength(strips.value)
          expect(all.reduce((sum, mm) => sum + mm, 0) - (strips.value - 1) * 40).toBeCloseTo(run.length.value, 6)
          const isOnFront = (p: number) => p > w / 2 + d + 1e-6 && p < w / 2 + d + w - 1e-6
          if (strips.value <= 2) expect(joinsMm.some(isOnFront)).toBe(false)
          // Joins lie evenly round the plate.
          const round = 2 * (w + d)
          const sorted = joinsMm.toSorted((a, b) => a - b)
          sorted.slice(1).forEach((p, i) => expect(p - sorted[i]!).toBeCloseTo(round / joinsMm.length, 6))
        },
      ),
    )
  })
})

describe('a loop split to the lay', () => {
  const rules = { longestMm: 3000, longestLaidMm: 3000, lossMm: 40 }

  it('keeps the strips it is given; the last makes up what is wanted', () => {
    const run = pipingOf(600, 500).groups[0]!
    const split = splitToLay(run, rules, [1000, 1000, 340])!
    expect(split.lengths.map((l) => l.value)).toEqual([1000, 1000, 340])
    expect(sayWorking(split.lengths[2]!, 'mm')).toBe('2260 + 2 × 40 − 1000 − 1000 = 340 mm cut')
    expect(splitToLay(run, rules, [1000, 1000, 341])).toBeNull()
    expect(splitToLay(run, { ...rules, longestLaidMm: 990 }, [1000, 1000, 340])).toBeNull()
  })

  it('is turned as far off corners, front and its middle as any turn takes it', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 300, max: 1200 }),
        fc.integer({ min: 300, max: 900 }),
        fc.array(fc.integer({ min: 1, max: 9 }), { minLength: 2, maxLength: 4 }),
        (w, d, weights) => {
          const run = pipingOf(w, d).groups[0]!
          const [round, sewn] = [2 * (w + d), run.length.value + (weights.length - 1) * 40]
          const all = weights.reduce((sum, n) => sum + n, 0)
          const split = splitToLay(
            run,
            rules,
            weights.map((n) => (n / all) * sewn),
          )
          if (!split) return
          // From the middle of the back, against the clock: two corners, the front, two corners.
          const [from, to] = [w / 2 + d, w / 2 + d + w]
          const kept = [w / 2, from, from + w / 2, to, to + d]
          const clearOf = (place: number) =>
            Math.min(...kept.map((k) => Math.min(Math.abs(k - place), round - Math.abs(k - place))))
          const onFront = (places: readonly number[]) => places.filter((p) => p >= from && p <= to).length
          const gaps = split.joinsMm.map((p) => (((p - split.joinsMm[0]!) % round) + round) % round)
          const turns = Array.from({ length: Math.floor(round) }, (_, mm) => gaps.map((g) => (g + mm) % round))
          const clear = turns.filter((places) => Math.min(...places.map(clearOf)) >= 63)
          if (clear.length === 0) return
          expect(Math.min(...split.joinsMm.map(clearOf))).toBeGreaterThanOrEqual(60 - 1e-6)
          expect(split.clearMm).toBeCloseTo(Math.min(...split.joinsMm.map(clearOf)), 6)
          expect(onFront(split.joinsMm)).toBeLessThanOrEqual(Math.min(...clear.map(onFront)))
        },
      ),
      { numRuns: 60 },
    )
  })
})

describe('edges by row and by part', () => {
  const piped = (change: object, joins: PanelJoins[] = []) =>
    coverOf(boxSolid(900, 500, 80), { piping: { ...USUAL_PIPING, ...change }, joins })
  const runs = (c: Cover) => c.piping!.groups.map((g) => [g.count, g.isClosed, Number(g.length.value.toFixed(1))])

  it('each row has sides of its own: a loop on top, the front alone below', () => {
    const c = piped({ bottomSides: ['front'] })
    // 2 x (900 + 500) and 60 of overlap; 900 and 40 at either end.
    expect(runs(c)).toEqual([
      [1, true, 2860],
      [1, false, 980],
    ])
    expect(c.piping!.perCushion.value).toBeCloseTo(2860 + 980, 6)
  })

  it('the front from 200 to 700, with run-offs at both ends: 500 + 80, at its place from the left', () => {
    const c = piped({ rows: 'top', sides: ['front'], parts: [{ row: 'top', side: 'front', fromMm: 200, toMm: 700 }] })
    expect(runs(c)).toEqual([[1, false, 580]])
    const [pair] = c.piping!.pairs
    const at = [pair!.a.from, pair!.a.to].map((mm) => onEdge(panelOf(c, 'top-plate').finished, 0, mm / 900).x)
    expect(at).toEqual([expect.closeTo(200, 6), expect.closeTo(700, 6)])
  })

  it('under it the same place of the same side: 200 from the left as one stands before it', () => {
    const c = piped({
      rows: 'bottom',
      sides: ['front'],
      parts: [{ row: 'bottom', side: 'front', fromMm: 200, toMm: 300 }],
    })
    const [pair] = c.piping!.pairs
    const xs = [0, 1].map((share) => {
      const panel = panelOf(c, pair!.a.panel)
      const i = panel.edges.findIndex((e) => e.name === pair!.a.edge)
      const on = onEdge(
        panel.finished,
        i,
        (pair!.a.from + share * (pair!.a.to - pair!.a.from)) / edgeLength(panel.finished, i),
      )
      return c.patches.find((p) => p.panel === panel.id)!.place(on).x
    })
    expect(Math.min(...xs)).toBeCloseTo(200, 6)
    expect(Math.max(...xs)).toBeCloseTo(300, 6)
  })

  it('a loop with one side in part is one run round the rest: 2860 - 60 less 300 of bare front, and 80', () => {
    const c = piped({ rows: 'top', parts: [{ row: 'top', side: 'front', fromMm: 300, toMm: 900 }] })
    expect(runs(c)).toEqual([[1, false, 2800 - 300 + 80]])
  })

  it('on a joined plate the piping is as long, and told piece by piece', () => {
    const join: PanelJoins = { panel: 'top-plate', of: 'cover', lines: 'up', places: { kind: 'even', pieces: 2 } }
    const change = { rows: 'top', sides: ['front'], parts: [{ row: 'top', side: 'front', fromMm: 200, toMm: 700 }] }
    const c = piped(change, [join])
    expect(runs(c)).toEqual([[1, false, 580]])
    expect(c.piping!.pairs.map((p) => [p.a.panel, p.a.from, p.a.to])).toEqual([
      ['top-plate.1', expect.closeTo(200, 6), expect.closeTo(450, 6)],
      ['top-plate.2', expect.closeTo(0, 6), expect.closeTo(250, 6)],
    ])
  })
})
