import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { Filling, Grade, SizingSchool } from '../../contract/index.ts'
import { newSeat } from '../job/index.ts'
import type { Solid } from '../seat/index.ts'
import { DEMO_GRADES } from '../shop/index.ts'
import { boxSolid, cushionsFrom } from '../testing/jobs.ts'
import { entered, sayWorking } from '../working/index.ts'
import { fillingWarnings, firmnessOf, nearestStack, planFilling, planSheets, sizeBlock, stackFor, verdictOf, type Firmness } from './index.ts'

const gradeOf = (hardnessN: number): Grade => ({ ...DEMO_GRADES[1]!, hardnessN })
const seam = entered({ id: 's', label: 'Seam allowance', quantity: 'length', value: 12, rule: '' })
const cushionOf = boxSolid
const sheetsFor = (block: Solid, count: number) => planSheets([{ block, count }], gradeOf(140))
const values = (size: { width: { value: number }; depth: { value: number }; thickness: { value: number } }) => [size.width.value, size.depth.value, size.thickness.value].map((v) => Number(v.toFixed(2)))
const sized = (school: SizingSchool, hardnessN = 140, size: [number, number, number] = [600, 500, 80]) => sizeBlock(cushionOf(...size), gradeOf(hardnessN), school, seam)

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

  it('at most 25 mm: 2 % of 1900 would be 38', () => expect(values(sized(full, 140, [1900, 700, 100]).block)).toEqual([1925, 714, 100]))

  it('the oversize opens into its rule', () => {
    const { sum } = sized(full).block.width
    expect(sum.kind).toBe('sum')
    const oversize = sum.kind === 'sum' && sum.terms[1]!.of
    expect(oversize && oversize.kind === 'figure' && sayWorking(oversize.figure, 'mm')).toBe('the smaller of 25 and the larger of 6 and 600 × 2 % = 12 mm')
  })

  it('is never smaller than its cover nor more than 25 mm larger', () => {
    fc.assert(
      fc.property(fc.integer({ min: 50, max: 5000 }), fc.integer({ min: 50, max: 2500 }), fc.integer({ min: 50, max: 500 }), fc.double({ min: 0, max: 6, noNaN: true }), (w, d, n, extra) => {
        const { block, cover } = sized({ kind: 'full-block', thicknessExtraMm: extra }, n, [w, d, 80])
        for (const key of ['width', 'depth'] as const) {
          expect(block[key].value - cover[key].value).toBeGreaterThanOrEqual(6 - 1e-9)
          expect(block[key].value - cover[key].value).toBeLessThanOrEqual(25 + 1e-9)
        }
        expect(block.thickness.value).toBeCloseTo(80 + extra, 9)
      }),
    )
  })
})

