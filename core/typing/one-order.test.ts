import { describe, expect, it } from 'vitest'
import { JOB_LIMITS, readJob } from '../../contract/index.ts'
import { DEMO_CLOTHS, DEMO_GRADES } from '../demo/index.ts'
import { firstPart, jobOf, newSeat } from '../job/index.ts'
import { keepersBenchPart } from '../demo/index.ts'
import { afterTyped, readTyped, typingWords } from './index.ts'

/** A ticket of so many single cushions. */
const ticketOf = (count: number) => jobOf({ ...keepersBenchPart(), seat: newSeat('singles', 600, 500, 80, count) })

const typedAt = (job: ReturnType<typeof ticketOf>, line: string) => {
  const part = firstPart(job)
  const context = {
    job: part,
    whole: job,
    units: job.units,
    grades: DEMO_GRADES,
    cloths: DEMO_CLOTHS,
    limits: JOB_LIMITS,
  }
  const read = readTyped(line, { ...context, today: '2026-11-30' })
  if (!read.ok) return typingWords(read.error)
  return read.value.kind === 'ask' ? 'asked' : afterTyped(read.value, job, part.letter)
}

describe('an order of 120 cushions', () => {
  it('takes no more by a copy of a part, told in words', () => {
    expect(typedAt(ticketOf(61), 'copy to backs')).toBe(
      'That would be 122 cushions, more than the 120 of one order: check the numbers, or begin another ticket.',
    )
    const doubled = typedAt(ticketOf(60), 'copy to backs')
    expect(typeof doubled === 'object' && readJob(JSON.parse(JSON.stringify(doubled))).ok).toBe(true)
  })

  it('nor by a count, a new part, rows or mirrored ones', () => {
    const two = typedAt(ticketOf(8), 'copy to backs')
    if (typeof two !== 'object') throw new Error(String(two))
    // Eight of them stand already.
    expect(typedAt(two, 'times 113')).toMatch(/^That would be 121 cushions/)
    expect(typeof typedAt(two, 'times 112')).toBe('object')
    expect(typedAt(two, 'part ends: seat 600 x 500 x 80 times 105')).toMatch(/^That would be 121 cushions/)
    expect(typedAt(two, 'rows 600 x 500 times 100, 610 x 500 times 13')).toMatch(/^That would be 121 cushions/)
    expect(typedAt(two, 'times 60 and 53 mirrored')).toMatch(/^That would be 121/)
  })
})
