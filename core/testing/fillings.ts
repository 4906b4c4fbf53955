import fc from 'fast-check'
import type {
  Cutting,
  Filling,
  FoamStock,
  Grade,
  Layer,
  Load,
  PartWork,
  SizingSchool,
  Wadding,
} from '../../contract/index.ts'
import {
  FAMILIES,
  newLayer,
  USES,
  USUAL_CUTTING,
  usualFoam,
  usualSchool,
  SCHOOL_KINDS,
  USUAL_FIBRE,
} from '../filling/index.ts'
import { DEMO_GRADES } from '../demo/index.ts'

const mm = (min: number, max: number) => fc.integer({ min, max })
const keys = <K extends string>(of: Readonly<Record<K, unknown>>) => fc.constantFrom(...(Object.keys(of) as K[]))

/** Grades as suppliers describe them, more or less fully, some of them nowhere for sale. */
export const anyGrade: fc.Arbitrary<Grade> = fc
  .record({
    family: keys(FAMILIES),
    densityKgM3: mm(15, 150),
    at40N: mm(20, 600),
    supportFactor: fc.option(fc.double({ min: 1.2, max: 4, noNaN: true })),
    thicknessesMm: fc.uniqueArray(fc.constantFrom(10, 25, 30, 50, 75, 100, 150), { minLength: 1, maxLength: 4 }),
    sheets: fc.subarray([
      { lengthMm: 2000, widthMm: 1200 },
      { lengthMm: 2030, widthMm: 1520 },
      { lengthMm: 600, widthMm: 400 },
    ]),
  })
  .map((g) => ({
    ...DEMO_GRADES[0]!,
    ...g,
    id: `grade-${g.family}-${g.at40N}`,
    name: `Grade ${g.family} ${g.at40N}`,
    exposures: [...FAMILIES[g.family].exposures],
  }))

/** Grades of which a density, a force or both may be unknown. */
const anyKnownOrNot: fc.Arbitrary<Grade> = fc
  .tuple(anyGrade, fc.constantFrom('all', 'all', 'no density', 'no force', 'nothing'))
  .map(([grade, known]) => ({
    ...grade,
    id: `${grade.id}-${known}`,
    ...(known === 'no density' || known === 'nothing' ? { densityKgM3: null } : {}),
    ...(known === 'no force' || known === 'nothing' ? { at40N: null, supportFactor: null } : {}),
  }))

const anyLayers: fc.Arbitrary<Layer[]> = fc
  .record({
    grades: fc.array(anyKnownOrNot, { minLength: 1, maxLength: 3 }),
    free: mm(0, 2),
    sizes: fc.tuple(mm(5, 60), mm(5, 60), mm(5, 60)),
  })
  .map(({ grades, free, sizes }) =>
    grades.map((grade, i) => newLayer(grade, i === free % grades.length ? null : sizes[i]!)),
  )

const anySchool: fc.Arbitrary<SizingSchool> = fc
  .constantFrom(...SCHOOL_KINDS)
  .map((kind) => usualSchool(kind, 80).school)

const anyWadding: fc.Arbitrary<Wadding> = fc.record({
  loftMm: mm(1, 60),
  layers: mm(1, 3),
  top: fc.boolean(),
  bottom: fc.boolean(),
  front: fc.boolean(),
  back: fc.boolean(),
  ends: fc.constantFrom('bare', 'covered', 'folded'),
  measured: fc.constant(null),
})

const anyLoad: fc.Arbitrary<Load> = fc
  .record({
    use: keys(USES),
    exposure: fc.constantFrom('indoors', 'sun', 'damp', 'wet'),
    base: fc.constantFrom('board', 'slats', 'webbing', 'mesh'),
    light: mm(15, 250),
    heavy: mm(15, 250),
    reachMm: fc.option(fc.double({ min: 20, max: 600, noNaN: true })),
  })
  .map(({ use, exposure, base, light, heavy, reachMm }) => ({
    use,
    exposure,
    base,
    lightestKg: Math.min(light, heavy),
    heaviestKg: Math.max(light, heavy),
    own: reachMm === null ? {} : { reachMm },
  }))

const stockOf = (gradeId: string): fc.Arbitrary<FoamStock> =>
  fc
    .record({
      lengthMm: mm(200, 2200),
      widthMm: mm(200, 1600),
      thicknessMm: fc.constantFrom(25, 50, 75, 80, 100),
      count: mm(1, 3),
      cut: fc.boolean(),
    })
    .map(({ cut, ...s }) => ({
      id: `${gradeId}-${s.lengthMm}`,
      name: 'Piece',
      kind: 'remnant',
      gradeId,
      ...s,
      cutOuts: cut ? [{ xMm: 0, yMm: 0, lengthMm: s.lengthMm / 3, widthMm: s.widthMm / 3 }] : [],
    }))

/** Fillings of every kind, sound and foolish. */
export const anyFilling: fc.Arbitrary<Filling> = fc.oneof(
  {
    weight: 1,
    arbitrary: fc
      .tuple(anyLoad, mm(150, 900), mm(150, 900), mm(40, 250), fc.option(fc.constant(0.8)))
      .map(([load, flatWidthMm, flatDepthMm, filledMm, massKg]): Filling => ({
        kind: 'insert',
        load,
        boardMm: { now: 0, before: 0 },
        name: 'Pad',
        flatWidthMm,
        flatDepthMm,
        filledMm,
        massKg,
        price: 12,
      })),
  },
  {
    weight: 1,
    arbitrary: anyLoad.map((load): Filling => ({
      kind: 'loose-fibre',
      load,
      boardMm: { now: 9, before: 0 },
      trials: [],
      ...USUAL_FIBRE,
    })),
  },
  {
    weight: 5,
    arbitrary: fc
      .record({ layers: anyLayers, school: anySchool, wadding: fc.option(anyWadding), load: anyLoad })
      .map(({ layers, ...chosen }): Filling => ({ ...usualFoam(layers[0]!.grade), layers, ...chosen })),
  },
)

/** Both, the cover alone, or the filling alone, with the inside of the cover measured or not. */
export const anyWork: fc.Arbitrary<PartWork> = fc.oneof(
  { weight: 3, arbitrary: fc.constant<PartWork>({ kind: 'cover-and-filling' }) },
  fc.constant<PartWork>({ kind: 'cover-only' }),
  fc.constant<PartWork>({ kind: 'filling-only', inside: null, unpicking: '' }),
  fc
    .tuple(mm(200, 2000), mm(200, 900), mm(30, 200))
    .map(([widthMm, depthMm, thicknessMm]): PartWork => ({
      kind: 'filling-only',
      inside: { from: 'laid-flat', widthMm, depthMm, thicknessMm },
      unpicking: '',
    })),
)

/** Any way of cutting a filling, with stock of its first layer's grade. */
export const anyCuttingOf = (filling: Filling): fc.Arbitrary<Cutting> =>
  fc
    .record({
      tool: fc.constantFrom('electric-knife' as const, 'bread-knife' as const, 'hot-wire' as const),
      joint: fc.constantFrom('butt' as const, 'scarf' as const),
      supply: fc.constantFrom('sheets' as const, 'cut-to-size' as const),
      film: fc.constantFrom('none' as const, 'taken-out' as const, 'left-in' as const),
      trimMm: mm(0, 100),
      stock:
        filling.kind === 'foam'
          ? fc.array(stockOf(filling.layers[0]!.grade.id), { maxLength: 2 })
          : fc.constant<FoamStock[]>([]),
    })
    .map((cutting) => ({ ...USUAL_CUTTING, ...cutting }))
