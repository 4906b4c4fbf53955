import { err } from '../../result/index.ts'
import { entered } from '../../working/index.ts'
import { planClosure } from '../closures/closure-plan.ts'
import { boxFrame, frameDraft, ringJoins, splitPlate } from '../parts/index.ts'
import { drafted, type Recipe } from '../recipe.ts'
import { stretchLength, type SeamDraft } from '../seam.ts'
import { plainFrame } from './boxed.ts'

/**
 * Boxed without a zip: the bottom plate is cut across into two lapped parts. Easier to fill when the slit is not in the
 * middle.
 */
export const slitBack: Recipe<'slit-back'> = (input) => {
  const { solid, construction, closure, allowances } = input
  const frame = boxFrame({ ...plainFrame(input), opening: null, side: 'back' })
  const split = splitPlate({ solid, whole: frame.plates.bottom.panel, ...construction })
  if (!split)
    return err({
      construction: 'slit-back',
      reason: { code: 'slit-outside', share: construction.share },
      nearest: 'boxed',
    })
  const draft = frameDraft(frame)
  const bottomId = frame.plates.bottom.panel.id
  const slit: SeamDraft = {
    name: 'the two parts of the bottom, lapped and tacked at the ends',
    kind: 'closure',
    pairs: [split.slit],
  }
  const length = entered({
    id: 'closure.length',
    label: 'Slit',
    quantity: 'length',
    value: stretchLength(split.slit.a),
    rule: 'across the bottom plate',
  })
  const bottom = split.ring(frame.rings.bottom)
  return drafted({
    ...draft,
    panels: draft.panels.flatMap((p) => (p.id === bottomId ? split.panels : [p])),
    patches: draft.patches.flatMap((p) => (p.panel === bottomId ? split.patches : [p])),
    rows: [draft.rows[0], { row: 'bottom', perimeter: frame.perimeter, panel: split.panels[0]!.id, pairs: bottom }],
    seams: [
      slit,
      ...ringJoins(frame),
      { name: 'boxing to the bottom, over both its parts', kind: 'plate', pairs: bottom },
      { name: 'boxing to the top plate', kind: 'plate', pairs: frame.rings.top },
    ],
    closures: [planClosure(closure, slit, length, allowances)],
    figures: split.figures,
  })
}
