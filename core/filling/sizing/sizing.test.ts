import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { SizingSchool, Wadding } from '../../../contract/index.ts'
import { newSeat } from '../../job/index.ts'
import { boxSolid, foamJob, worked, mediumBenchPart } from '../../testing/jobs.ts'
import { usualMakeUp } from '../../cover/index.ts'
import { entered, sayWorking } from '../../working/index.ts'
import {
  compareSchools,
  firmnessOf,
  seatHeight,
  sizeBlock,
  usualWadding,
  verdictOf,
  wrapStrip,
  type Firmness,
} from '../index.ts'

const seam = entered({ id: 's', label: 'Seam allowance', quantity: 'length', value: 12, rule: '' })
const values = (size: { width: { value: number }; depth: { value: number }; thickness: { value: number } }) =>
  [size.width.value, size.depth.value, size.thickness.value].map((v) => Number(v.toFixed(2)))
const sized = (
  school: SizingSchool,
  hardnessN = 140,
  size: [number, number, number] = [600, 500, 80],
  wadding: Wadding | null = null,
) => sizeBlock(boxSolid(...size), { school, wadding, firmness: firmnessOf(hardnessN), seam })
const wrapped = (change: Partial<Wadding>) =>
  sized({ kind: 'wrap-then-measure' }, 140, [600, 500, 80], { ...usualWadding(30), ...change })

describe('firmness by the force at 40 %', () => {
  it.each<[number, Firmness]>([
    [60, 'soft'],
    [109, 'soft'],
    [110, 'medium'],
    [159, 'medium'],
    [160, 'firm'],
    [219, 'firm'],
    [220, 'extra firm'],
    [400, 'extra firm'],
  ])('%d N is %s', (n, name) => expect(firmnessOf(n)).toBe(name))
})

describe('the full block', () => {
  const full: SizingSchool = { kind: 'full-block', thicknessExtraMm: 0 }

  it('medium foam: 2 % of 600 and 500', () => {
    const { block, cover } = sized(full)
    expect(values(block)).toEqual([612, 510, 80])
    expect(values(cover)).toEqual([600, 500, 80])
  })

  it('soft 3 %, firm 1 %', () => {
    expect(values(sized(full, 80).block)).toEqual([618, 515, 80])
    expect(values(sized(full, 180, [900, 700, 80]).block)).toEqual([909, 707, 80])
  })

  it('at least 6 mm: 2 % of 200 would be 4', () => {
    const { block } = sized(full, 140, [200, 250, 60])
    expect(values(block)).toEqual([206, 256, 60])
    expect(sayWorking(block.width, 'mm')).toBe('200 + 6 = 206 mm cut')
  })

  it('by hand, soft foam for 1905 x 735: the cap on the length, 3 % of the depth', () =>
    expect(values(sized(full, 80, [1905, 735, 100]).block)).toEqual([1930, 757.05, 100]))

  it('at most 25 mm: 2 % of 1900 would be 38', () =>
    expect(values(sized(full, 140, [1900, 700, 100]).block)).toEqual([1925, 714, 100]))

  it('the oversize opens into its rule', () => {
    const { sum } = sized(full).block.width
    expect(sum.kind).toBe('sum')
    const oversize = sum.kind === 'sum' && sum.terms[1]!.of
    expect(oversize && oversize.kind === 'figure' && sayWorking(oversize.figure, 'mm')).toBe(
      'the smaller of 25 and (the larger of 6 and 600 × 2 %) = 12 mm',
    )
  })

  it('is never smaller than its cover nor more than 25 mm larger', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 50, max: 5000 }),
        fc.integer({ min: 50, max: 2500 }),
        fc.integer({ min: 50, max: 500 }),
        fc.double({ min: 0, max: 6, noNaN: true }),
        (w, d, n, extra) => {
          const { block, cover } = sized({ kind: 'full-block', thicknessExtraMm: extra }, n, [w, d, 80])
          for (const key of ['width', 'depth'] as const) {
            expect(block[key].value - cover[key].value).toBeGreaterThanOrEqual(6 - 1e-9)
            expect(block[key].value - cover[key].value).toBeLessThanOrEqual(25 + 1e-9)
          }
          expect(block.thickness.value).toBeCloseTo(80 + extra, 9)
        },
      ),
    )
  })
})

