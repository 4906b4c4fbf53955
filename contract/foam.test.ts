import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { DEMO_FOAM_STOCK, DEMO_GRADES, demoParts, keepersBenchPart } from '../core/demo/index.ts'
import { firstPart, jobOf } from '../core/job/index.ts'
import { FoamStock, Grade, type PartJob, migrateGrade, readJob, readWith } from './index.ts'

const gradeFault = (change: object) => {
  const read = readWith(Grade, { ...DEMO_GRADES[1]!, ...change })
  return read.ok ? 'sound' : `${read.faults[0]!.path} ${read.faults[0]!.message}`
}
const fillingFault = (change: object) => {
  const job = keepersBenchPart()
  const read = readJob(JSON.parse(JSON.stringify(jobOf({ ...job, filling: { ...job.filling, ...change } }))))
  return read.ok ? 'sound' : `${read.faults[0]!.path} ${read.faults[0]!.message}`
}
const load = keepersBenchPart().filling.load

describe('a grade', () => {
  it('of the demo catalogue is sound, as is every piece of stock', () => {
    for (const grade of DEMO_GRADES) expect(readWith(Grade, grade).ok, grade.name).toBe(true)
    for (const stock of DEMO_FOAM_STOCK) {
      expect(readWith(FoamStock, stock).ok, stock.name).toBe(true)
      expect(DEMO_GRADES.some((g) => g.id === stock.gradeId)).toBe(true)
    }
  })

  it.each<[string, object, RegExp]>([
    ['density 0', { densityKgM3: 0 }, /^\$\.densityKgM3 is less than any foam: check the unit/],
    ['density 900', { densityKgM3: 900 }, /^\$\.densityKgM3 is more than any foam: check the unit/],
    ['support factor 0.5', { supportFactor: 0.5 }, /^\$\.supportFactor is below 1.2/],
    [
      '65 % below 25 %',
      { at25N: 120, at65N: 100, at40N: null, supportFactor: null },
      /^\$\.at65N \(100 N\) must be well above the force at 25 % \(120 N\)/,
    ],
    [
      '40 % hardly above 25 %',
      { at25N: 139, supportFactor: null },
      /^\$\.at40N \(140 N\) must be well above the force at 25 % \(139 N\)/,
    ],
    ['neither 25 nor 40 %', { at40N: null }, /^\$\.at40N is missing/],
    [
      'two support factors',
      { at25N: 100, at65N: 250, supportFactor: 2 },
      /^\$\.supportFactor is 2, but 250 N over 100 N is 2\.50/,
    ],
    [
      'a factor that puts 65 % below 40 %',
      { at25N: 100, at40N: 150, supportFactor: 1.3 },
      /^\$\.supportFactor puts the force at 65 % at 130 N/,
    ],
    ['no thickness', { thicknessesMm: [] }, /^\$\.thicknessesMm wants at least one/],
    ['nowhere to be used', { exposures: [] }, /^\$\.exposures wants at least one place/],
    ['an empty name', { name: '' }, /^\$\.name cannot be empty/],
  ])('with %s is refused in words', (_name, change, says) => expect(gradeFault(change)).toMatch(says))

  it.each([
    { at25N: 100, at40N: 140, at65N: 200, supportFactor: 2 },
    { at25N: 100, at40N: null, at65N: null, supportFactor: null },
    { sheets: [] },
  ])('%j is sound', (change) => expect(gradeFault(change)).toBe('sound'))

  it('of the old kind keeps what it said', () => {
    const { at25N: _a, at40N, at65N: _b, exposures: _e, combustionModified: _c, ageing: _g, ...rest } = DEMO_GRADES[3]!
    expect(migrateGrade({ ...rest, hardnessN: at40N })).toEqual(DEMO_GRADES[3])
    expect(migrateGrade(DEMO_GRADES[3])).toEqual(DEMO_GRADES[3])
  })
})

describe('a piece of stock', () => {
  it('with a cut-out beyond its edge is refused', () => {
    const read = readWith(FoamStock, {
      ...DEMO_FOAM_STOCK[0]!,
      cutOuts: [{ xMm: 1000, yMm: 0, lengthMm: 300, widthMm: 100 }],
    })
    expect(!read.ok && read.faults[0]).toEqual({
      path: '$.cutOuts[0]',
      message: 'reaches beyond the piece it is cut out of',
    })
  })
})

