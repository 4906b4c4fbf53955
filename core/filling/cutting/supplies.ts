import type { Wadding } from '../../../contract/index.ts'
import { areaOf, perimeterOf } from '../../outline/index.ts'
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
}

export interface SuppliedBlock {
  readonly letter: string
  readonly count: number
  readonly block: Solid
  readonly gluedMm2: number
  readonly wadding: Wadding | null
}

/** Film laps over itself where it is taped. */
const FILM_LAP = 0.1

export function suppliesFor(
  blocks: readonly SuppliedBlock[],
  cutting: { readonly glueGM2: number; readonly film: boolean },
): Supplies {
  const all = (id: string, label: string, quantity: 'area', of: (b: SuppliedBlock) => number): Expression => {
    const terms = blocks
      .filter((b) => of(b) > 0)
      .map((b) =>
        times(
          given(b.count, 'count', `blocks ${b.letter}`),
          entered({
            id: `${id}.${b.letter}`,
            label: `${label}, block ${b.letter}`,
            quantity,
            value: of(b),
            rule: 'from its outline',
          }),
        ),
      )
    return terms.length === 1 ? terms[0]! : plus(...terms)
  }
  const glued = blocks.some((b) => b.gluedMm2 > 0)
  return {
    glue: glued
      ? figure({
          id: 'filling.glue',
          label: 'Foam glue',
          quantity: 'mass',
          sum: over(
            times(
              given(2, 'count', 'faces'),
              over(
                all('filling.glued', 'Glued area', 'area', (b) => b.gluedMm2),
                unitsIn(1e6, 'mm² in a m²'),
              ),
              given(cutting.glueGM2, 'plain', 'grams for a m² of face'),
            ),
            given(1000, 'plain', 'grams in a kg'),
          ),
          rule: 'both faces; a few minutes to tack',
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
    filmM2: cutting.film
      ? figure({
          id: 'filling.film',
          label: 'Film',
          quantity: 'area',
          sum: times(
            all('filling.filmed', 'Faces of the block', 'area', (b) => surfaceOf(b.block)),
            plus(1, given(FILM_LAP, 'share', 'laps')),
          ),
          rule: 'right round the block',
        })
      : null,
  }
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

const surfaceOf = ({ outline, thickness }: Solid): number =>
  2 * areaOf(outline) + perimeterOf(outline) * thickness.value
