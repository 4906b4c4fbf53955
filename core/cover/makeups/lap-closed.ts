import { err } from '../../result/index.ts'
import { figure, given, minus, over, plus, times } from '../../working/index.ts'
import { lapEdge, lapOf, planClosure } from '../closures/closure-plan.ts'
import { boxFrame, closingPairs, frameDraft, ringJoins } from '../parts/index.ts'
import { drafted, type Recipe } from '../recipe.ts'
import type { SeamDraft } from '../seam.ts'
import { plainFrame, plateSeams } from './boxed.ts'

/**
 * Boxed, one side made of two strips that lap over each other by v about mid height, fastened with
 * tape, snaps or buttons. A strip finishes at half the thickness up to the closing line; beyond it
 * lie half the lap and a hem a margin wider than the lap, so the closed pair finishes exactly at the
 * thickness. Cut at boxing height the hem would eat into it: the widest lap for that is told.
 */
export const lapClosed: Recipe<'lap-closed'> = (input) => {
  const { solid, closure, allowances, construction } = input
  const lap = lapOf(closure, allowances)!
  const t = solid.thickness
  const most = figure({
    id: 'cover.lapMost',
    label: 'Widest lap',
    quantity: 'length',
    sum: over(
      minus(plus(t, times(given(2, 'count', 'edges'), allowances.seamMm)), given(12, 'length', 'to fold on')),
      given(3, 'count', 'layers'),
    ),
    rule: '(t + 2s − 12) ÷ 3: a wider lap does not fold on strips of boxing height',
  })
  if (lap.value > t.value)
    return err({
      construction: construction.kind,
      reason: { code: 'lap-too-wide', lap: lap.value, most: t.value },
      nearest: 'boxed',
    })
  const rule = 'half the thickness up to the closing line; lap and hem lie beyond it'
  const frame = boxFrame({
    ...plainFrame(input),
    side: 'side' in closure ? closure.side : 'left',
    opening: {
      id: 'lap',
      name: 'Lapped strip',
      role: 'boxing',
      face: 'round',
      cloth: 'boxing',
      edge: { treatment: 'lap', allowances: lapEdge(lap, allowances, closure) },
      share: 0.5,
      shows: null,
      round: null,
      rule,
    },
  })
  const lapped: SeamDraft = {
    name: 'the lapped strips, tacked at their ends',
    kind: 'closure',
    pairs: closingPairs(frame.halves!),
  }
  return drafted({
    ...frameDraft(frame),
    seams: [lapped, ...ringJoins(frame, 'the lapped strips'), ...plateSeams(frame, 'boxing and lapped strips')],
    closures: [planClosure(closure, lapped, frame.run!, allowances)],
    figures: [most],
  })
}
