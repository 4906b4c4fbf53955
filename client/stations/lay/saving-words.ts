import { phrase } from '../../../core/language/index.ts'
import { formatLengthWithUnit, type LengthUnit } from '../../../core/units/index.ts'
import type { Saved } from '../../../core/what-if/index.ts'
import { rescueWords } from './rescue-words.ts'

/** A change that may shorten the lay, in words. */
export function savingWords({ saving, widthMm }: Saved, hiddenCloth: string, unit: LengthUnit): string {
  switch (saving) {
    case 'unmatched':
      return 'The pattern not matched'
    case 'folded':
      return 'The cloth folded, two cut at once'
    case 'wider-cloth':
      return phrase`The same cloth ${formatLengthWithUnit(widthMm, unit)} wide, at the price of its area`
    default:
      return rescueWords([saving], hiddenCloth, unit)
  }
}
