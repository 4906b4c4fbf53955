import { phrase } from '../../language/index.ts'
import type { Cutting, Grade } from '../../../contract/index.ts'
import { boxOf } from '../../outline/index.ts'
import {
  entered,
  evaluate,
  figure,
  given,
  minus,
  over,
  plus,
  roundDown,
  roundUp,
  times,
  type Expression,
  unitsIn,
  type Figure,
} from '../../working/index.ts'
import type { FoamPart } from './parts.ts'
import { KERF_MM, sheetRoom } from './tools.ts'

/** Parts in straight rows on equal sheets: known at once, and what a nest must better. */
export interface RowPlan {
  readonly sheet: Grade['sheets'][number]
  /** Parts cut from one sheet (the first, where they differ); nought when a part is larger than the sheet. */
  readonly perSheet: Figure
  readonly sheets: Figure
  readonly cost: Figure
  /**
   * Where parts lie: rows from a corner of each sheet, inside the trim, a kerf between them. Empty where one is too
   * large.
   */
  readonly places: readonly RowPlace[]
}

/** A part on a sheet, by its box; `turned` by a quarter. */
export interface RowPlace {
  readonly part: string
  /** Counted from 0. */
  readonly sheet: number
  readonly x: number
  readonly y: number
  readonly width: number
  readonly height: number
  readonly turned: boolean
}

/** The cheapest of the grade's sheet sizes for some parts of one thickness; null when the grade is not for sale. */
export function planRows(
  parts: readonly FoamPart[],
  grade: Grade,
  thicknessMm: number,
  cutting: Cutting,
): RowPlan | null {
  const boxes = parts.map((part) => boxNeeded(part))
  const plans = grade.sheets.flatMap((sheet) =>
    [false, true].map((turned) =>
      boxes.length === 1
        ? equalParts(boxes[0]!, { grade, sheet, thicknessMm, turned, cutting })
        : mixedParts(boxes, { grade, sheet, thicknessMm, turned, cutting }),
    ),
  )
  const possible = plans.filter((p) => p.perSheet.value > 0)
  const among = possible.length > 0 ? possible : plans
  return among.length === 0 ? null : among.reduce((best, p) => (p.cost.value < best.cost.value - 1e-6 ? p : best))
}

/** What whole sheets of a grade cost. */
export function sheetCost(sheets: Figure, grade: Grade, sheet: Grade['sheets'][number], thicknessMm: number): Figure {
  return figure({
    id: `${sheets.id}.cost`,
    label: 'Foam cost',
    quantity: 'money',
    sum: times(
      sheets,
      over(
        times(
          given(sheet.lengthMm, 'length', 'sheet length'),
          given(sheet.widthMm, 'length', 'sheet width'),
          given(thicknessMm, 'length', 'sheet thickness'),
        ),
        unitsIn(1e9, 'mm³ in a m³'),
      ),
      given(grade.pricePerM3, 'volume-price', 'price of the foam'),
    ),
    rule: 'sheets bought whole',
    setBy: 'catalogue',
    change: 'filling.layers',
  })
}

interface PartBox {
  readonly part: string
  readonly width: Figure
  readonly depth: Figure
  readonly count: number
}

interface OnSheets {
  readonly grade: Grade
  readonly sheet: Grade['sheets'][number]
  readonly thicknessMm: number
  readonly turned: boolean
  readonly cutting: Cutting
}

function boxNeeded({ id, outline, count }: FoamPart): PartBox {
  const { maxX, maxY } = boxOf(outline)
  const side = (name: 'width' | 'depth', value: number) =>
    entered({
      id: `part.${id}.${name}`,
      label: phrase`Part ${id} ${name}`,
      quantity: 'length',
      line: 'cut',
      value,
      rule: 'over all, leaning sides and joins counted in',
    })
  return { part: id, width: side('width', maxX), depth: side('depth', maxY), count }
}

