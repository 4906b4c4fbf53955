import { phrase } from '../../language/index.ts'
import type { Cutting, FoamStock, Grade, Use, Wadding } from '../../../contract/index.ts'
import {
  areaOf,
  at,
  boxOf,
  islandsLeftOf,
  moved,
  needOf,
  wholeOf,
  type CutOff,
  type Outline,
  type Point,
} from '../../outline/index.ts'
import type { Solid } from '../../seat/index.ts'
import { nearestStack, stackFor } from '../choice/index.ts'
import type { SettledLayer } from '../model/index.ts'
import { NO_JOINS, planJoins, type Joins, type SheetRoom } from './joins.ts'
import { sheetRoom } from './tools.ts'

/** One flat part of a block: a sheet's thickness of one layer, or what a join leaves of it. */
export interface FoamPart {
  /** `A1`: design A, first part from the board up. */
  readonly id: string
  readonly design: number
  readonly grade: Grade
  readonly thicknessMm: number
  /** What it needs of its sheet, its box at the origin. */
  readonly outline: Outline
  /** One of each for every cushion of the design. */
  readonly count: number
  /** Where its box stands on the block, from the left front corner. */
  readonly onBlock: { readonly x: number; readonly y: number }
  /** Where in the block it lies, in words. */
  readonly where: string
}

/** A sheet's thickness of a block with its joins, from the board up. */
export interface Slice {
  readonly layer: number
  readonly grade: Grade
  readonly thicknessMm: number
  readonly fromMm: number
  readonly joins: Joins
  /** An old body: it lies in the block, and is not cut. */
  readonly stays: boolean
}

export interface BlockParts {
  readonly parts: readonly FoamPart[]
  readonly slices: readonly Slice[]
  /** Layers whose thickness no stack of up to three sheets makes. */
  readonly unmade: readonly { readonly layer: number; readonly wantedMm: number; readonly nearestMm: number }[]
  /** What is glued in one block: between sheets, and at joins. */
  readonly joints: readonly { readonly where: string; readonly areaMm2: number }[]
}

export interface BlockToCut {
  readonly design: number
  readonly letter: string
  readonly count: number
  readonly block: Solid
  readonly layers: readonly SettledLayer[]
  readonly use: Use
  readonly wadding: Wadding | null
  /**
   * Built up of whole sheets of this thickness, as many as reach its height; null: of as few sheets as make each layer.
   */
  readonly sheetMm?: number | null
}

/**
 * Takes a block apart into what comes out of sheets: layers, the sheets of each layer, and the parts that joins make of
 * those.
 */
export function partsOf(block: BlockToCut, cutting: Cutting): BlockParts {
  const slices = slicesOf(block, cutting)
  const multiple = slices.length > 1
  let n = 0
  const parts = slices.flatMap((slice, i) => {
    if (slice.stays) return []
    const outlines = piecesOf(block.block, slice, cutting)
    return outlines.map((outline, k): FoamPart => {
      const box = boxOf(outline)
      const where = [
        multiple
          ? i === 0
            ? 'on the board'
            : i === slices.length - 1
              ? 'on top'
              : phrase`${i + 1} from the board`
          : '',
        outlines.length > 1 ? phrase`part ${k + 1} of ${outlines.length} from the left front` : '',
      ]
        .filter(Boolean)
        .join(', ')
      return {
        id: `${block.letter}${++n}`,
        design: block.design,
        grade: slice.grade,
        thicknessMm: slice.thicknessMm,
        outline: moved(outline, at(-box.minX, -box.minY)),
        count: block.count,
        onBlock: { x: box.minX, y: box.minY },
        where,
      }
    })
  })
  // What came as one body stays as one: nothing is glued between its layers.
  const between = slices
    .slice(1)
    .flatMap((s, i) =>
      s.stays && slices[i]!.stays
        ? []
        : [
            {
              where: phrase`between sheet ${i + 1} and ${i + 2} from the board`,
              areaMm2: areaOf(needOf(block.block.outline, leansOf(block.block), s.fromMm, s.fromMm)),
            },
          ],
    )
  const atJoins = slices.flatMap((s, i) => {
    const areaMm2 =
      (s.joins.across.length * block.block.depth.value + s.joins.deep.length * block.block.width.value) *
      s.thicknessMm *
      (cutting.joint === 'scarf' ? Math.SQRT2 : 1)
    return areaMm2 > 0 ? [{ where: multiple ? phrase`joins of sheet ${i + 1} from the board` : 'joins', areaMm2 }] : []
  })
  return { parts, slices, unmade: unmadeOf(block, cutting), joints: [...between, ...atJoins] }
}

