import { phrase } from '../../../core/language/index.ts'
import { NARROW_MM, type Attempt, type Rescue } from '../../../core/what-if/index.ts'
import { formatLengthWithUnit, type LengthUnit } from '../../../core/units/index.ts'

/** What is done otherwise, in words. */
export function rescueWords(rescue: readonly Rescue[], hiddenCloth: string, unit: LengthUnit): string {
  const one = (r: Rescue): string => {
    switch (r) {
      case 'as-it-is':
        return 'as it is'
      case 'other-direction':
        return 'the cloth turned the other way'
      case 'strips-to-the-lay':
        return 'piping in strips as the lay has room for them'
      case 'narrow-allowance':
        return phrase`seam allowance ${formatLengthWithUnit(NARROW_MM, unit)}, zigzagged`
      case 'hidden-in-another':
        return phrase`bottom, piping and linings in ${hiddenCloth}`
      case 'boxing-in-another':
        return phrase`boxing in ${hiddenCloth}`
      case 'joined-wide':
        return 'what is wider than the cloth joined'
      case 'joined-boxing':
        return 'boxing and gusset joined in the middle'
      case 'joined-bottom':
        return 'bottom plates joined in the middle'
      case 'joined-wrap':
        return 'the wrap joined where it shows least'
      case 'joined-top-sides':
        return 'top plates with a narrow strip at either side'
      case 'joined-top-middle':
        return 'top plates joined in the middle'
      default:
        return r satisfies never
    }
  }
  const says = rescue.map(one).join('; ')
  return says.charAt(0).toUpperCase() + says.slice(1)
}

/** Pieces that find no place, by what they are. */
export function missingWords({ missing }: Attempt): string {
  const counts = new Map<string, number>()
  for (const name of missing) counts.set(name.toLowerCase(), (counts.get(name.toLowerCase()) ?? 0) + 1)
  return [...counts].map(([part, n]) => phrase`${n} ${part}`).join(', ')
}
