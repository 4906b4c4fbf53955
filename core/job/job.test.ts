import { describe, expect, it } from 'vitest'
import { readJob } from '../../contract/index.ts'
import { applied } from '../cover/index.ts'
import { DEMO_CLOTHS, DEMO_GRADES, keepersBenchPart } from '../demo/index.ts'
import { FACTORY_BOOK } from '../defaults/index.ts'
import { jobOf, newPartJob, newSeat, setAllowance, setCloth, setGrade, setReadings, setSeat } from './index.ts'

const plainCloth = DEMO_CLOTHS.find((c) => c.pattern.kind === 'plain')!
const start = (cloth = DEMO_CLOTHS[0]!) =>
  newPartJob({
    ticket: 'J-001',
    title: 'Bench',
    units: 'mm',
    currency: 'EUR',
    book: FACTORY_BOOK,
    grade: DEMO_GRADES[0]!,
    cloth,
    seat: newSeat('bench', 2000, 500, 80, 3),
  })

describe('a new job', () => {
  it.each(DEMO_CLOTHS.map((c) => [c.name, c] as const))('on %s is a valid document', (_name, cloth) => {
    expect(readJob(JSON.parse(JSON.stringify(jobOf(start(cloth))))).ok).toBe(true)
  })

  it('matches stripes where there are any', () => {
    expect(start().cloth.match.kind).toBe('matched')
    expect(start(plainCloth).cloth.match.kind).toBe('none')
  })
})

describe('edits', () => {
  it('leave the job they started from as it was', () => {
    const job = keepersBenchPart()
    const before = JSON.stringify(job)
    for (const edit of [
      setGrade(DEMO_GRADES[4]!),
      setCloth(plainCloth),
      setAllowance('seamMm', 15, 'sa'),
      setReadings('depth', [{ mm: 470 }], 'd'),
      setSeat('n', (s) => ({ ...s, clearanceMm: 9 })),
    ]) {
      const after = edit.apply(job)
      expect(after).not.toBe(job)
      expect(readJob(JSON.parse(JSON.stringify(jobOf(after)))).ok).toBe(true)
    }
    expect(JSON.stringify(job)).toBe(before)
  })

  it('another cloth brings its own matching', () => {
    expect(setCloth(plainCloth).apply(keepersBenchPart()).cloth.match).toEqual({ kind: 'none' })
    expect(setCloth(DEMO_CLOTHS[0]!).apply(start(plainCloth)).cloth.match).toEqual({
      kind: 'matched',
      rule: { kind: 'band-on-centre', band: 0 },
    })
  })

  it('an allowance is set on the job, and goes back to the book', () => {
    const set = setAllowance('seamMm', 15, 'sa').apply(keepersBenchPart())
    expect(applied(set.allowances).seamMm).toMatchObject({
      value: 15,
      setBy: 'job',
      rule: "set on this job, in place of the shop's book",
    })
    const back = setAllowance('seamMm', null, 'book').apply(set)
    expect(back.allowances.overrides).toEqual({})
    expect(applied(back.allowances).seamMm).toMatchObject({ value: 12, setBy: 'shop' })
  })
})
