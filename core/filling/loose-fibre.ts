import { phrase } from '../language/index.ts'
import type { FibreFilling } from '../../contract/index.ts'
import type { CushionSize } from '../seat/index.ts'
import { figure, given, plus, times, type Figure } from '../working/index.ts'

/** An inner cover of calico without a zip, and what goes into it. */
export interface Liner extends CushionSize {
  /** Left open on one side to fill it, sewn up after. */
  readonly openMm: number
}

/** Left open in a liner to fill it. */
export const LINER_OPEN_MM = 250

/** The liner of a cushion of loose fibre: a little larger than its cover, so that the fill reaches the corners. */
export const linerFor = (cover: CushionSize, { linerLargerShare }: FibreFilling): Liner => ({
  ...linerSize(cover, linerLargerShare, 'filling.liner'),
  openMm: LINER_OPEN_MM,
})

/** The sizes of a liner that is larger than its cover by a share; `change` names the field of that share. */
export function linerSize(cover: CushionSize, largerShare: number, change: string): CushionSize {
  const side = (key: keyof CushionSize): Figure =>
    figure({
      id: `liner.${key}`,
      label: phrase`Liner ${key}`,
      quantity: 'length',
      line: 'net',
      sum: times(cover[key], plus(1, given(largerShare, 'share', 'larger'))),
      rule: '3 to 5 % larger than its cover',
      setBy: 'job',
      change,
    })
  return { width: side('width'), depth: side('depth'), thickness: side('thickness') }
}

/** A liner as it starts. */
export const USUAL_LINER = { largerShare: 0.04 } as const

/** A new fill: 24 kg for a cubic metre of cover. A rule of thumb of the trade. */
export const USUAL_FIBRE = {
  of: 'fibre',
  fillKgM3: 24,
  linerLargerShare: USUAL_LINER.largerShare,
  pricePerKg: 6.5,
} as const

/** How full each kind is packed to begin with, in kg for a cubic metre of cover. Rules of thumb of the trade. */
export const USUAL_FILL_KG_M3 = { fibre: USUAL_FIBRE.fillKgM3, scrap: 55 } as const

export const LOOSE_WORDS = { fibre: 'loose fibre', scrap: 'mixed scrap' } as const
