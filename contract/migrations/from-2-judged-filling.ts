import type { Document } from './document.ts'
import { migrateGrade } from './grade.ts'

/** Version 2 knew one grade; nobody had said what the seat carries. */
export const withJudgedFilling = (document: Document): Document => ({
  ...document,
  version: 3,
  filling: judgedFilling(document['filling'], document),
})

const LOAD = { use: 'bench', exposure: 'indoors', base: 'board', lightestKg: 50, heaviestKg: 100, own: {} }
const CUTTING = {
  tool: 'electric-knife',
  trimMm: 10,
  joint: 'butt',
  supply: 'sheets',
  glueGM2: 90,
  film: false,
  stock: [],
  nest: null,
}
const WRAP = { top: true, bottom: true, front: true, back: true, ends: 'bare', layers: 1, measured: null }

/** Version 2 knew one grade and wadding as a part of two schools; nobody had said what the seat carries. */
function judgedFilling(filling: unknown, { seat }: Document): unknown {
  if (typeof filling !== 'object' || filling === null) return filling
  const { grade, school, ...unknown } = filling as Document
  const exposure =
    typeof seat === 'object' && seat !== null && JSON.stringify(seat).includes('"hull"') ? 'damp' : 'indoors'
  return {
    ...unknown,
    kind: 'foam',
    load: { ...LOAD, exposure },
    boardMm: { now: 0, before: 0 },
    layers: [{ grade: migrateGrade(grade), thicknessMm: null }],
    limits: null,
    ...parted(school),
    cutting: CUTTING,
    test: null,
    old: null,
  }
}

/** The wadding of a version 2 school, apart from the school. */
function parted(school: unknown): Document {
  if (typeof school !== 'object' || school === null) return { school, wadding: null }
  const { loftMm, layers, ends, measured, ...bare } = school as Document
  if (bare['kind'] === 'wrap-then-measure')
    return { school: bare, wadding: { ...WRAP, loftMm, layers, ends: ends === true ? 'covered' : 'bare', measured } }
  return bare['kind'] === 'thinner-block' ? { school: bare, wadding: { ...WRAP, loftMm } } : { school, wadding: null }
}