function equalParts({ count, part, ...box }: PartBox, on: OnSheets): RowPlan {
  const { sheet, turned, cutting } = on
  const [alongPart, acrossPart] = turned ? [box.depth, box.width] : [box.width, box.depth]
  const kerfMm = KERF_MM[cutting.tool]
  const kerf = given(kerfMm, 'length', 'knife kerf')
  const rows = (side: number, name: string, of: Figure) =>
    roundDown(
      over(
        plus(minus(given(side, 'length', name), times(2, given(cutting.trimMm, 'length', 'trim'))), kerf),
        plus(of, kerf),
      ),
      1,
      'count',
    )
  const along = rows(sheet.lengthMm, 'sheet length', alongPart)
  const perSheet = figure({
    id: 'filling.perSheet',
    label: 'Parts from one sheet',
    quantity: 'count',
    sum: times(along, rows(sheet.widthMm, 'sheet width', acrossPart)),
    rule: phrase`straight rows${turned ? ', parts turned' : ''}; nesting may do better`,
  })
  const sum = roundUp(
    over(given(count, 'count', 'parts'), perSheet.value > 0 ? perSheet : given(1, 'count', 'part from a sheet')),
    1,
    'count',
  )
  const perRow = evaluate(along)
  const [width, height] = [alongPart.value, acrossPart.value]
  const onSheet = perSheet.value
  const places = Array.from({ length: onSheet > 0 ? count : 0 }, (_, n): RowPlace => {
    const i = n % onSheet
    return {
      part,
      sheet: Math.floor(n / onSheet),
      x: cutting.trimMm + (i % perRow) * (width + kerfMm),
      y: cutting.trimMm + Math.floor(i / perRow) * (height + kerfMm),
      width,
      height,
      turned,
    }
  })
  return { sheet, perSheet, places, ...bought(sum, on) }
}

/** Parts of several shapes in rows, tallest first; each goes into the first row and sheet with room. */
function mixedParts(batches: readonly PartBox[], on: OnSheets): RowPlan {
  const { sheet, turned, cutting } = on
  const kerfMm = KERF_MM[cutting.tool]
  const boxes = batches.flatMap(({ part, width, depth, count }) =>
    Array.from({ length: count }, () => ({
      part,
      width: turned ? depth.value : width.value,
      height: turned ? width.value : depth.value,
    })),
  )
  const { lengthMm: length, widthMm: across } = sheetRoom(sheet, cutting)
  const isTooLarge = boxes.some((b) => b.width > length || b.height > across)
  const sheets: { rows: { y: number; height: number; used: number }[]; filled: number }[] = []
  const places: RowPlace[] = []
  for (const box of boxes.toSorted((a, b) => b.height - a.height)) {
    let at = sheets.findIndex(
      (s) =>
        s.rows.some((r) => r.used + box.width <= length && box.height <= r.height) || s.filled + box.height <= across,
    )
    if (at < 0) at = sheets.push({ rows: [], filled: 0 }) - 1
    const onto = sheets[at]!
    let row = onto.rows.find((r) => r.used + box.width <= length && box.height <= r.height)
    if (!row) {
      row = { y: onto.filled, height: box.height, used: 0 }
      onto.rows.push(row)
      onto.filled += box.height + kerfMm
    }
    places.push({
      part: box.part,
      sheet: at,
      x: cutting.trimMm + row.used,
      y: cutting.trimMm + row.y,
      width: box.width,
      height: box.height,
      turned,
    })
    row.used += box.width + kerfMm
  }
  const perSheet = entered({
    id: 'filling.perSheet',
    label: 'Parts from the first sheet',
    quantity: 'count',
    value: isTooLarge ? 0 : places.filter((p) => p.sheet === 0).length,
    rule: 'rows, tallest parts first; nesting may do better',
  })
  return {
    sheet,
    perSheet,
    places: isTooLarge ? [] : places,
    ...bought(given(sheets.length, 'count', 'sheets filled'), on),
  }
}

function bought(sum: Expression, { grade, sheet, thicknessMm }: OnSheets): Pick<RowPlan, 'sheets' | 'cost'> {
  const sheets = figure({
    id: `filling.sheets.${grade.id}.${thicknessMm}`,
    label: phrase`Sheets of ${grade.name}`,
    quantity: 'count',
    sum,
    rule: 'whole sheets, parts in straight rows',
  })
  return { sheets, cost: sheetCost(sheets, grade, sheet, thicknessMm) }
}