/** Thicknesses that a layer can be built from: sheets sold, and pieces of the same grade in stock. */
const offeredFor = (grade: Grade, { stock }: Cutting): readonly number[] => [
  ...new Set([...grade.thicknessesMm, ...stock.filter((s) => s.gradeId === grade.id).map((s) => s.thicknessMm)]),
]

/** Sheets sold less their trim, and pieces in stock of that grade and thickness. */
const roomsFor = (grade: Grade, thicknessMm: number, cutting: Cutting): readonly SheetRoom[] => [
  ...grade.sheets.map((s) => sheetRoom(s, cutting)),
  ...stockOf(grade, thicknessMm, cutting),
]

/** Pieces of stock that this job may use for one thickness of one grade. */
export const stockOf = (grade: Grade, thicknessMm: number, { stock }: Cutting): readonly FoamStock[] =>
  stock.filter((s) => s.gradeId === grade.id && Math.abs(s.thicknessMm - thicknessMm) < 1)

const leansOf = (block: Solid): readonly number[] => block.edges.map((e) => e.leanRad)

function slicesOf({ block, layers, use, sheetMm = null }: BlockToCut, cutting: Cutting): readonly Slice[] {
  const slices: Slice[] = []
  let fromMm = 0
  layers.forEach(({ grade, thicknessMm: layerMm, stays = false }, layer) => {
    for (const thicknessMm of stays
      ? [layerMm]
      : sheetMm === null
        ? sheetsOf(layerMm, grade, cutting)
        : Array<number>(Math.ceil(layerMm / sheetMm - 1e-9)).fill(sheetMm)) {
      const box = boxOf(needOf(block.outline, leansOf(block), fromMm, fromMm + thicknessMm))
      const need = { width: box.maxX - box.minX, depth: box.maxY - box.minY }
      const joins =
        isOrderedWhole(cutting) || stays
          ? NO_JOINS
          : planJoins(block, need, roomsFor(grade, thicknessMm, cutting), use, slices.at(-1)?.joins ?? NO_JOINS)
      slices.push({ layer, grade, thicknessMm, fromMm, joins, stays })
      fromMm += thicknessMm
    }
  })
  return slices
}

/** Cut to size, a layer comes in one piece: sheets and joins are the supplier's. */
const isOrderedWhole = ({ supply }: Cutting): boolean => supply === 'cut-to-size'

function sheetsOf(layerMm: number, grade: Grade, cutting: Cutting): readonly number[] {
  const made = isOrderedWhole(cutting) ? [] : stackFor(layerMm, offeredFor(grade, cutting))
  return made.length > 0 ? made : [layerMm]
}

const unmadeOf = ({ layers, sheetMm = null }: BlockToCut, cutting: Cutting): BlockParts['unmade'] =>
  (isOrderedWhole(cutting) ? [] : layers).flatMap(({ grade, thicknessMm: layerMm, stays = false }, layer) => {
    if (stays) return []
    const thicknessMm = sheetMm ?? layerMm
    const offered = offeredFor(grade, cutting)
    return stackFor(thicknessMm, offered).length > 0
      ? []
      : [{ layer, wantedMm: thicknessMm, nearestMm: nearestStack(thicknessMm, offered) }]
  })

/**
 * What the joins of a slice leave of it, row by row from the front left; a scarf lies 45° aslant and takes half its
 * thickness more on either side.
 */
function piecesOf(block: Solid, { fromMm, thicknessMm, joins }: Slice, { joint }: Cutting): readonly Outline[] {
  const whole = needOf(block.outline, leansOf(block), fromMm, fromMm + thicknessMm)
  const lap = joint === 'scarf' ? thicknessMm / 2 : 0
  const between = (
    parts: readonly CutOff[],
    low: number | null,
    high: number | null,
    way: Point,
  ): readonly CutOff[] => {
    const start = (mm: number) => at(way.y * mm, way.x * mm)
    const after = low === null ? parts : parts.flatMap((p) => islandsLeftOf(p, start(low - lap), at(way.x, -way.y)))
    return high === null ? after : after.flatMap((p) => islandsLeftOf(p, start(high + lap), at(-way.x, way.y)))
  }
  const rows = strips(joins.deep).map(([front, back]) => between([wholeOf(whole)], front, back, at(1, 0)))
  return rows
    .flatMap((row) => strips(joins.across).flatMap(([left, right]) => between(row, left, right, at(0, 1))))
    .flatMap(({ outline }) => (areaOf(outline) < 1 ? [] : [outline]))
}

const strips = (cuts: readonly number[]): readonly (readonly [number | null, number | null])[] => [
  ...cuts.map((c, i) => [i === 0 ? null : cuts[i - 1]!, c] as const),
  [cuts.at(-1) ?? null, null] as const,
]
