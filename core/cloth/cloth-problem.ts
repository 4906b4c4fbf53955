import type { Cloth, LayProblem } from '../../contract/index.ts'
import { patternStart, repeatOf } from '../pattern/index.ts'

/**
 * The cloth as a lay problem knows it. Where a roll is bought it is begun wherever the pattern suits; what is in hand
 * begins where it was cut.
 */
export function clothProblem(cloth: Cloth, isAsked: boolean): Pick<LayProblem, 'cloth' | 'groups'> {
  const { supply } = cloth
  const isMatching = isAsked && cloth.pattern.kind !== 'plain'
  const lengthMm =
    supply.kind === 'length'
      ? supply.lengthMm
      : supply.kind === 'remnant'
        ? Math.max(...supply.outline.map((p) => p[1]))
        : null
  return {
    cloth: {
      width: cloth.widthMm,
      length: lengthMm,
      selvedge: cloth.selvedgeMm,
      repeat: isMatching
        ? { across: repeatOf(cloth, 'across'), along: repeatOf(cloth, 'along') }
        : { across: null, along: null },
      flaws: cloth.flaws.map((f) => [f.xMm, f.yMm, f.widthMm, f.lengthMm]),
      ...(supply.kind === 'remnant' ? { outline: supply.outline } : {}),
    },
    groups: isMatching
      ? {
          run: {
            across: patternStart(cloth, 'across'),
            along: supply.kind === 'to-buy' ? null : patternStart(cloth, 'along'),
          },
        }
      : {},
  }
}
