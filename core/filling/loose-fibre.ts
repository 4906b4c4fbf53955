import type { FibreFilling } from '../../contract/index.ts'
import type { CushionSize } from '../seat/index.ts'
import { figure, given, plus, times, type Figure } from '../working/index.ts'

/** An inner cover of calico without a zip, and what goes into it. */
export interface Liner extends CushionSize {
  /** Left open on one side to fill it, sewn up after. */
  readonly openMm: number
}

const OPEN_MM = 250

/** The liner of a cushion of loose fibre: a little larger than its cover, so that the fill reaches the corners. */
export function linerFor(cover: CushionSize, { linerLargerShare }: FibreFilling): Liner {
  const side = (key: keyof CushionSize): Figure =>
    figure({ id: `liner.${key}`, label: `Liner ${key}`, quantity: 'length', line: 'net', sum: times(cover[key], plus(1, given(linerLargerShare, 'share', 'larger'))), rule: '3 to 5 % larger than its cover', setBy: 'job', change: 'filling.liner' })
  return { width: side('width'), depth: side('depth'), thickness: side('thickness'), openMm: OPEN_MM }
}

/** A new fill: 24 kg for a cubic metre of cover. A rule of thumb of the trade. */
export const USUAL_FIBRE = { fillKgM3: 24, linerLargerShare: 0.04, pricePerKg: 6.5 } as const
