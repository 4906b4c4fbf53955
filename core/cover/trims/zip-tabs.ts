import type { Closure } from '../../../contract/index.ts'
import { given, plus, times } from '../../working/index.ts'
import type { Allowances } from '../allowances.ts'
import type { PanelDraft } from '../parts/index.ts'
import { stripPanel } from './strip-panel.ts'

/** A tape with its teeth, of the sizes used for cushions. */
const ZIP_TAPE_MM = 32

/**
 * Tabs folded over both ends of each zip: twice what is seen and a seam at either end, as wide as the tape and a seam at
 * either side.
 */
export function zipTabs(choice: Closure, zips: number, { seamMm }: Allowances): readonly PanelDraft[] {
  if (!('ends' in choice) || choice.ends?.kind !== 'tabs' || zips === 0) return []
  const both = times(given(2, 'count', 'ends'), seamMm)
  return [
    stripPanel(
      'zip-tab',
      'Tab over a zip end',
      2 * zips,
      plus(times(given(2, 'plain', 'folded double'), given(choice.ends.showMm, 'length', 'seen')), both),
      plus(given(ZIP_TAPE_MM, 'length', 'zip tape'), both),
      'folded double over the end of the tape',
    ),
  ]
}
