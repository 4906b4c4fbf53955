import { describe, expect, it } from 'vitest'
import { JOB_LIMITS, type PartJob } from '../../contract/index.ts'
import { DEMO_CLOTHS, DEMO_GRADES, keepersBenchPart } from '../demo/index.ts'
import { valueOf } from '../seat/index.ts'
import { readTyped, typingWords, withTypedSeat, type Asked } from './index.ts'

const context = (job: PartJob | null) => ({
  job,
  units: 'mm' as const,
  grades: DEMO_GRADES,
  cloths: DEMO_CLOTHS,
  limits: JOB_LIMITS,
  today: '2026-11-29',
})

function question(line: string, job: PartJob | null): Asked {
  const read = readTyped(line, context(job))
  if (!read.ok || read.value.kind !== 'ask') throw new Error(`${line} is not asked about`)
  return read.value
}

/** The job that a line makes when its maker goes on without what is not understood. */
function goneOn(line: string, job: PartJob | null): PartJob {
  const asked = question(line, job)
  expect(asked.readings).toHaveLength(1)
  const { typed } = asked.readings[0]!
  if (typed.kind === 'seat') return withTypedSeat(job ?? { ...keepersBenchPart(), note: '' }, typed)
  if (typed.kind === 'edit') return typed.edit.apply(job!)
  throw new Error(typed.kind)
}

const code = (line: string, job: PartJob | null): string | null => {
  const read = readTyped(line, context(job))
  return read.ok ? read.value.kind : read.error.code
}

describe('what is not understood of a line', () => {
  it.each([
    ['boat cushion 1900 x 620 x 100, two of them, piped, waterproof cloth', [1900, 620, 100], 'waterproof cloth'],
    ['mattress 1900 x 1300 x 150 with the corner cut off 300 x 300', [1900, 1300, 150], 'corner cut off 300 x 300'],
    ['bench 1800 x 450 x 75 in 3, stain resistant, ties at the back', [1800, 450, 75], 'stain resistant'],
    ['bench pad 48 x 16 x 2 in, velcro, ties at the back', [1219.2, 406.4, 50.8], 'velcro'],
    ['4 cushions 72 x 24 x 4 in, gannet 40 foam', [1828.8, 609.6, 101.6], 'gannet 40 foam'],
    ['purple cushion 600 x 500 x 80', [600, 500, 80], 'purple cushion'],
  ] as const)('"%s" goes on without it, and keeps it as a note', (line, sizes, note) => {
    const { seat, note: kept } = goneOn(line, null)
    const { footprint, thickness } = seat
    if (footprint.kind !== 'rectangle') throw new Error(footprint.kind)
    const said = [footprint.width, footprint.depth, thickness].map(valueOf)
    said.forEach((mm, i) => expect(mm).toBeCloseTo(sizes[i]!, 6))
    expect(kept).toBe(note)
  })
  it('is named, with what there is instead', () => {
    expect(question('600 x 500 x 80, sparkling', null).says).toMatch(/^"sparkling" is not a word/)
    expect(question('600 x 500 x 80, foam gannet', null).says).toContain('Gannet')
  })
  it('comes after what the note says already', () => {
    const job = { ...keepersBenchPart(), note: 'Beware of the dog' }
    const after = goneOn('100 thick, with sparkling', job)
    expect([valueOf(after.seat.thickness), after.note]).toEqual([100, 'Beware of the dog\nsparkling'])
  })
  it('of an open job is left out by whole clauses only', () => {
    expect(code('100 thick sparkling', keepersBenchPart())).toBe('unknown-word')
    expect(code('ties of silk', keepersBenchPart())).not.toBe('ask')
  })
  it.each([
    ['hexagon cushion 600 x 600 x 80', 'unknown-word'],
    ['U shaped dinette 1800 x 2000 x 600 x 100', 'unknown-word'],
    ['pads 400 x 400 x 40, tapering to 360 at the back', 'unknown-word'],
    ['600 x 500 x 80, without a collar', 'unknown-word'],
    ['bench -5 x 468 x 75, piped', 'length'],
    ['ring 1870 x 520 x 90 round the mast', 'pattern'],
    ['berth 1860 x 640 x 215, sparkling', 'sizes'],
    ['lseat 610 x 545 x 110, sparkling', 'pattern'],
    ['taper 1124 x 860 x 402 sparkling', 'sizes'],
    ['two benches 1900 x 600 x 125 and a sparkling back 1900 x 400 x 100', 'two-seats'],
    ['cot mattress 1200 x 600 x 100, sparkling', 'infant'],
  ])('"%s" is not gone on with: it would make another thing', (line, why) => expect(code(line, null)).toBe(why))
})

it('of a number that cannot be it is told which, not that its word is unknown', () => {
  const read = readTyped('4 seats 22 x 21 x 4 in, piped cord 5 bias, customer Mr Sedge', {
    ...context(null),
    units: 'inch-8',
  })
  expect(read.ok ? null : typingWords(read.error)).toMatch(/^The cord "5" is larger than anything/)
})

describe('a cushion with too few sizes', () => {
  it.each([
    ['cushion 45 x 45 cm with feather insert', 2],
    ['knife edge scatter cushion 18 in', 1],
  ])('"%s" is told how many are wanted', (line, found) => {
    const read = readTyped(line, context(null))
    expect(!read.ok && read.error).toMatchObject({ code: 'sizes', found, wanted: 3 })
  })
})

describe('so many cushions of a corner bench', () => {
  const shared = (line: string) => {
    const read = readTyped(line, context(null))
    if (!read.ok || read.value.kind !== 'seat') throw new Error(line)
    const { division } = read.value.seat
    return division.kind === 'corner' ? [division.countA, division.countB] : null
  }
  it.each([
    ['L-shaped bench 2400 by 1800, 550 deep, 100 thick, three cushions', [2, 1]],
    ['corner bench 2400 x 1800, 500 deep, 90 thick, in 5', [3, 2]],
    ['corner bench 3000 x 600, 500 deep, 90 thick, in 2', [1, 1]],
    ['corner bench 2400 x 1800 x 500 x 90', [1, 1]],
  ])('"%s" are shared by the lengths of its legs', (line, counts) => expect(shared(line)).toEqual(counts))
})
