import { phrase } from '../../core/language/index.ts'
import { formatLengthWithUnit, isInch, type LengthUnit } from '../../core/units/index.ts'

/** A ruled edge: where its marks stand and how long they are, in pixels, and how far apart they are in words. */
export interface Ruled {
  readonly marks: readonly { readonly at: number; readonly long: number }[]
  readonly says: string
}

const MM = [1, 2, 5, 10, 20, 50, 100] as const
const EIGHTHS = [1, 2, 4, 8, 16, 32] as const
const EIGHTH_MM = 25.4 / 8
const NEAREST_PX = 6
const [SHORT, LONG] = [5, 10]

/**
 * The finest marks that can still be told apart on an edge of so many pixels, of so many to the mm; each fifth (of inches
 * each fourth) is longer.
 */
export function ruledOf(sidePx: number, pxPerMm: number, units: LengthUnit): Ruled {
  const inches = isInch(units)
  const unitMm = inches ? EIGHTH_MM : 1
  const steps = inches ? EIGHTHS : MM
  const step = steps.find((s) => s * unitMm * pxPerMm >= NEAREST_PX) ?? steps.at(-1)!
  const each = step * unitMm * pxPerMm
  const longer = inches ? 4 : 5
  return {
    marks: Array.from({ length: Math.floor(sidePx / each) + 1 }, (_, i) => ({
      at: i * each,
      long: i % longer === 0 ? LONG : SHORT,
    })),
    says: phrase`${formatLengthWithUnit(step * unitMm, units)} apart`,
  }
}
