import { NARROW_MM, type Rescue } from '../../../core/what-if/index.ts'
import { formatLengthWithUnit, type LengthUnit } from '../../../core/units/index.ts'

/** What is given up, in words. */
export function rescueWords(rescue: readonly Rescue[], hiddenCloth: string, unit: LengthUnit): string {
  const one = (r: Rescue): string => {
    switch (r) {
      case 'as-it-is':
        return 'as it is'
      case 'narrow-allowance':
        return `seam allowance ${formatLengthWithUnit(NARROW_MM, unit)}, zigzagged`
      case 'hidden-in-another':
        return `bottom, piping and linings in ${hiddenCloth}`
      case 'pieced-boxing':
        return 'boxing and gusset joined in the middle'
      case 'joined-bottom':
        return 'bottom plates joined in the middle'
      case 'joined-top-sides':
        return 'top plates with a narrow strip at either side'
      case 'joined-top-middle':
        return 'top plates joined in the middle'
      default:
        return r satisfies never
    }
  }
  return rescue.map(one).join('; ')
}
