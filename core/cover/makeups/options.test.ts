import { describe, expect, it } from 'vitest'
import type { Closure, MakeUp } from '../../../contract/index.ts'
import { keepersBenchPart } from '../../demo/index.ts'
import { jobOf, newSeat } from '../../job/index.ts'
import { stepMinutes, workOrder } from '../../making/index.ts'
import { USUAL_WORKSHOP } from '../../defaults/index.ts'
import { areaOf, boxOf } from '../../outline/index.ts'
import { boxSolid, coverOf, worked } from '../../testing/jobs.ts'
import { checkCover, cutOutline, panelOf, usualMakeUp, type Cover } from '../index.ts'

const faults = (cover: Cover) => checkCover(cover).flatMap((c) => c.faults)
const figure = (cover: Cover, id: string) => cover.figures.find((f) => f.id === id)!.value

describe('tucks by number, depth and place, on a waterfall 600 x 500 x 90 with a square front', () => {
  const tucked = (tucks: number, tuckFromMm: number) =>
    coverOf(boxSolid(600, 500, 90), {
      kind: 'waterfall',
      construction: { kind: 'waterfall', frontRadiusMm: 0, tuckMm: 12, tucks, tuckFromMm },
    })
  it('two at each corner, 12 deep; a side has two corners: 2 x 500 + 90 + 4 x 24', () => {
    const cover = tucked(2, 30)
    expect(panelOf(cover, 'body').figures.finishedHeight.value).toBe(1090 + 4 * 24)
    expect(faults(cover)).toEqual([])
  })
  it('30 from the corner and 30 apart: up the right side the tucks begin at 440, 494, 638 and 692', () => {
    const pairs = tucked(2, 30).seams.find((s) => s.kind === 'tuck')!.pairs
    const right = pairs.filter((p) => p.a.edge === 'right').map((p) => [p.a.from, p.a.to])
    // 500 - 60 = 440, a tuck of 24, 30 on, a tuck, 30 to the corner: 548; the front of 90: 638 + 30 ...
    expect(right).toEqual([
      [440, 452],
      [494, 506],
      [668, 680],
      [722, 734],
    ])
  })
  it('that would reach over half of the depth are refused', () =>
    expect(() => tucked(4, 80)).toThrow(/tucks-over-half/))
})

describe('a corner cut off, its ends rounded', () => {
  const pillow = (cutMm: number, curveMm: number) =>
    coverOf(boxSolid(500, 400, 100), {
      kind: 'knife-edge',
      construction: { kind: 'knife-edge', corners: { kind: 'cut-off', cutMm, curveMm } },
    })
  it('30 off each edge, sharp: 600 x 500 less four triangles of 450', () => {
    const plate = panelOf(pillow(30, 0), 'top-plate')
    expect(plate.finished).toHaveLength(8)
    expect(areaOf(plate.finished)).toBeCloseTo(600 * 500 - 4 * 450, 6)
  })
  it('with a curve at both ends it has 16 edges, a little less cloth and no fault', () => {
    const [sharp, round] = [pillow(30, 0), pillow(30, 25)].map((c) => panelOf(c, 'top-plate'))
    expect(round!.finished).toHaveLength(16)
    // A corner that turns by 45° loses r² (tan 22.5° - 22.5° in radians) to its curve.
    const lost = 25 ** 2 * (Math.tan(Math.PI / 8) - Math.PI / 8)
    expect(areaOf(sharp!.finished) - areaOf(round!.finished)).toBeCloseTo(8 * lost, 4)
    expect(faults(pillow(30, 25))).toEqual([])
  })
})

describe('an envelope tells where its edges lie', () => {
  it('share 0.7 of 500, lap 70: the front part ends 385 from the front, the back part 185 from the back', () => {
    const cover = coverOf(boxSolid(600, 500, 90), { kind: 'slit-back' })
    expect(figure(cover, 'cover.frontFlap')).toBeCloseTo(385, 9)
    expect(figure(cover, 'cover.backFlap')).toBeCloseTo(185, 9)
    expect(figure(cover, 'cover.flapFold')).toBe(25)
  })
})

describe('ends of a zip, and tape that is pressed on', () => {
  const zipped = (ends: Extract<Closure, { kind: 'zip-seam' }>['ends']) =>
    coverOf(boxSolid(600, 500, 90), { closure: { kind: 'zip-seam', side: 'back', tapeMm: 8, ends } })
  it('tabs that show 20: two of 64 x 56, folded double over tape and seams of 12', () => {
    const tab = panelOf(zipped({ kind: 'tabs', showMm: 20 }), 'zip-tab')
    const { minX, maxX, minY, maxY } = boxOf(cutOutline(tab))
    expect([tab.times, maxX - minX, maxY - minY]).toEqual([2, 64, 56])
  })
  it('stops are bought, two to a zip; sewn across nothing is', () => {
    const bought = (c: Cover) => c.closures.flatMap((x) => x.fittings.map((f) => `${f.amount.value} ${f.what}`))
    expect(bought(zipped({ kind: 'stops' }))).toContain('2 Zip stops')
    expect(bought(zipped(undefined)).some((b) => /stops/.test(b))).toBe(false)
  })
  it('pressed on, the hem is as wide as the lap of 26: the strip is 6 less high', () => {
    const lapped = (fixed: 'sewn' | 'pressed-on') =>
      coverOf(boxSolid(600, 500, 90), {
        kind: 'lap-closed',
        closure: { kind: 'hook-and-loop', tapeMm: 20, side: 'left', fixed },
      }).panels.find((p) => p.edges.some((e) => e.treatment === 'lap'))!.figures.cutHeight.value
    // t/2 + s + v/2 + hem: 45 + 12 + 13 + 32, and 26.
    expect([lapped('sewn'), lapped('pressed-on')]).toEqual([102, 96])
  })
})

describe('how an opening is shut, with its minutes', () => {
  const shut = (way: Extract<Closure, { kind: 'sewn-shut' }>['shut']) => {
    const closure: MakeUp['closure'] = { kind: 'sewn-shut', side: 'back', openingMm: 400, shut: way }
    const base = keepersBenchPart()
    const part = {
      ...base,
      seat: newSeat('singles', 600, 500, 90, 2),
      makeUp: { ...usualMakeUp('boxed'), closure },
      cloth: { ...base.cloth, match: { kind: 'none' as const } },
    }
    const steps = workOrder(jobOf(part), worked(part))
    const last = steps.find((s) => s.part === 'closing' && s.sews)!
    return [last.title, stepMinutes(last, USUAL_WORKSHOP.rates).value] as const
  }
  const { close, 'top-stitch': stitch } = USUAL_WORKSHOP.rates
  it.each([
    ['by-hand', 'Sew it shut', 0.8 * close],
    ['top-stitched', 'Close', 0.8 * stitch],
    ['held-down', 'Close by machine, the filling held down', 2 * 0.8 * stitch],
  ] as const)('%s: two openings of 400', (way, title, minutes) => {
    expect(shut(way)[0]).toBe(title)
    expect(shut(way)[1]).toBeCloseTo(minutes, 6)
  })
})