describe('the other schools', () => {
  it('size for size: block and cover are the cushion', () => {
    const { block, cover } = sized({ kind: 'size-for-size' })
    expect(values(block)).toEqual([600, 500, 80])
    expect(values(cover)).toEqual([600, 500, 80])
  })

  it('snug cover: 2 x 12 smaller, in thickness as well', () => {
    const { block, cover } = sized({ kind: 'snug-cover' })
    expect(values(block)).toEqual([600, 500, 80])
    expect(values(cover)).toEqual([576, 476, 56])
    expect(sayWorking(cover.width, 'mm')).toBe('600 − 2 × 12 = 576 mm net')
  })

  it('wrap then measure: 30 mm loft squeezed to 10 on front, top, bottom and back', () => {
    const { block, wrapped: wrap, cover } = wrapped({})
    expect(values(block)).toEqual([600, 500, 80])
    expect(values(wrap)).toEqual([600, 520, 100])
    expect(values(cover)).toEqual([600, 520, 100])
  })

  it('wrapped like a parcel the ends grow as well; two layers grow twice', () => {
    expect(values(wrapped({ layers: 2, ends: 'covered' }).wrapped)).toEqual([640, 540, 120])
  })

  it('what was measured on the wrapped block counts, not what was calculated', () => {
    const measured = { widthMm: 604, depthMm: 517, thicknessMm: 97 }
    const { cover, wrapped: wrap } = wrapped({ measured })
    expect(values(cover)).toEqual([604, 517, 97])
    expect(wrap.width.setBy).toBe('measured')
  })

  it('ends folded like a parcel lie double; a face left out adds nothing', () => {
    expect(values(wrapped({ ends: 'folded' }).wrapped)).toEqual([640, 520, 100])
    expect(values(wrapped({ bottom: false, back: false }).wrapped)).toEqual([600, 510, 90])
  })

  it('wadding under any school grows the block, not the cover', () => {
    const { wrapped: wrap, cover } = sized({ kind: 'size-for-size' }, 140, [600, 500, 80], usualWadding(30))
    expect(values(wrap)).toEqual([600, 520, 100])
    expect(values(cover)).toEqual([600, 500, 80])
  })

  it('the strip of wadding goes round front, top, bottom and back: 2 x 500 + 2 x 80', () =>
    expect(wrapStrip(boxSolid(600, 500, 80), usualWadding(30))).toEqual({ widthMm: 600, lengthMm: 1160 }))

  it('thinner block: 12.5 % off 80 leaves 70, wadding of 15 fills 10', () => {
    const {
      block,
      wrapped: wrap,
      cover,
    } = sized({ kind: 'thinner-block', thinnerShare: 0.125 }, 140, [600, 500, 80], usualWadding(15))
    expect(values(block)).toEqual([600, 500, 70])
    expect(values(wrap)).toEqual([600, 510, 80])
    expect(values(cover)).toEqual([600, 500, 80])
  })
})

describe('how the cover fits', () => {
  it.each<[number, Firmness, string]>([
    [-0.01, 'medium', 'loose'],
    [0, 'medium', 'easy'],
    [0.01, 'medium', 'easy'],
    [0.011, 'medium', 'snug'],
    [0.03, 'medium', 'snug'],
    [0.031, 'firm', 'tight'],
    [0.051, 'firm', 'too tight'],
    [0.015, 'soft', 'easy'],
    [0.035, 'soft', 'snug'],
    [0.055, 'soft', 'tight'],
    [0.061, 'soft', 'too tight'],
  ])('%d of %s foam is %s', (share, firmness, verdict) => expect(verdictOf(share, firmness)).toBe(verdict))
})

describe('the schools side by side', () => {
  const effects = compareSchools(boxSolid(600, 500, 80), {
    school: { kind: 'full-block', thicknessExtraMm: 4 },
    wadding: null,
    firmness: 'medium',
    seam,
  })
  const effect = (kind: SizingSchool['kind']) => effects.find((e) => e.kind === kind)!

  it('shows every school once, the chosen one as it is set', () => {
    expect(effects.map((e) => e.kind)).toEqual([
      'full-block',
      'size-for-size',
      'snug-cover',
      'wrap-then-measure',
      'thinner-block',
      'into-cover',
    ])
    expect(effects.filter((e) => e.isChosen).map((e) => e.kind)).toEqual(['full-block'])
    expect(effect('full-block').sizing.block.thickness.value).toBe(84)
  })

  it('the snug cover leaves the seat 24 mm short both ways, the full block fills it', () => {
    expect(effect('snug-cover').shortMm).toEqual({ width: 24, depth: 24 })
    expect(effect('full-block').shortMm).toEqual({ width: 0, depth: 0 })
  })

  it('fit by hand: (612 + 84) / (600 + 80) - 1 across the full block, nought where block and cover are one', () => {
    expect(effect('full-block').fit.across.value).toBeCloseTo(696 / 680 - 1, 9)
    expect(effect('size-for-size').fit.across.value).toBeCloseTo(0, 9)
  })

  it('a wrapped cushion stands over its seat by the wadding: 20 / 3 on front and back', () =>
    expect(effect('wrap-then-measure').shortMm.depth).toBeCloseTo(-40 / 3, 9))
})

