import { phrase } from '../../language/index.ts'
import type { Cutting, Wadding } from '../../../contract/index.ts'
import { areaOf } from '../../outline/index.ts'
import type { Solid } from '../../seat/index.ts'
import {
  entered,
  figure,
  given,
  over,
  plus,
  times,
  type Expression,
  unitsIn,
  type Figure,
} from '../../working/index.ts'

/** Glue, wadding and film for all blocks of a job. */
export interface Supplies {
  readonly glue: Figure | null
  readonly waddingM2: Figure | null
  readonly filmM2: Figure | null
  /** Wadding and film as they are cut from the roll. */
  readonly pieces: readonly SupplyPiece[]
  /** Glued joints of one block each. */
  readonly joints: readonly GlueJoint[]
}

export interface SupplyPiece {
  readonly what: 'wadding' | 'film'
  readonly where: string
  readonly count: number
  readonly lengthMm: number
  readonly widthMm: number
}

export interface GlueJoint {
  readonly letter: string
  readonly where: string
  readonly areaMm2: number
}

export interface SuppliedBlock {
  readonly letter: string
  readonly count: number
  readonly block: Solid
  readonly joints: readonly { readonly where: string; readonly areaMm2: number }[]
  readonly wadding: Wadding | null
}

/** Film laps over itself where it is taped, and at both ends over half the thickness. */
const FILM_LAP_MM = 50

/** Glue, wadding and film that blocks take, and where each goes. */
export function suppliesFor(
  blocks: readonly SuppliedBlock[],
  cutting: Pick<Cutting, 'glueGM2' | 'glueFaces' | 'glueCoats' | 'film'>,
): Supplies {
  const all = (id: string, label: string, quantity: 'area', of: (b: SuppliedBlock) => number): Expression => {
    const terms = blocks
      .filter((b) => of(b) > 0)
      .map((b) =>
        times(
          given(b.count, 'count', phrase`blocks ${b.letter}`),
          entered({
            id: `${id}.${b.letter}`,
            label: phrase`${label}, block ${b.letter}`,
            quantity,
            value: of(b),
            rule: 'from its outline',
          }),
        ),
      )
    return terms.length === 1 ? terms[0]! : plus(...terms)
  }
  const gluedMm2 = (b: SuppliedBlock) => b.joints.reduce((sum, j) => sum + j.areaMm2, 0)
  const glued = blocks.some((b) => gluedMm2(b) > 0)
  const isFilmed = cutting.film !== 'none'
  return {
    glue: glued
      ? figure({
          id: 'filling.glue',
          label: 'Foam glue',
          quantity: 'mass',
          sum: over(
            times(
              given(cutting.glueFaces, 'count', cutting.glueFaces === 1 ? 'face' : 'faces'),
              over(all('filling.glued', 'Glued area', 'area', gluedMm2), unitsIn(1e6, 'mm² in a m²')),
              given(cutting.glueGM2, 'plain', 'grams for a m² of face'),
              ...(cutting.glueCoats === 1 ? [] : [given(cutting.glueCoats, 'count', 'coats')]),
            ),
            given(1000, 'plain', 'grams in a kg'),
          ),
          rule: phrase`${cutting.glueFaces === 1 ? 'one face' : 'both faces'}${cutting.glueCoats === 1 ? '' : ', two coats'}; a few minutes to tack`,
          change: 'filling.glue',
        })
      : null,
    waddingM2: blocks.some((b) => b.wadding)
      ? figure({
          id: 'filling.waddingArea',
          label: 'Wadding',
          quantity: 'area',
          sum: all('filling.wrap', 'Wrapped faces', 'area', ({ block, wadding }) =>
            wadding ? wadding.layers * wrappedArea(block, wadding) : 0,
          ),
          rule: 'faces that are wrapped, once for each layer; folded ends lie double',
          change: 'filling.wadding',
        })
      : null,
    filmM2: isFilmed
      ? figure({
          id: 'filling.film',
          label: 'Film',
          quantity: 'area',
          sum: all('filling.filmed', 'Piece of film', 'area', (b) => {
            const { lengthMm, widthMm } = filmPiece(b.block)
            return lengthMm * widthMm
          }),
          rule: 'girth and a lap, by the length and at both ends half the thickness and a lap',
        })
      : null,
    pieces: blocks.flatMap((b) => [
      ...(b.wadding ? waddingPieces(b, b.wadding) : []),
      ...(isFilmed
        ? [{ what: 'film', where: phrase`round block ${b.letter}`, count: b.count, ...filmPiece(b.block) } as const]
        : []),
    ]),
    joints: blocks.flatMap((b) => b.joints.map((j) => ({ letter: b.letter, ...j }))),
  }
}

/** One sheet of film, rolled round the block and closed at its ends. */
const filmPiece = ({ width, depth, thickness }: Solid): Pick<SupplyPiece, 'lengthMm' | 'widthMm'> => {
  const [long, short] = [Math.max(width.value, depth.value), Math.min(width.value, depth.value)]
  return {
    lengthMm: long + 2 * (thickness.value / 2 + FILM_LAP_MM),
    widthMm: 2 * (short + thickness.value) + FILM_LAP_MM,
  }
}

/** The strip round front to back, and the ends. */
function waddingPieces({ letter, count, block }: SuppliedBlock, wadding: Wadding): readonly SupplyPiece[] {
  const strip = wrapStrip(block, wadding)
  const ends = { bare: 0, covered: 1, folded: 2 }[wadding.ends]
  const piece = (where: string, each: number, size: Pick<SupplyPiece, 'lengthMm' | 'widthMm'>): SupplyPiece => ({
    what: 'wadding',
    where: phrase`${where} of block ${letter}`,
    count: each * count * wadding.layers,
    ...size,
  })
  return [
    ...(strip.lengthMm > 0 ? [piece('round', 1, strip)] : []),
    ...(ends > 0 ? [piece('ends', 2 * ends, { lengthMm: block.depth.value, widthMm: block.thickness.value })] : []),
  ]
}

/** The strip that goes round front to back, as it is cut from the roll of wadding. */
export function wrapStrip(
  block: Solid,
  { top, bottom, front, back }: Wadding,
): { readonly widthMm: number; readonly lengthMm: number } {
  const { width, depth, thickness } = block
  return {
    widthMm: width.value,
    lengthMm: (Number(top) + Number(bottom)) * depth.value + (Number(front) + Number(back)) * thickness.value,
  }
}

function wrappedArea(block: Solid, { top, bottom, front, back, ends }: Wadding): number {
  const { outline, width, depth, thickness } = block
  return (
    (Number(top) + Number(bottom)) * areaOf(outline) +
    (Number(front) + Number(back)) * width.value * thickness.value +
    { bare: 0, covered: 2, folded: 4 }[ends] * depth.value * thickness.value
  )
}
