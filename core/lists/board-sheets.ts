import { phrase } from '../language/index.ts'
import type { Grade, Job } from '../../contract/index.ts'
import { planRows, USUAL_CUTTING, type FoamPart, type RowPlan } from '../filling/index.ts'
import { staysThere, type DesignPlan } from '../planned/index.ts'
import { formatLength, formatLengthWithUnit, unitName } from '../units/index.ts'
import { entered, type Figure } from '../working/index.ts'

/** Sheet goods of one thickness, with where the boards lie on them. */
export interface BoardSheets {
  readonly what: string
  readonly sheets: Figure
  /** Null where a board is larger than a sheet. */
  readonly rows: RowPlan | null
}

/** As plywood is sold; the half sheet is cheaper where it is enough. */
const SHEETS = [
  { lengthMm: 2440, widthMm: 1220 },
  { lengthMm: 1220, widthMm: 1220 },
]

/** Boards of a ticket on sheets, by thickness, in straight rows as foam is; a board that stays is not sawn. */
export function boardSheets({ units }: Pick<Job, 'units'>, designs: readonly DesignPlan[]): readonly BoardSheets[] {
  const boards = designs.flatMap((d) =>
    d.cover.board && !staysThere(d.part, 'board') ? [{ d, board: d.cover.board }] : [],
  )
  const thicknesses = [...new Set(boards.map((b) => b.board.thicknessMm))]
  return thicknesses.map((thicknessMm): BoardSheets => {
    const grade = plywood(thicknessMm)
    const parts = boards
      .filter((b) => b.board.thicknessMm === thicknessMm)
      .map(({ d, board }, i): FoamPart => ({
        id: `Board ${d.design.id}`,
        design: i,
        grade,
        thicknessMm,
        outline: board.outline,
        count: d.design.count,
        onBlock: { x: 0, y: 0 },
        where: '',
      }))
    const rows = planRows(parts, grade, thicknessMm, SAWN)
    const fits = rows !== null && rows.perSheet.value > 0
    const say = (mm: number) => formatLength(mm, units)
    return {
      what: fits
        ? phrase`Board ${formatLengthWithUnit(thicknessMm, units)}, sheets ${say(rows.sheet.lengthMm)} x ${say(rows.sheet.widthMm)} ${unitName(units)}`
        : phrase`Board ${formatLengthWithUnit(thicknessMm, units)}, larger than any sheet: joined, or ordered to size`,
      sheets: fits
        ? { ...rows.sheets, id: `buy.board.${thicknessMm}`, label: 'Sheets of board' }
        : entered({
            id: `buy.board.${thicknessMm}`,
            label: 'Boards',
            quantity: 'count',
            value: parts.reduce((sum, p) => sum + p.count, 0),
            rule: 'ordered to size',
          }),
      rows: fits ? rows : null,
    }
  })
}

/** A saw takes as much as a bread knife, and sheets come with true edges. */
const SAWN = { ...USUAL_CUTTING, tool: 'bread-knife', trimMm: 0 } as const

/** Sheet goods as the planner of rows knows a grade; by the area where sheets differ. */
const plywood = (thicknessMm: number): Grade => ({
  id: `board-${thicknessMm}`,
  name: 'Board',
  said: '',
  family: 'closed-cell',
  densityKgM3: null,
  at25N: null,
  at40N: null,
  at65N: null,
  supportFactor: null,
  exposures: ['indoors'],
  combustionModified: false,
  ageing: null,
  sheets: [...SHEETS],
  thicknessesMm: [thicknessMm],
  pricePerM3: 1,
})
