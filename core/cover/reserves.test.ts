import { describe, expect, it } from 'vitest'
import { EdgeReserve, limits, type PartJob } from '../../contract/index.ts'
import { keepersBenchPart } from '../demo/index.ts'
import { jobOf, newSeat } from '../job/index.ts'
import { plannedWith, workOrder } from '../making/index.ts'
import { boxOf } from '../outline/index.ts'
import { onlyDesign, worked } from '../testing/jobs.ts'
import { acrossTheWholeCloth, cutOutline, marksOnPiece, MOST_RESERVE_MM, panelOf, usualMakeUp } from './index.ts'

const tube = (mm: number): PartJob => ({
  ...keepersBenchPart(),
  seat: { ...newSeat('singles', 900, 450, 80, 1), clearanceMm: 0 },
  makeUp: { ...usualMakeUp('wrapped-tube'), reserves: [{ panel: 'body', edge: 'right', mm }] },
  cloth: { ...keepersBenchPart().cloth, match: { kind: 'none' } },
})
const body = (part: PartJob) => panelOf(onlyDesign(worked(part)).cover, 'body')

it('proposes no more than the job file takes', () => {
  expect(limits(EdgeReserve.shape.mm).max).toBe(MOST_RESERVE_MM)
})

describe('a wrap left 25 longer at its right end', () => {
  it('is cut 25 wider there and nowhere else, with the usual cut line drawn', () => {
    const [plain, longer] = [tube(0), tube(25)].map((p) => boxOf(cutOutline(body(p))))
    expect(longer!.maxX - plain!.maxX).toBeCloseTo(25, 6)
    expect([longer!.minX, longer!.minY, longer!.maxY]).toEqual([plain!.minX, plain!.minY, plain!.maxY])
    const line = marksOnPiece(body(tube(25))).find((m) => m.kind === 'trim')!
    for (const p of line.path) expect(p.x).toBeCloseTo(plain!.maxX, 6)
  })

  it('lies in the lay as it is cut', () => {
    const piece = worked(tube(25)).cloth.lays[0]!.problem.pieces.find((p) => p.id === '1/body')!
    const xs = piece.outline.map((p) => p[0])
    const { cutWidth } = body(tube(25)).figures
    expect(Math.max(...xs) - Math.min(...xs)).toBeCloseTo(cutWidth.value, 3)
  })

  it('is trimmed at a stop between its two ends, which asks how much came off', () => {
    const part = tube(25)
    const steps = workOrder(jobOf(part), worked(part))
    const at = (title: RegExp) => steps.findIndex((s) => title.test(s.title))
    const stop = steps.findIndex((s) => s.measures?.what === 'trimmed-off')
    expect(steps[stop]!.gate).toMatch(/how much of the 25 mm came off/)
    expect(at(/to the left end/i)).toBeLessThan(stop)
    expect(stop).toBeLessThan(at(/to the right end/i))
    const then = plannedWith(jobOf(part), steps[stop]!.measures!, 18)
    // 7 of it was wanted.
    expect(then.parts[0]!.makeUp.reserves).toEqual([{ panel: 'body', edge: 'right', mm: 7 }])
  })
})

describe('plates across the whole cloth, trimmed later', () => {
  const bench = (width: number): PartJob => ({
    ...keepersBenchPart(),
    seat: { ...newSeat('singles', width, 450, 80, 1), clearanceMm: 0 },
    makeUp: usualMakeUp('boxed'),
    cloth: { ...keepersBenchPart().cloth, match: { kind: 'none' } },
  })
  const whole = (part: PartJob) =>
    acrossTheWholeCloth(onlyDesign(worked(part)).cover.whole.panels, part.cloth, part.makeUp.reserves)
  it('1300 wide on 1350 usable: 1324 is cut, 26 is left on one side of both plates; taken, nothing more is', () => {
    const reserves = [...whole(bench(1300))]
    expect(reserves.map((r) => [r.panel, r.mm])).toEqual([
      ['top-plate', 26],
      ['bottom-plate', 26],
    ])
    const taken = { ...bench(1300), makeUp: { ...bench(1300).makeUp, reserves } }
    const { cover } = onlyDesign(worked(taken))
    expect(panelOf(cover, 'top-plate').figures.cutWidth.value).toBeCloseTo(1350, 6)
    expect(whole(taken)).toEqual(reserves)
  })
  it('where something goes beside them it is not offered', () => expect(whole(bench(1100))).toEqual([]))
})
