import { describe, expect, it } from 'vitest'
import type { PartJob } from '../../contract/index.ts'
import { newSeat, setAllowance, setClosure, setConstruction, setMakeUp } from '../job/index.ts'
import { keepersBenchPart } from '../demo/index.ts'
import { CONSTRUCTIONS } from '../cover/index.ts'
import { schoolsFor, tryOut, withoutSchool, withSchool, type SchoolResult } from './index.ts'

const job: PartJob = {
  ...keepersBenchPart(),
  seat: { ...newSeat('singles', 1100, 430, 100, 1), clearanceMm: 0 },
  cloth: { ...keepersBenchPart().cloth, match: { kind: 'none' } },
}
const capped = setConstruction('capped').apply(job)
const named = (j: PartJob, id: string) => schoolsFor(j, []).find((s) => s.id === id)!
const value = (r: SchoolResult, label: string) =>
  r.outcome.kind === 'made' ? r.outcome.rows.find((row) => row.label === label)?.figure?.value : undefined

describe('two schools of one make-up', () => {
  it('a border drawn to the thickness finishes 88 and is cut 1300; at full depth 100 and 1324', () => {
    const [drawn, full] = [tryOut(capped, named(capped, 'drawn')), tryOut(capped, named(capped, 'full'))]
    expect([value(drawn, 'Cover finishes, height'), value(drawn, 'Top and sides, cut width')]).toEqual([88, 1300])
    expect([value(full, 'Cover finishes, height'), value(full, 'Top and sides, cut width')]).toEqual([100, 1324])
  })

  it('a wider seam takes more cloth and leaves the finished size alone', () => {
    const [narrow, wide] = [tryOut(job, named(job, 'seam-6')), tryOut(job, named(job, 'seam-15'))]
    expect(value(narrow, 'Cover finishes, width')).toBe(value(wide, 'Cover finishes, width'))
    expect(value(wide, 'Cloth in one cushion, cut')!).toBeGreaterThan(value(narrow, 'Cloth in one cushion, cut')!)
  })

  it('trying one out changes nothing on the job', () => {
    const before = JSON.stringify(capped)
    schoolsFor(capped, []).forEach((s) => tryOut(capped, s))
    expect(JSON.stringify(capped)).toBe(before)
  })

  it('a school that the cushion cannot follow says so', () => {
    const thin: PartJob = {
      ...setMakeUp('', (m) => m).apply(setConstruction('rolled-edge').apply(job)),
      seat: { ...newSeat('singles', 600, 400, 45, 1), clearanceMm: 0 },
    }
    expect(tryOut(thin, named(thin, 'roll-14')).outcome).toMatchObject({
      kind: 'stopped',
      warning: { code: 'make-up-refused' },
    })
  })

  it('every make-up has the shop’s own allowance as its first school, and no two alike', () => {
    for (const kind of CONSTRUCTIONS) {
      const schools = schoolsFor(setConstruction(kind).apply(job), [])
      expect(schools[0]!.id).toBe('seam-book')
      expect(new Set(schools.map((s) => s.id)).size).toBe(schools.length)
    }
  })

  it('the shop keeps a way by name: it is offered for that make-up alone, and brings back construction, closure and allowances', () => {
    const ours = setAllowance('seamMm', 15, '').apply(setClosure('sewn-shut').apply(capped))
    const kept = withSchool([], ' Boat way ', ours)
    expect(kept).toEqual([
      {
        name: 'Boat way',
        construction: ours.makeUp.construction,
        closure: ours.makeUp.closure,
        overrides: { seamMm: 15 },
      },
    ])
    expect(schoolsFor(job, kept).map((s) => s.name)).not.toContain('Boat way')
    const again = schoolsFor(capped, kept)
      .find((s) => s.name === 'Boat way')!
      .edit.apply(capped)
    expect([again.makeUp, again.allowances]).toEqual([ours.makeUp, ours.allowances])
  })

  it('a name kept again gives way to the new one; the same name of another make-up stands beside it', () => {
    const kept = withSchool(
      withSchool(withSchool([], 'Ours', job), 'Ours', capped),
      'Ours',
      setAllowance('seamMm', 10, '').apply(job),
    )
    expect(kept.map((s) => [s.construction.kind, s.overrides.seamMm])).toEqual([
      ['capped', undefined],
      ['boxed', 10],
    ])
    expect(withoutSchool(kept, 'Ours', 'boxed').map((s) => s.construction.kind)).toEqual(['capped'])
  })
})
