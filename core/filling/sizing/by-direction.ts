import { phrase } from '../../language/index.ts'
import type { SizingSchool } from '../../../contract/index.ts'
import type { CushionSize } from '../../seat/index.ts'
import type { Raised } from '../../warning/index.ts'
import type { FillingWarning } from '../warning.ts'
import { figure, minus, over, type Figure } from '../../working/index.ts'
import type { FitCause } from './fit-causes.ts'
import type { Sizing } from './by-school.ts'

export type Direction = 'width' | 'depth' | 'thickness'

/** What a cover finishes at one way, and how much larger (+) or smaller (−) that is than something. */
export interface Difference {
  readonly by: Figure
  readonly share: Figure
}

export interface DirectionFit {
  readonly way: Direction
  readonly finished: Figure
  readonly overFilling: Difference
  readonly overSeat: Difference
  readonly causes: readonly FitCause[]
}

/** What of the school and the make-up bears on it, beside the sizes. */
export interface DirectionRules {
  readonly seat: CushionSize
  readonly school: SizingSchool
  readonly isWadded: boolean
  /** The block, or the cover, is there already: its size is nobody's choice. */
  readonly isThere?: boolean
  /** A border drawn to the thickness takes its bottom seam out of it. */
  readonly borderLost: Figure | null
}

/**
 * Width, depth and thickness each: the same millimetres are little along the length and much of the thickness, so each
 * way is judged by itself.
 */
export function fitByDirection({ wrapped, cover }: Sizing, rules: DirectionRules): readonly DirectionFit[] {
  return (['width', 'depth', 'thickness'] as const).map((way) => {
    const finished =
      way === 'thickness' && rules.borderLost
        ? figure({
            id: 'fit.thickness',
            label: 'Thickness, finished',
            quantity: 'length',
            line: 'net',
            sum: minus(cover.thickness, rules.borderLost),
            rule: 'the border is drawn to the thickness: its bottom seam comes out of it',
          })
        : cover[way]
    const against = (what: string, of: Figure): Difference => {
      const by = figure({
        id: `fit.${way}.${what}`,
        label: phrase`${way} against the ${what}`,
        quantity: 'length',
        sum: minus(finished, of),
        rule: 'finished, less that',
      })
      return {
        by,
        share: figure({
          id: `fit.${way}.${what}Share`,
          label: phrase`${way} against the ${what}, as a share`,
          quantity: 'share',
          sum: over(by, of),
          rule: 'of that',
        }),
      }
    }
    const [overFilling, overSeat] = [against('filling', wrapped[way]), against('seat', rules.seat[way])]
    const isAsAll = Math.max(Math.abs(overFilling.by.value), Math.abs(overSeat.by.value)) < SAME_MM
    return { way, finished, overFilling, overSeat, causes: isAsAll ? [] : causesOf(way, rules) }
  })
}

/** Sizes nearer to each other than this are shown as one. */
const SAME_MM = 0.05

function causesOf(
  way: Direction,
  { school, isWadded, borderLost, isThere = false }: DirectionRules,
): readonly FitCause[] {
  const causes: FitCause[] = isThere ? ['as-it-is'] : []
  if (school.kind === 'full-block') causes.push(way === 'thickness' ? 'extra-thickness' : 'oversize')
  if (school.kind === 'snug-cover') causes.push('allowance-left-out')
  if (school.kind === 'into-cover') causes.push('squeeze-asked')
  if (school.kind === 'thinner-block' && way === 'thickness') causes.push('thinner-block')
  if (isWadded) causes.push(school.kind === 'wrap-then-measure' ? 'cut-to-wrapped' : 'wadding')
  if (borderLost && way === 'thickness') causes.push('border-drawn')
  return causes
}

/**
 * Squeezed by more than this a filling cups or the cover will not close: a rule of the trade; a drawn border of 12 on
 * 100 is usual.
 */
const MOST_SQUEEZED = { width: 0.06, depth: 0.06, thickness: 0.125 } as const

/** Ways in which the cover takes too much of its filling. */
export function directionWarnings(fits: readonly DirectionFit[]): readonly Raised<FillingWarning>[] {
  return fits.flatMap(({ way, overFilling: { by, share }, causes }): Raised<FillingWarning>[] =>
    -share.value > MOST_SQUEEZED[way] + 1e-9
      ? [
          {
            station: 'filling',
            level: 'warning',
            code: 'squeezed-much',
            way,
            by: -by.value,
            share: -share.value,
            causes,
          },
        ]
      : [],
  )
}