describe('the height of the seat', () => {
  it('board 9 and cushion 60 against an old 52 on 6: 11 higher', () => {
    const { now, change } = seatHeight(boxSolid(600, 500, 60), { now: 9, before: 6 }, 52)
    expect(now.value).toBe(69)
    expect(sayWorking(change!, 'mm')).toBe('69 − 52 − 6 = 11 mm')
  })

  it('says nothing of a change nobody measured', () =>
    expect(seatHeight(boxSolid(600, 500, 60), { now: 0, before: 0 }, null).change).toBeNull())
})

it('a corner rounded by just the seam allowance is sharp on a snug cover, and the cover still sews', () => {
  const seat = {
    ...newSeat('singles', 600, 500, 80, 1),
    corners: { 'near left': { kind: 'round' as const, radiusMm: 12 } },
  }
  const snug = foamJob((foam) => ({ ...foam, school: { kind: 'snug-cover' } }), { ...mediumBenchPart(), seat })
  const plan = worked({ ...snug, cloth: { ...snug.cloth, match: { kind: 'none' } } })
  const [design] = plan.designs
  expect(design!.design.solid.outline).toHaveLength(5)
  expect([design!.cover.solid.outline.length, design!.cover.solid.edges.map((e) => e.name)]).toEqual([
    4,
    ['near', 'right', 'far', 'left'],
  ])
  expect(design!.checks.flatMap((c) => c.faults)).toEqual([])
  expect(plan.warnings.map((w) => w.code)).not.toContain('cover-outline-lost')
})

describe('fit by direction', () => {
  const snug = () => {
    const job = foamJob((foam) => ({ ...foam, school: { kind: 'snug-cover' }, wadding: null }), {
      ...mediumBenchPart(),
      seat: { ...newSeat('singles', 680, 545, 76, 1), clearanceMm: 0 },
    })
    return worked({ ...job, allowances: { ...job.allowances, overrides: { seamMm: 6 } } })
  }
  const directions = (plan: ReturnType<typeof snug>) => {
    const { filling } = plan.designs[0]!
    return filling.kind === 'foam' ? filling.directions : []
  }

  it('680 x 545 x 76 without allowance, s 6, finishes 668 x 533 x 64: 1.8, 2.2 and 15.8 % short; the thickness is warned of', () => {
    const plan = snug()
    expect(
      directions(plan).map((d) => [
        d.finished.value,
        d.overFilling.by.value,
        Number((d.overFilling.share.value * 100).toFixed(1)),
        d.causes,
      ]),
    ).toEqual([
      [668, -12, -1.8, ['allowance-left-out']],
      [533, -12, -2.2, ['allowance-left-out']],
      [64, -12, -15.8, ['allowance-left-out']],
    ])
    expect(plan.warnings.flatMap((w) => (w.code === 'squeezed-much' ? [w.way] : []))).toEqual(['thickness'])
    // Cut at the seat's own sizes, boxing at its height: nothing is added.
    expect(plan.cutList.find((l) => l.what === 'Front boxing')!.height.value).toBe(76)
  })

  it('a border drawn to the thickness is short by its seam, and both girths are', () => {
    const capped = (school: 'drawn-to-thickness' | 'full-depth') =>
      worked({
        ...mediumBenchPart(),
        cloth: { ...mediumBenchPart().cloth, match: { kind: 'none' } },
        seat: { ...newSeat('singles', 600, 500, 100, 1), clearanceMm: 0 },
        makeUp: { ...usualMakeUp('capped'), construction: { kind: 'capped', school } },
      })
    const [drawn, full] = [capped('drawn-to-thickness'), capped('full-depth')]
    expect(directions(drawn)[2]).toMatchObject({
      finished: { value: 88 },
      overSeat: { by: { value: -12 } },
      causes: ['extra-thickness', 'border-drawn'],
    })
    expect(directions(full)[2]!.finished.value).toBe(100)
    const across = (plan: ReturnType<typeof snug>) =>
      plan.designs[0]!.filling.kind === 'foam' ? plan.designs[0]!.filling.fit.across.value : NaN
    // (612 + 100) / (600 + 100) against (612 + 100) / (600 + 88): both sides are a seam lower.
    expect(across(full)).toBeCloseTo(712 / 700 - 1, 9)
    expect(across(drawn)).toBeCloseTo(712 / 688 - 1, 9)
  })
})
