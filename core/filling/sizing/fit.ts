import type { Firmness } from '../firmness.ts'
import type { Sizing } from './by-school.ts'
import type { Raised } from '../../warning/index.ts'
import type { FillingWarning } from '../warning.ts'
import { figure, minus, over, plus, times, type Figure } from '../../working/index.ts'
import type { CushionSize } from '../../seat/index.ts'

export type FitVerdict = 'loose' | 'easy' | 'snug' | 'tight' | 'too tight'

export interface Fit {
  readonly across: Figure
  readonly frontToBack: Figure
  readonly verdict: { readonly across: FitVerdict; readonly frontToBack: FitVerdict }
}

/**
 * How the cover squeezes its filling, as girth of the filling over girth of the cover, each way. The windows move by
 * what the shop has learnt.
 */
export function fitOf(
  sizing: Sizing,
  firmness: Firmness | null,
  shiftShare = 0,
  borderLost: Figure | null = null,
): Fit {
  const share = (way: 'width' | 'depth', id: string, label: string) =>
    figure({
      id,
      label,
      quantity: 'share',
      sum: minus(
        over(
          girth(sizing.wrapped, way),
          borderLost ? minus(girth(sizing.cover, way), times(2, borderLost)) : girth(sizing.cover, way),
        ),
        1,
      ),
      rule: 'girth of the filling over girth of the cover, less 1',
    })
  const across = share('width', 'fit.across', 'Fit across')
  const frontToBack = share('depth', 'fit.frontToBack', 'Fit front to back')
  return {
    across,
    frontToBack,
    verdict: {
      across: verdictOf(across.value - shiftShare, firmness),
      frontToBack: verdictOf(frontToBack.value - shiftShare, firmness),
    },
  }
}

/** A twentieth of a percent is under what a tape shows. */
const UNSEEN = 0.0005

/** Windows of the trade: 0, 1, 3 and 5 %; soft foam moves the upper three by 1 %, foam that nobody knows does not. */
export function verdictOf(share: number, firmness: Firmness | null): FitVerdict {
  const give = giveOf(firmness)
  if (share < -UNSEEN) return 'loose'
  if (share <= 0.01 + give) return 'easy'
  if (share <= SNUG_UP_TO + give) return 'snug'
  return share <= 0.05 + give ? 'tight' : 'too tight'
}

const SNUG_UP_TO = 0.03
const giveOf = (firmness: Firmness | null): number => (firmness === 'soft' ? 0.01 : 0)

/** The middle of what is neither loose nor tight. */
export const middleOfRight = (firmness: Firmness): number => (SNUG_UP_TO + giveOf(firmness)) / 2

/** What is to be said of a block in its cover: too tight, too loose. */
export function fitWarnings(fit: Fit): readonly Raised<FillingWarning>[] {
  const ways = [
    ['across', fit.across.value, fit.verdict.across],
    ['front to back', fit.frontToBack.value, fit.verdict.frontToBack],
  ] as const
  return ways.flatMap(([way, share, verdict]): Raised<FillingWarning>[] => {
    const at = { station: 'filling', level: 'warning', way, share } as const
    if (verdict === 'loose') return [{ ...at, code: 'fit-loose' }]
    if (verdict === 'tight') return [{ ...at, code: 'fit-tight' }]
    return verdict === 'too tight' ? [{ ...at, code: 'fit-too-tight' }] : []
  })
}

const girth = (size: CushionSize, way: 'width' | 'depth') => times(2, plus(size[way], size.thickness))
