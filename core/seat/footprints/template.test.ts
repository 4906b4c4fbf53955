import { describe, expect, it } from 'vitest'
import type { Footprint } from '../../../contract/index.ts'
import { areaOf, boxOf, perimeterOf } from '../../outline/index.ts'
import { footingOf } from './index.ts'

type Points = Extract<Footprint, { kind: 'points' }>
const traced = (
  points: readonly (readonly [number, number])[],
  template: Points['template'],
  rises: Readonly<Record<number, number>> = {},
): Points => ({
  kind: 'points',
  points: points.map(([x, y], i) => ({ x, y, riseMm: rises[i] ?? 0 })),
  source: { kind: 'typed' },
  template,
})
const read = (shape: Points) => {
  const found = footingOf(shape)
  if (!found.ok) throw new Error(found.error.code)
  return found.value
}
const BOX = [
  [0, 0],
  [624, 0],
  [624, 524],
  [0, 524],
] as const
const size = (shape: Points) => {
  const { minX, minY, maxX, maxY } = boxOf(read(shape).outline)
  return [maxX - minX, maxY - minY]
}
const template = (change: Partial<NonNullable<Points['template']>> = {}) => ({
  lines: 'cut' as const,
  edges: {},
  allowanceMm: 12,
  fold: null,
  ...change,
})

describe('an old panel as template', () => {
  it('traced round its cut edge, both seams come off: 624 x 524 less twice 12 is 600 x 500; the difference is 2s', () => {
    expect(size(traced(BOX, template()))).toEqual([600, 500])
    expect(size(traced(BOX, template({ lines: 'net' })))).toEqual([624, 524])
    expect(size(traced(BOX, null))).toEqual([624, 524])
  })

  it('says so edge by edge: a cut front alone takes one allowance off the depth', () =>
    expect(size(traced(BOX, template({ lines: 'net', edges: { '1-2': 'cut' } })))).toEqual([624, 512]))

  it('half a panel is mirrored over its fold, which is neither cut nor sewn: 624 - 12 twice is 1224 wide', () => {
    const whole = read(traced(BOX, template({ fold: '4-1' })))
    const { minX, maxX } = boxOf(whole.outline)
    expect([maxX - minX, areaOf(whole.outline)]).toEqual([2 * 612, 2 * 612 * 500])
    // Front and back run on through the fold: four edges, not six.
    expect(whole.edges).toEqual(['2-3', '3-4', '2-3′', '1-2'])
  })

  it('a bowed side stays bowed outwards on both halves, and the halves are alike', () => {
    const half = traced(BOX, template({ lines: 'net', fold: '4-1' }), { 1: 40 })
    const bowed = read(half)
    const flat = read(traced(BOX, template({ lines: 'net', fold: '4-1' })))
    const segment = areaOf(read(traced(BOX, template({ lines: 'net' }), { 1: 40 })).outline) - 624 * 524
    expect(segment).toBeGreaterThan(0)
    expect(areaOf(bowed.outline) - areaOf(flat.outline)).toBeCloseTo(2 * segment, 6)
    const { minX, maxX } = boxOf(bowed.outline)
    expect(maxX - minX).toBeCloseTo(2 * (624 + 40), 6)
  })

  it('aslant to its fold both edges stay, and the panel is as long round as its two halves less the fold', () => {
    const slanted = [
      [0, 0],
      [600, 80],
      [600, 420],
      [0, 500],
    ] as const
    const half = read(traced(slanted, template({ lines: 'net' })))
    const whole = read(traced(slanted, template({ lines: 'net', fold: '4-1' })))
    expect(whole.edges).toEqual(['1-2', '2-3', '3-4', '3-4′', '2-3′', '1-2′'])
    expect(perimeterOf(whole.outline)).toBeCloseTo(2 * (perimeterOf(half.outline) - 500), 6)
  })

  it.each([
    ['an allowance that swallows it', template({ allowanceMm: 300 }), 'template-swallowed'],
    ['a fold that is not there', template({ fold: '8-9' }), 'template-fold'],
  ])('%s is told', (_name, own, code) => {
    const found = footingOf(traced(BOX, own))
    expect(found.ok ? '' : found.error.code).toBe(code)
  })
  it('a fold that is bowed is told', () => {
    const found = footingOf(traced(BOX, template({ fold: '2-3' }), { 1: 30 }))
    expect(found.ok ? null : found.error).toMatchObject({ code: 'template-fold', because: 'bowed' })
  })
})