describe('the other schools', () => {
  it('size for size: block and cover are the cushion', () => {
    const { block, cover } = sized({ kind: 'size-for-size' })
    expect(values(block)).toEqual([600, 500, 80])
    expect(values(cover)).toEqual([600, 500, 80])
  })

  it('snug cover: plates 2 x 12 smaller, the boxing as high as before', () => {
    const { block, cover } = sized({ kind: 'snug-cover' })
    expect(values(block)).toEqual([600, 500, 80])
    expect(values(cover)).toEqual([576, 476, 80])
    expect(sayWorking(cover.width, 'mm')).toBe('600 − 2 × 12 = 576 mm net')
  })

  it('wrap then measure: 30 mm loft squeezed to 10 on front, top, bottom and back', () => {
    const { block, wrapped, cover } = sized({ kind: 'wrap-then-measure', loftMm: 30, layers: 1, ends: false, measured: null })
    expect(values(block)).toEqual([600, 500, 80])
    expect(values(wrapped)).toEqual([600, 520, 100])
    expect(values(cover)).toEqual([600, 520, 100])
  })

  it('wrapped like a parcel the ends grow as well; two layers grow twice', () => {
    expect(values(sized({ kind: 'wrap-then-measure', loftMm: 30, layers: 2, ends: true, measured: null }).wrapped)).toEqual([640, 540, 120])
  })

  it('what was measured on the wrapped block counts, not what was calculated', () => {
    const measured = { widthMm: 604, depthMm: 517, thicknessMm: 97 }
    const { cover, wrapped } = sized({ kind: 'wrap-then-measure', loftMm: 30, layers: 1, ends: false, measured })
    expect(values(cover)).toEqual([604, 517, 97])
    expect(wrapped.width.setBy).toBe('measured')
  })

  it('thinner block: 12.5 % off 80 leaves 70, wadding of 15 fills 10', () => {
    const { block, wrapped, cover } = sized({ kind: 'thinner-block', thinnerShare: 0.125, loftMm: 15 })
    expect(values(block)).toEqual([600, 500, 70])
    expect(values(wrapped)).toEqual([600, 510, 80])
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

describe('sheets', () => {
  it.each<[number, readonly number[]]>([
    [75, [75]],
    [50, [50]],
    [125, [100, 25]],
    [150, [100, 50]],
    [225, [100, 100, 25]],
    [83, []],
    [400, []],
  ])('%d mm is made of %j', (thickness, stack) => expect(stackFor(thickness, [25, 50, 75, 100])).toEqual(stack))

  it('names the nearest stack where none fits', () => {
    expect(nearestStack(83, [25, 50, 75, 100])).toBe(75)
    expect(nearestStack(400, [25, 50, 75, 100])).toBe(300)
  })

  it('by hand: 612 x 510 on 2000 x 1200 gives 3 x 2, on 2030 x 1520 turned or not no cheaper', () => {
    const { block } = sized({ kind: 'full-block', thicknessExtraMm: 0 }, 140, [600, 500, 75])
    const plan = sheetsFor(block, 6)
    expect(plan.sheet).toEqual({ lengthMm: 2000, widthMm: 1200 })
    expect(plan.perSheet.value).toBe(6)
    expect(plan.sheets.value).toBe(1)
    expect(sayWorking(plan.sheets, 'mm')).toBe('(6 ÷ 6, up to the next whole) × 1 = 1')
  })

  it('a seventh block wants a larger or a second sheet, whichever is cheaper', () => {
    const { block } = sized({ kind: 'full-block', thicknessExtraMm: 0 }, 140, [600, 500, 75])
    const plan = sheetsFor(block, 7)
    // 2030 x 1520 takes floor(2012/512) x floor(1502/614) = 3 x 2 lying along, 3 x 2 turned: two sheets of the smaller are cheaper.
    expect([plan.sheet.widthMm, plan.sheets.value]).toEqual([1200, 2])
  })

  it('layers multiply the sheets', () => {
    const { block } = sized({ kind: 'full-block', thicknessExtraMm: 0 }, 140, [600, 500, 125])
    const plan = sheetsFor(block, 3)
    expect(plan.stack).toEqual([100, 25])
    expect(plan.sheets.value).toBe(2)
    // 2 sheets of 62.5 mm on average: 2 x 2.0 x 1.2 x 0.0625 m³ at 260
    expect(plan.cost.value).toBeCloseTo(78, 6)
  })

  it('draws its rows inside the trim, a kerf apart', () => {
    const { block } = sized({ kind: 'full-block', thicknessExtraMm: 0 }, 140, [600, 500, 75])
    const plan = sheetsFor(block, 5)
    const places = plan.firstSheet
    expect(places.map((p) => [p.x, p.y])).toEqual([[10, 10], [624, 10], [1238, 10], [10, 522], [624, 522]])
    for (const p of places) {
      expect(p.x + p.width).toBeLessThanOrEqual(plan.sheet.lengthMm - 10)
      expect(p.y + p.height).toBeLessThanOrEqual(plan.sheet.widthMm - 10)
    }
  })

  it('rows with trim and kerf always fit on the sheet', () => {
    fc.assert(
      fc.property(fc.integer({ min: 100, max: 1900 }), fc.integer({ min: 100, max: 1100 }), fc.integer({ min: 1, max: 20 }), (w, d, count) => {
        const plan = sheetsFor(cushionOf(w, d, 50), count)
        const area = plan.perSheet.value * w * d
        expect(area).toBeLessThanOrEqual(plan.sheet.lengthMm * plan.sheet.widthMm)
        expect(plan.sheets.value * Math.max(1, plan.perSheet.value)).toBeGreaterThanOrEqual(count)
      }),
    )
  })
})

describe('the plan of a filling', () => {
  const filling = (change: Partial<Filling> = {}): Filling => ({ grade: gradeOf(140), school: { kind: 'full-block', thicknessExtraMm: 0 }, ...change })
  const warned = (size: [number, number, number], change: Partial<Filling> = {}) => {
    const cushions = cushionsFrom(newSeat('singles', ...size, 1))
    const f = filling(change)
    const plan = planFilling(f, cushions.designs[0]!.solid, seam)
    return fillingWarnings(f, [plan], planSheets([{ block: plan.sizing.block, count: 1 }], f.grade), cushions).map((w) => w.code)
  }

  it('weighs the block: 0.612 x 0.51 x 0.08 m³ of 30 kg/m³', () => {
    expect(planFilling(filling(), boxSolid(600, 500, 80), seam).mass.value).toBeCloseTo(0.749, 3)
  })

  it('always tells of the fire label, once', () => expect(warned([600, 500, 75]).filter((c) => c === 'fire-label')).toHaveLength(1))
  it('calls two people for 1.9 m', () => expect(warned([1900, 700, 100])).toContain('heavy'))
  it('calls two people for 13 kg', () => expect(warned([1500, 1100, 100], { grade: { ...gradeOf(350), densityKgM3: 80 } })).toContain('heavy'))
  it('no sheet of 83', () => expect(warned([600, 500, 83])).toContain('no-sheet-thickness'))
  it('a block longer than any sheet', () => expect(warned([2300, 500, 75])).toContain('block-longer-than-sheet'))
  it('a snug cover of 12 mm allowances squeezes a small cushion too much', () => expect(warned([300, 300, 50], { school: { kind: 'snug-cover' } })).toEqual(expect.arrayContaining(['cover-shrinks-seat', 'fit-too-tight'])))
  it('wadding that does not fill leaves the cover loose', () => expect(warned([600, 500, 80], { school: { kind: 'thinner-block', thinnerShare: 0.25, loftMm: 5 } })).toContain('fit-loose'))
  it('a wrapped size that nobody measured', () => expect(warned([600, 500, 75], { school: { kind: 'wrap-then-measure', loftMm: 20, layers: 1, ends: false, measured: null } })).toContain('wrapped-size-not-measured'))
})
