import type { Cutting, FoamStock, Grade, LayPiece, LayProblem } from '../../../contract/index.ts'
import { flatten } from '../../outline/index.ts'
import { textKey } from '../../text-key/index.ts'
import { fillsItsBox } from '../box.ts'
import { stockOf, type FoamPart } from './parts.ts'
import type { SheetRoom } from './joins.ts'
import { planRows, type RowPlan } from './rows.ts'
import { KERF_MM, sheetRoom } from './tools.ts'

/** All parts of a job that come out of one thickness of one grade. */
export interface FoamGroup {
  readonly id: string
  readonly grade: Grade
  readonly thicknessMm: number
  readonly parts: readonly FoamPart[]
  readonly stock: readonly FoamStock[]
  /** The cheapest sheet with the parts in straight rows; null when the grade is not for sale. */
  readonly rows: RowPlan | null
}

/** Parts that are cut from the same grade and thickness, together: each group is nested and bought by itself. */
export function groupParts(parts: readonly FoamPart[], cutting: Cutting): readonly FoamGroup[] {
  const groups = new Map<string, FoamPart[]>()
  for (const part of parts) {
    const id = `${part.grade.id}/${Number(part.thicknessMm.toFixed(1))}`
    groups.set(id, [...(groups.get(id) ?? []), part])
  }
  return [...groups].map(([id, own]) => {
    const { grade, thicknessMm } = own[0]!
    return {
      id,
      grade,
      thicknessMm,
      parts: own,
      stock: stockOf(grade, thicknessMm, cutting),
      rows: planRows(own, grade, thicknessMm, cutting),
    }
  })
}

/** The parts of a group on so many equal sheets of one size, trim off and a kerf between them. */
export const sheetProblem = (
  group: FoamGroup,
  sheet: Grade['sheets'][number],
  pieces: readonly LayPiece[],
  cutting: Cutting,
): LayProblem =>
  problemOn(
    {
      ...sheetRoom(sheet, cutting),
      count: Math.min(
        1000,
        pieces.reduce((sum, p) => sum + p.qty, 0),
      ),
    },
    [],
    pieces,
    cutting,
  )

/** The same on one piece of stock, its cut-outs left alone. */
export const stockProblem = (stock: FoamStock, pieces: readonly LayPiece[], cutting: Cutting): LayProblem =>
  problemOn(
    { widthMm: stock.widthMm, lengthMm: stock.lengthMm, count: 1 },
    stock.cutOuts.map((c) => [c.yMm, c.xMm, c.widthMm, c.lengthMm]),
    pieces,
    cutting,
  )

/**
 * Foam has no grain: every quarter turn will do, and a part may be turned over, which cuts it mirrored.
 * The roll's x is a sheet's width here, its y the length.
 */
export const layPieces = (parts: readonly FoamPart[]): readonly LayPiece[] =>
  parts.map(({ id, count, outline }) => {
    const isBox = fillsItsBox(outline)
    return {
      id,
      qty: count,
      outline: flatten(outline, ARC_MM).map((p): [number, number] => [p.x, p.y]),
      turns: isBox ? [0, 90] : [0, 90, 180, 270],
      flip: !isBox,
      match: null,
    }
  })

/** Tells whether a kept nest still belongs to these parts, sheets and stock. */
export const nestKey = (groups: readonly FoamGroup[], cutting: Cutting): string =>
  textKey(
    JSON.stringify([
      cutting.tool,
      cutting.trimMm,
      groups.map((g) => [g.id, g.grade.sheets, g.stock, layPieces(g.parts)]),
    ]),
  )

/** As near to an arc as a knife goes. */
const ARC_MM = 0.3

const problemOn = (
  { widthMm, lengthMm, count }: SheetRoom & { readonly count: number },
  flaws: readonly [number, number, number, number][],
  pieces: readonly LayPiece[],
  { tool }: Cutting,
): LayProblem => ({
  format: 'loft-seam/lay-problem',
  version: 1,
  cloth: {
    width: widthMm,
    length: lengthMm,
    count,
    selvedge: [0, 0],
    repeat: { across: null, along: null },
    flaws: [...flaws],
  },
  gap: KERF_MM[tool],
  groups: {},
  pieces: [...pieces],
})