describe('a filling', () => {
  it.each<[string, object, RegExp]>([
    ['no sitters', { load: { ...load, lightestKg: 0 } }, /^\$\.parts\[0\]\.filling\.load\.lightestKg is below 10 kg/],
    [
      'a sitter of 400 kg',
      { load: { ...load, heaviestKg: 400 } },
      /^\$\.parts\[0\]\.filling\.load\.heaviestKg is above 250 kg/,
    ],
    [
      'a body of no width',
      { load: { ...load, own: { reachMm: 0 } } },
      /^\$\.parts\[0\]\.filling\.load\.own\.reachMm must be at least 20 mm/,
    ],
    [
      'a body as flat as a board',
      { load: { ...load, own: { radiusMm: 9000 } } },
      /^\$\.parts\[0\]\.filling\.load\.own\.radiusMm is above 2000 mm: that is flat/,
    ],
    [
      'the light sitter heavier than the heavy one',
      { load: { ...load, lightestKg: 120 } },
      /^\$\.parts\[0\]\.filling\.load\.lightestKg is heavier than the heaviest sitter/,
    ],
    [
      'two layers that take what the other leaves',
      {
        layers: [
          { grade: DEMO_GRADES[0]!, thicknessMm: null },
          { grade: DEMO_GRADES[1]!, thicknessMm: null },
        ],
      },
      /^\$\.parts\[0\]\.filling\.layers more than one of the layers is without a thickness/,
    ],
    [
      'no layer that takes the rest',
      { layers: [{ grade: DEMO_GRADES[0]!, thicknessMm: 50 }] },
      /^\$\.parts\[0\]\.filling\.layers none of the layers is without a thickness/,
    ],
    [
      'limits the wrong way round',
      { limits: { leastMm: 90, mostMm: 60 } },
      /^\$\.parts\[0\]\.filling\.limits\.leastMm is more than the largest thickness/,
    ],
    [
      'five layers',
      { layers: Array.from({ length: 5 }, (_, i) => ({ grade: DEMO_GRADES[0]!, thicknessMm: i === 0 ? null : 20 })) },
      /^\$\.parts\[0\]\.filling\.layers/,
    ],
  ])('with %s is refused in words', (_name, change, says) => expect(fillingFault(change)).toMatch(says))
})

describe('a job of version 2', () => {
  const old = JSON.parse(readFileSync(new URL('./testing/job-version-2.json', import.meta.url), 'utf8'))
  const read = (change: (filling: Record<string, unknown>) => object): PartJob => {
    const found = readJob({ ...old, filling: change(old.filling) })
    if (!found.ok) throw new Error(JSON.stringify(found.faults))
    return firstPart(found.value)
  }

  it('keeps its grade, its school and its wadding', () => {
    const now = demoParts()[2]!
    const before = read((f) => f)
    if (before.filling.kind !== 'foam' || now.filling.kind !== 'foam') throw new Error('not foam')
    const grade = DEMO_GRADES.find((g) => g.name === 'Fulmar 35/120')
    expect(before.filling.layers).toEqual([{ grade, thicknessMm: null, body: null, profile: null }])
    expect(before.filling.school).toEqual(now.filling.school)
    expect(before.filling.wadding).toEqual(now.filling.wadding)
    expect(before.seat).toEqual(now.seat)
  })

  it.each([
    [{ kind: 'thinner-block', thinnerShare: 0.1, loftMm: 15 }, 15],
    [
      {
        kind: 'wrap-then-measure',
        loftMm: 30,
        layers: 2,
        ends: true,
        measured: { widthMm: 600, depthMm: 500, thicknessMm: 90 },
      },
      30,
    ],
  ])('%j keeps its loft', (school, loftMm) => {
    const { filling } = read((f) => ({ ...f, school }))
    expect(filling.kind === 'foam' && filling.wadding).toMatchObject(
      'measured' in school
        ? { loftMm, layers: 2, ends: 'covered', measured: school.measured }
        : { loftMm, layers: 1, ends: 'bare' },
    )
  })

  it('with a fault is refused by the name of the fault', () => {
    const found = readJob({ ...old, filling: { ...old.filling, springs: 2 } })
    expect(!found.ok && found.faults[0]!.path).toBe('$.parts[0].filling.springs')
    expect(
      readJob({ ...old, filling: { ...old.filling, grade: { ...old.filling.grade, hardnessN: -4 } } }),
    ).toMatchObject({ ok: false, faults: [{ path: '$.parts[0].filling.layers[0].grade.at40N' }] })
  })
})
