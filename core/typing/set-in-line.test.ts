import { describe, expect, it } from 'vitest'
import { JOB_LIMITS, readJob, type Job } from '../../contract/index.ts'
import { DEMO_CLOTHS, DEMO_GRADES, keepersBench } from '../demo/index.ts'
import { partJob, partName, withPart } from '../job/index.ts'
import { planJob } from '../plan/index.ts'
import { cushionsOf, valueOf } from '../seat/index.ts'
import { afterTyped, readTyped, withTypedSeat } from './index.ts'

const context = (whole: Job | null) => ({
  job: whole && partJob(whole, 'A'),
  whole,
  units: 'mm' as const,
  grades: DEMO_GRADES,
  cloths: DEMO_CLOTHS,
  limits: JOB_LIMITS,
  today: '2026-11-29',
})
/** A ticket of the demo with a plain part alone, to begin from. */
const plain = (): Job => {
  const job = keepersBench()
  return { ...job, parts: [{ ...job.parts[0]!, name: '' }] }
}

/** The ticket that a line on the shelf makes. */
function ticket(line: string): Job {
  const read = readTyped(line, context(null))
  if (!read.ok || read.value.kind !== 'seat') throw new Error(`${line}: ${JSON.stringify(read)}`)
  const { value } = read
  const begun = withPart(plain(), 'A', withTypedSeat(partJob(plain(), 'A'), value))
  return value.more ? value.more.applyToJob(begun) : begun
}
const partsOf = ({ parts }: Job) =>
  parts.map((part) => {
    const { footprint, thickness } = part.seat
    if (footprint.kind !== 'rectangle') throw new Error(footprint.kind)
    const sizes = [footprint.width, footprint.depth, thickness].map((d) => Number(valueOf(d).toFixed(2))).join(' x ')
    const cushions = cushionsOf(part.seat)
    return `${partName(part)}: ${cushions.ok ? cushions.value.count : 0} of ${sizes}`
  })

