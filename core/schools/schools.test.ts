import { describe, expect, it } from 'vitest'
import type { Construction, PartJob } from '../../contract/index.ts'
import { newSeat, setAllowance, setClosure, setConstruction, setLooseFibre, setMakeUp } from '../job/index.ts'
import { keepersBenchPart } from '../demo/index.ts'
import { CONSTRUCTIONS } from '../cover/index.ts'
import { planPart } from '../plan/index.ts'
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

describe('where makers differ within a make-up', () => {
  it.each<[Construction['kind'], Readonly<Record<string, object>>]>([
    ['boxed', { wrap: { boxing: 'wrap' }, 'per-side': { boxing: 'one-per-side' } }],
    ['lap-closed', { wrap: { boxing: 'wrap' }, 'per-side': { boxing: 'one-per-side' } }],
    ['slit-back', { 'slit-0.5': { share: 0.5 }, 'slit-0.7': { share: 0.7 } }],
    [
      'knife-edge',
      {
        'ears-rounded': { corners: { kind: 'rounded' } },
        'ears-tapered': { corners: { kind: 'tapered' } },
        ears: { corners: { kind: 'ears' } },
      },
    ],
    ['waterfall', { 'front-round': { frontRadiusMm: 25, tuckMm: 0 }, 'front-square': { frontRadiusMm: 0 } }],
    ['capped', { drawn: { school: 'drawn-to-thickness' }, full: { school: 'full-depth' } }],
    ['rolled-edge', { 'roll-8': { rollMm: 8 }, 'roll-10': { rollMm: 10 }, 'roll-14': { rollMm: 14 } }],
    ['pinch-corner', { 'pinch-one': { panels: 'one' }, 'pinch-three': { panels: 'three' } }],
    [
      'pull-over',
      { 'under-40': { turnUnderMm: 40 }, 'under-45': { turnUnderMm: 45 }, 'under-50': { turnUnderMm: 50 } },
    ],
    ['bolster', {}],
    ['wrapped-tube', {}],
  ])('%s', (kind, differing) => {
    const part = setConstruction(kind).apply(job)
    const own = schoolsFor(part, []).filter((s) => !s.id.startsWith('seam-'))
    expect(own.map((s) => s.id)).toEqual(Object.keys(differing))
    for (const school of own) {
      const after = school.edit.apply(part)
      expect(after.makeUp.construction).toMatchObject({ ...differing[school.id], kind })
      // Nothing else of the part, nor of its construction, is touched.
      expect({ ...after, makeUp: { ...after.makeUp, construction: null } }).toEqual({
        ...part,
        makeUp: { ...part.makeUp, construction: null },
      })
      const changed = Object.keys(differing[school.id]!)
      const rest = (c: object) => Object.entries(c).filter(([key]) => !changed.includes(key))
      expect(rest(after.makeUp.construction)).toEqual(rest(part.makeUp.construction))
    }
  })

  it('tells them in words, and in the units of the job', () => {
    const words = (kind: Construction['kind'], units: PartJob['units']) =>
      schoolsFor({ ...setConstruction(kind).apply(job), units }, [])
        .filter((s) => !s.id.startsWith('seam-'))
        .map((s) => `${s.name}: ${s.says}`)
    expect(words('slit-back', 'mm')).toEqual([
      'Slit at 50 %: in the middle, out of sight when it is turned',
      'Slit at 70 %: easier to fill',
    ])
    expect(words('rolled-edge', 'mm')).toEqual([
      'Roll 8 mm: a fine edge',
      'Roll 10 mm: common',
      'Roll 14 mm: a heavy edge',
    ])
    // 25.4 mm an inch, to the nearest eighth: 40 mm is 1 5/8, 45 mm 1 3/4, 50 mm 2.
    expect(words('pull-over', 'inch-8').map((w) => w.split(' turned')[0])).toEqual(['1 5/8 in', '1 3/4 in', '2 in'])
  })
})

describe('the seam allowance of a school', () => {
  const widths = (bookMm: number) =>
    schoolsFor({ ...job, allowances: { ...job.allowances, book: { ...job.allowances.book, seamMm: bookMm } } }, [])
      .filter((s) => s.id.startsWith('seam-'))
      .map((s) => [s.id, s.edit.apply(job).allowances.overrides.seamMm])
  it('is the book\u2019s first, then the widths that the book has not', () => {
    expect(widths(12)).toEqual([
      ['seam-book', undefined],
      ['seam-6', 6],
      ['seam-10', 10],
      ['seam-15', 15],
    ])
    expect(widths(13).map(([id]) => id)).toEqual(['seam-book', 'seam-6', 'seam-10', 'seam-12', 'seam-15'])
  })
})

describe('what a school comes to', () => {
  const rows = (part: PartJob) => {
    const { outcome } = tryOut(part, schoolsFor(part, [])[0]!)
    return outcome.kind === 'made' ? outcome.rows : []
  }
  it('has a fit for a block of foam alone', () => {
    const labels = (part: PartJob) => rows(part).map((row) => row.label)
    expect(labels(job)).toEqual(expect.arrayContaining(['Fit across', 'Fit front to back']))
    expect(labels(setLooseFibre.apply(job)).filter((l) => l.startsWith('Fit'))).toEqual([])
  })
  it('is all right where every check is, and counts its panels and seams', () => {
    const [plan, found] = [planPart(job, ''), rows(job)]
    if (plan.kind === 'unworkable') throw new Error('unworkable')
    const [{ cover, checks }] = plan.designs as [(typeof plan.designs)[number]]
    const words = (label: string) => found.find((row) => row.label === label)!.words
    expect(checks.some((c) => c.faults.length > 0)).toBe(false)
    expect(words('Checks')).toBe('all right')
    expect(words('Panels and seams')).toBe(`${cover.panels.length} and ${cover.seams.length}`)
  })
  it('finishes as high as its block where nothing is drawn out of it', () => {
    const height = (part: PartJob) => rows(part).find((row) => row.label === 'Cover finishes, height')!.figure!
    expect([height(job).value, height(job).id === 'compare.height']).toEqual([100, false])
    expect(height(capped).value).toBe(88)
  })
})
