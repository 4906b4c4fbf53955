import { phrase } from '../../language/index.ts'
import type { Cover } from '../cover.ts'
import { closesRoundBlock } from './closes-round-block.ts'
import { cutOutlinesAreSound } from './cut-outlines.ts'
import { edgesUsedOnce } from './edges-used-once.ts'
import { seamLengthsAgree } from './seam-lengths.ts'
import { formatLengthWithUnit, type LengthUnit } from '../../units/index.ts'
import { canBeSewn } from './sewing-order.ts'

/** A check's findings: empty when the cover passes. */
export interface Check {
  readonly name: string
  readonly asks: string
  readonly faults: readonly string[]
}

/** The five checks that every make-up must pass, whatever its recipe. */
export function checkCover(cover: Cover, unit: LengthUnit = 'mm'): readonly Check[] {
  return [
    {
      name: 'every edge is used once',
      asks: 'a seam, a closure or free on purpose',
      faults: edgesUsedOnce(cover, unit),
    },
    {
      name: 'seams meet in equal lengths',
      asks: phrase`within ${formatLengthWithUnit(1, unit)} and 0.2 %`,
      faults: seamLengthsAgree(cover, unit),
    },
    {
      name: 'cut outlines are sound',
      asks: 'not crossed, and off the sewing line by its allowance along every edge',
      faults: cutOutlinesAreSound(cover, unit),
    },
    {
      name: 'the cover closes round the block',
      asks: 'closed surfaces, areas as the cover size, both sides of each seam in one place',
      faults: closesRoundBlock(cover, unit),
    },
    {
      name: 'it can be sewn in this order',
      asks: 'joins before the seams that cross them, and a way to turn and fill it',
      faults: canBeSewn(cover),
    },
  ]
}