describe('several kinds of cushion in one line', () => {
  it.each([
    [
      '3 seats 600 x 560 x 120 and 3 backs 600 x 450 x 140, all piped',
      ['Seats: 3 of 600 x 560 x 120', 'Backs: 3 of 600 x 450 x 140'],
    ],
    [
      '2 backs 600 x 450 x 140 plus 2 seats 600 x 560 x 120',
      ['Seats: 2 of 600 x 560 x 120', 'Backs: 2 of 600 x 450 x 140'],
    ],
    [
      'day bed mattress 1900 x 800 x 150 with two backs 800 x 300 x 120 with ties',
      ['Mattresses: 1 of 1900 x 800 x 150', 'Backs: 2 of 800 x 300 x 120'],
    ],
    [
      'two window seat cushions 1370 x 450 x 75, one 1000 x 450 x 75',
      ['Seats: 2 of 1370 x 450 x 75', 'Seats 2: 1 of 1000 x 450 x 75'],
    ],
    [
      'settee: 2 seats 55 x 58 x 14 cm, 2 arms 50 x 25 x 8 cm',
      ['Seats: 2 of 550 x 580 x 140', 'Arms: 2 of 500 x 250 x 80'],
    ],
    // An inch is 25.4 mm, and said once it is that of all.
    [
      'seats 24 1/2 x 22 x 4 and backs 24 1/2 x 18 x 5 in',
      ['Seats: 1 of 622.3 x 558.8 x 101.6', 'Backs: 1 of 622.3 x 457.2 x 127'],
    ],
    [
      '2 seats 60 x 56 x 12 and 2 backs 60 x 45 x 14 cm',
      ['Seats: 2 of 600 x 560 x 120', 'Backs: 2 of 600 x 450 x 140'],
    ],
    [
      'seat 1800 x 500 x 80, 2 bolsters 500 x 180, customer Mrs Tern',
      ['Seats: 1 of 1800 x 500 x 80', 'Bolsters: 2 of 500 x 180 x 180'],
    ],
    [
      '2 seats 600 x 560 x 120, 1 seat 500 x 560 x 120, 3 backs 600 x 450 x 140',
      ['Seats: 2 of 600 x 560 x 120', 'Seats 2: 1 of 500 x 560 x 120', 'Backs: 3 of 600 x 450 x 140'],
    ],
    [
      'a bench 1800 x 500 x 80 in 3, a stool 400 x 400 x 60',
      ['Benches: 3 of 1800 x 500 x 80', 'Stools: 1 of 400 x 400 x 60'],
    ],
  ])('"%s"', (line, parts) => expect(partsOf(ticket(line))).toEqual(parts))

  it('are a ticket that can be kept and planned; backs stand, and bolsters are rolls', () => {
    const job = ticket('2 seats 24 x 22 x 4 in, 2 backs 24 x 18 x 5 in, 2 bolsters 22 x 7 in')
    expect(readJob(job).ok).toBe(true)
    expect(job.parts.map((p) => p.pose.kind)).toEqual(['lies', 'stands-at-back', 'stands-at-end'])
    expect(job.parts.map((p) => p.makeUp.construction.kind)).toEqual(['boxed', 'boxed', 'bolster'])
    expect(job.parts[1]!.filling.load.use).toBe('back')
    const plan = planJob(job)
    expect(plan.parts.map((p) => p.kind)).toEqual(['worked', 'worked', 'worked'])
  })

  it('what is said belongs to the cushions before it, whose it is to the ticket', () => {
    const job = ticket('2 seats 600 x 560 x 120, sewn shut, 2 backs 600 x 450 x 140, no piping, customer Mrs Tern')
    expect(job.parts.map((p) => p.makeUp.closure.kind === 'sewn-shut')).toEqual([true, false])
    expect(job.parts.map((p) => p.makeUp.piping.kind)[1]).toBe('none')
    expect(job.customer).toBe('Mrs Tern')
  })

  const sewn = ({ parts }: Job) => parts.map((part) => part.makeUp.closure.kind === 'sewn-shut')
  it.each([
    ['bench 1420 x 470 x 80 and 3 chair pads 430 x 410 x 50, all sewn shut', [true, true]],
    ['bench 1420 x 470 x 80, no piping, 3 chair pads 430 x 410 x 50, both sewn shut', [true, true]],
    ['bench 1420 x 470 x 80 and 3 chair pads 430 x 410 x 50 sewn shut', [false, true]],
    ['bench 1420 x 470 x 80, sewn shut, 3 chair pads 430 x 410 x 50, zip in seam', [true, false]],
  ])('"%s": what is said of all is that of each', (line, expected) => expect(sewn(ticket(line))).toEqual(expected))

  const asked = (line: string, whole: Job | null = null) => {
    const read = readTyped(line, context(whole))
    if (!read.ok || read.value.kind !== 'ask') throw new Error(`${line}: not asked`)
    return read.value.readings
  }
  it('what follows the last alone may be said of all, which is asked; each answer makes its own ticket', () => {
    const line = 'bench 1420 x 470 x 80 and 3 chair pads 430 x 410 x 50, sewn shut, customer Tern and Sons'
    const readings = asked(line, plain())
    expect(readings.map(({ says }) => says)).toEqual(['Of all: Benches, Chairs', 'Of Chairs alone'])
    const tickets = readings.map(({ typed }) => afterTyped(typed, plain(), 'A'))
    expect(tickets.map(sewn)).toEqual([
      [true, true],
      [false, true],
    ])
    expect(tickets.map((job) => job.customer)).toEqual(['Tern and Sons', 'Tern and Sons'])
  })
  it('is asked beside what is said of all', () => {
    const readings = asked('bench 1420 x 470 x 80 and 3 chair pads 430 x 410 x 50, sewn shut, all foam 36/180', plain())
    const tickets = readings.map(({ typed }) => afterTyped(typed, plain(), 'A'))
    expect(tickets.map(sewn)).toEqual([
      [true, true],
      [false, true],
    ])
    for (const { parts } of tickets)
      for (const { filling } of parts) expect(JSON.stringify(filling)).toContain('Gannet 36/180')
  })
  it('is not asked where it is the ticket’s, or where only the last can have it', () => {
    expect(ticket('2 seats 600 x 560 x 120 and 2 backs 600 x 450 x 140, due 2026-12-20').parts).toHaveLength(2)
    const onCanvas = ticket('2 seats 600 x 560 x 120, 2 backs 600 x 450 x 140, storm canvas')
    expect(['A', 'B'].map((letter) => partJob(onCanvas, letter).cloth.cloth.name)).toEqual([
      'Storm canvas',
      'Storm canvas',
    ])
    expect(ticket('2 seats 600 x 560 x 120 sewn shut and 2 backs 600 x 450 x 140, no piping').parts).toHaveLength(2)
  })
  it('too many are told before anything is asked', () => {
    const read = readTyped(
      '20 seats 600 x 560 x 120 and 20 backs 600 x 450 x 140, sewn shut',
      context(ticket('seat 600 x 500 x 80 and 90 backs 600 x 450 x 140')),
    )
    expect(!read.ok && read.error.code).toBe('too-many')
  })

  it('what stands before a colon is what the ticket is called, unless it is a cushion', () => {
    expect(ticket('patio set: 4 chairs 450 x 450 x 50, bench 1200 x 450 x 50').title).toBe('Patio set')
    const named = ticket('seat: 600 x 560 x 120 and back: 600 x 450 x 140')
    expect([named.title, ...partsOf(named)]).toEqual([
      plain().title,
      'Seats: 1 of 600 x 560 x 120',
      'Backs: 1 of 600 x 450 x 140',
    ])
  })

  it.each<[string, string[]]>([
    ['add 2 backs 600 x 450 x 140', ['Backs: 2 of 600 x 450 x 140']],
    ['add a bolster 500 x 180', ['Bolsters: 1 of 500 x 180 x 180']],
    [
      'add 2 backs 60 x 45 x 14 cm and 2 arms 50 x 25 x 8',
      ['Backs: 2 of 600 x 450 x 140', 'Arms: 2 of 500 x 250 x 80'],
    ],
  ])('"%s" puts parts beside those an open ticket has, and looks at the first', (line, added) => {
    const whole = plain()
    const read = readTyped(line, context(whole))
    if (!read.ok || read.value.kind !== 'parts') throw new Error(JSON.stringify(read))
    // With a second part the first has a name.
    expect(partsOf(afterTyped(read.value, whole, 'A'))).toEqual(['Seats: 3 of 2236 x 468 x 75', ...added])
    expect(read.value.look).toBe('B')
  })
  it('no more parts are added than a ticket holds', () => {
    const full = ticket(Array.from({ length: 16 }, (_, i) => `seat ${600 + i} x 500 x 80`).join(' and '))
    const read = readTyped('add 2 backs 600 x 450 x 140', context(full))
    expect(!read.ok && read.error.code).toBe('full')
  })

  it('on an open ticket take the place of the seat in view, and come beside it', () => {
    const whole = plain()
    const read = readTyped('2 seats 600 x 560 x 120 and 2 backs 600 x 450 x 140', context(whole))
    if (!read.ok || read.value.kind === 'ask') throw new Error('not understood')
    const after = afterTyped(read.value, whole, 'A')
    expect(partsOf(after)).toEqual(['Seats: 2 of 600 x 560 x 120', 'Backs: 2 of 600 x 450 x 140'])
    expect(after.note).toBe(whole.note)
  })

  it('count with what the open ticket has already', () => {
    const ninety = ticket('seat 600 x 500 x 80 and 90 backs 600 x 450 x 140')
    const read = readTyped('20 seats 600 x 560 x 120 and 20 backs 600 x 450 x 140', context(ninety))
    // Ninety backs stay beside the forty.
    expect(!read.ok && read.error).toMatchObject({ code: 'too-many', count: 130 })
  })

  it.each([
    ['100 seats 600 x 560 x 120, 100 backs 600 x 450 x 140', 'too-many'],
    [Array.from({ length: 17 }, (_, i) => `seat ${600 + i} x 500 x 80`).join(' and '), 'full'],
    ['2 sparkling seats 600 x 560 x 120 and 2 backs 600 x 450 x 140', 'two-seats'],
    ['2 cot seats 600 x 560 x 120 and 2 backs 600 x 450 x 140', 'infant'],
    ['2 seats 600 x 560 x 120 and 2 backs 600 x 99999 x 140', 'length'],
  ])('"%s" is refused: %s', (line, code) => {
    const read = readTyped(line, context(null))
    expect(!read.ok && read.error.code).toBe(code)
  })
})
