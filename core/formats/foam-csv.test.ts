import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { Grade, readWith, type Cutting, type PartJob } from '../../contract/index.ts'
import { DEMO_GRADES, demoParts } from '../demo/index.ts'
import { worked } from '../testing/jobs.ts'
import { foamOrderCsv, idOfName, readCatalogue, writeCatalogue, type CatalogueRow } from './index.ts'

const rowsOf = (text: string): readonly CatalogueRow[] => {
  const file = readCatalogue(text)
  if (!file.ok) throw new Error(file.says)
  return file.rows
}

describe('the catalogue as a spreadsheet', () => {
  it('read back is the same catalogue', () => {
    const rows = rowsOf(writeCatalogue(DEMO_GRADES))
    expect(rows.flatMap((r) => r.faults)).toEqual([])
    expect(rows.map((r) => r.grade)).toEqual(DEMO_GRADES)
  })

  it('survives any numbers, names with commas and quotes, and an ageing of its own', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 5, max: 400 }),
        fc.integer({ min: 10, max: 900 }),
        fc.constantFrom('Gull, soft', 'Tern "best"', 'Knot; old', 'Éider 12½'),
        fc.boolean(),
        (densityKgM3, at40N, name, combustionModified) => {
          const grade: Grade = {
            ...DEMO_GRADES[2]!,
            name,
            id: idOfName(name),
            densityKgM3,
            at40N,
            combustionModified,
            ageing: { lossShare: 0.12, years: 6 },
          }
          expect(rowsOf(writeCatalogue([grade]))[0]!.grade).toEqual(grade)
        },
      ),
    )
  })

  it('takes pounds: 1.8 lb/ft³ and 36 lbf at 25 %', () => {
    const [row] = rowsOf(
      'name,family,density lb/ft3,lbf at 25 %,support factor,places,thicknesses mm\nGull,conventional,1.8,36,2,indoors,"50; 100"',
    )
    expect(row!.grade).toMatchObject({
      id: 'gull',
      at40N: null,
      supportFactor: 2,
      thicknessesMm: [50, 100],
      sheets: [],
    })
    expect(row!.grade['densityKgM3']).toBeCloseTo(28.83, 2)
    expect(row!.grade['at25N']).toBeCloseTo(160.1, 1)
    expect(readWith(Grade, row!.grade).ok).toBe(true)
  })

  it('takes semicolons with decimal commas, and a byte order mark', () => {
    const [row] = rowsOf(
      '\uFEFFName;Family;Density kg/m³;N at 40 %;Places;Thicknesses mm\nGull;latex;65,5;130;indoors;50',
    )
    expect(row!.grade).toMatchObject({ densityKgM3: 65.5, at40N: 130 })
  })

  it.each<[string, string, RegExp]>([
    ['nothing', '', /^The file is empty/],
    ['an unknown heading', 'name,colour\nGull,grey', /^The heading "colour" is not known/],
    ['no names', 'family\nlatex', /^There is no column "name"/],
  ])('%s is refused in words', (_name, text, says) => {
    const file = readCatalogue(text)
    expect(!file.ok && file.says).toMatch(says)
  })

  it('names the row and the cell that is no number, and keeps the others', () => {
    const rows = rowsOf('name,density kg/m3\nGull,thirty\nTern,40')
    expect(rows[0]).toMatchObject({ row: 2, faults: ['density kg/m3: "thirty" is not a number'] })
    expect(rows[1]!.faults).toEqual([])
  })
})

describe('the foam order as a spreadsheet', () => {
  const job = demoParts()[3]!
  const lines = (change: Partial<Cutting>, units: PartJob['units'] = 'mm') => {
    const changed = { ...job, cutting: { ...job.cutting, ...change }, units }
    return foamOrderCsv(worked(changed).cutting!, changed).split('\r\n')
  }

  it('names whole sheets of each grade', () => {
    expect(lines({})).toEqual([
      'ticket,what,grade,kg/m3,count,length mm,width mm,thickness mm',
      'SL-04,sheet,Gannet 36/180,36,2,2030,1520,100',
      'SL-04,sheet,Eider 50/60,50,2,2030,1520,25',
    ])
  })

  it('or the layers cut to size, in the unit of the job', () => {
    const cut = lines({ supply: 'cut-to-size' }, 'inch-8')
    expect(cut[0]).toContain('length in')
    expect(cut[1]).toMatch(/^SL-04,"Block A, layer 1 from the board",Gannet 36\/180,36,3,75 3\/4,/)
  })
})
