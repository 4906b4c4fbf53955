import { describe, expect, it } from 'vitest'
import { JOB_LIMITS, type PartJob } from '../../contract/index.ts'
import { slotOf, valueOf } from '../seat/index.ts'
import { DEMO_CLOTHS, DEMO_GRADES, keepersBenchPart } from '../demo/index.ts'
import { parseLength, type LengthUnit } from '../units/index.ts'
import { readTyped } from './index.ts'

const context = (units: LengthUnit, job: PartJob | null = null) => ({
  job: job && { ...job, units },
  units,
  grades: DEMO_GRADES,
  cloths: DEMO_CLOTHS,
  limits: JOB_LIMITS,
})

/** Sizes of a seat, or what a line makes of a slot of the bench; several where it asks. */
function sizes(line: string, units: LengthUnit = 'mm', slot: string | null = null): { asks: boolean; mm: number[][] } {
  const typed = readTyped(line, context(units, slot === null ? null : keepersBenchPart()))
  if (!typed.ok) throw new Error(`${line}: ${typed.error.code}`)
  const readings = typed.value.kind === 'ask' ? typed.value.readings.map((r) => r.typed) : [typed.value]
  const mm = readings.map((t) => {
    if (t.kind === 'seat')
      return ['width', 'depth', 'thickness'].map((s) => Number(valueOf(slotOf(t.seat, s)!.dimension).toFixed(1)))
    if (t.kind === 'parts') throw new Error(t.edit.says)
    const after = t.edit.apply(keepersBenchPart())
    return slot === 'sa'
      ? [after.allowances.overrides.seamMm!]
      : slotOf(after.seat, slot!)!.dimension.readings.map((r) => Number(r.mm.toFixed(2)))
  })
  return { asks: typed.value.kind === 'ask', mm }
}

describe('a unit after the last number is that of all', () => {
  it.each<[string, LengthUnit, number[]]>([
    ['bench 200 x 60 x 6 cm', 'mm', [2000, 600, 60]],
    ['bench 2 x 0.5 x 0.075 m', 'mm', [2000, 500, 75]],
    ['bench 2000 x 600 x 60 mm', 'inch-8', [2000, 600, 60]],
    ['seat 23⅝” x 20” x 4”', 'mm', [600.1, 508, 101.6]],
    ['seat 61 cm x 500 x 80', 'mm', [610, 500, 80]],
  ])('%s in a shop of %s', (line, units, mm) => expect(sizes(line, units)).toEqual({ asks: false, mm: [mm] }))
  it('feet and inches are one reading', () =>
    expect(sizes('depth 1 ft 6 1/2 1 ft 6', 'mm', 'depth')).toEqual({ asks: false, mm: [[469.9, 457.2]] }))
  it('readings too', () => expect(sizes('depth 47 46.9 cm', 'mm', 'depth')).toEqual({ asks: false, mm: [[470, 469]] }))
})

describe('what may be a slip is asked, each reading that makes a cushion offered', () => {
  it.each<[string, LengthUnit, string | null, number[][]]>([
    [
      'bench 72 x 18 x 3',
      'mm',
      null,
      [
        [72, 18, 3],
        [720, 180, 30],
        [1828.8, 457.2, 76.2],
      ],
    ],
    [
      'bench 200 x 60 x 6',
      'mm',
      null,
      [
        [200, 60, 6],
        [2000, 600, 60],
        [5080, 1524, 152.4],
      ],
    ],
    ['depth 19 1/4', 'mm', 'depth', [[19.25], [192.5], [488.95]]],
    ['sa 3/8', 'mm', 'sa', [[0.375], [3.75], [9.524999999999999]]],
    ['sa 120', 'mm', 'sa', [[120], [12]]],
    ['depth 470,469', 'mm', 'depth', [[470469], [470, 469], [470.47]]],
    ['thickness 8', 'mm', 'thickness', [[8], [80], [203.2]]],
    [
      'seat 600 x 500 x 80',
      'inch-8',
      null,
      [
        [15_240, 12_700, 2032],
        [600, 500, 80],
      ],
    ],
  ])('%s in %s', (line, units, slot, mm) => {
    const found = sizes(line, units, slot)
    expect(found.asks).toBe(true)
    // More than a cushion can be is not offered.
    expect(found.mm).toEqual(mm.filter(([first]) => first! < 20_000))
  })

  it('says why, and each reading in words', () => {
    const typed = readTyped('bench 72 x 18 x 3', context('mm'))
    const value = typed.ok && typed.value.kind === 'ask' ? typed.value : null
    expect(value?.says).toBe('No cushion is only 72 mm wide (bench length). Which is meant?')
    expect(value?.readings.map((r) => r.says)).toEqual([
      'Bench 72 mm x 18 mm x 3 mm net, in 1',
      'Bench 72 cm x 18 cm x 3 cm net, in 1',
      'Bench 72 in x 18 in x 3 in net, in 1',
    ])
  })

  it('what is plain is not asked', () => {
    for (const line of ['bench 2236 x 468 x 75 in 3', 'seat 0,6 x 0,5 x 0,08 m', 'points 0 0, 600 0, 600 500 thick 80'])
      expect(
        readTyped(line, context('mm')).ok && (readTyped(line, context('mm')) as { value: { kind: string } }).value.kind,
        line,
      ).toBe('seat')
    for (const line of ['depth 19 1/4 in', 'depth 470', 'sa 12', 'sa 3/8"', 'depth 470, 469'])
      expect(sizes(line, 'mm', line.startsWith('sa') ? 'sa' : 'depth').asks, line).toBe(false)
  })
})

describe('lengths as they are written', () => {
  it.each([
    ['5 ft 3', 1600.2],
    ['5’ 3½”', 1612.9],
    ['23⅝"', 600.075],
    ['1,250', 1250],
    ['12,5', 12.5],
    ['½', 0.5],
  ])('%s in a metric shop', (text, mm) => {
    const read = parseLength(text, 'mm')
    expect(read.ok && read.value.mm).toBeCloseTo(mm, 6)
  })
  it('said back rounded half up: 19 1/4 in are 488.95, so 489', () => {
    const read = parseLength('19 1/4 in', 'mm')
    expect(read.ok && read.value.understood).toBe('19 1/4 in = 489 mm')
  })
})
