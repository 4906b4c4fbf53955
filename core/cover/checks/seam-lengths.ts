import { phrase } from '../../language/index.ts'
import { formatLengthWithUnit, type LengthUnit } from '../../units/index.ts'
import type { Cover } from '../cover.ts'
import { stretchLength } from '../seam.ts'

/** Two sides of a seam may differ by 1 mm and 0.2 % of its length. */
export const seamTolerance = (lengthMm: number): number => 1 + 0.002 * lengthMm

/** Check: both sides of every seam are as long as each other. What is wrong, in words; empty where it is right. */
export function seamLengthsAgree(cover: Cover, unit: LengthUnit = 'mm'): readonly string[] {
  const say = (mm: number) => formatLengthWithUnit(mm, unit)
  return cover.seams.flatMap((seam) =>
    seam.pairs.flatMap(({ a, b }) => {
      const [la, lb] = [stretchLength(a), stretchLength(b)]
      return Math.abs(la - lb) <= seamTolerance(Math.max(la, lb))
        ? []
        : [
            phrase`seam ${seam.letter}, ${seam.name}: ${say(la)} of ${a.panel} ${a.edge} meet ${say(lb)} of ${b.panel} ${b.edge}`,
          ]
    }),
  )
}
