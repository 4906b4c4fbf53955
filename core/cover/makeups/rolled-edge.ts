import { err } from '../../result/index.ts'
import { entered } from '../../working/index.ts'
import { planClosure } from '../closures/closure-plan.ts'
import { boxFrame, frameDraft, ringJoins } from '../parts/index.ts'
import { drafted, type Recipe } from '../recipe.ts'
import { seamLength, type SeamDraft } from '../seam.ts'
import { openingOf, openLength } from './boxed.ts'

/**
 * Boxed, then every edge is turned and top-stitched r from the fold to make a firm roll: on both
 * panels that meet at an edge it takes the roll r and the turn c beside the seam allowance. Boxing is
 * one piece per side, its corners rolled too. One side stays open, is filled, and is closed from
 * outside on the roll line.
 */
export const rolledEdge: Recipe<'rolled-edge'> = (input) => {
  const { solid, construction, closure, allowances } = input
  const roll = entered({
    id: 'cover.roll',
    label: 'Roll',
    quantity: 'length',
    value: construction.rollMm,
    rule: 'top-stitched so far from the fold',
    setBy: 'job',
    change: 'make-up.construction',
  })
  const turn = entered({
    id: 'cover.rollTurn',
    label: 'Turn of the roll',
    quantity: 'length',
    value: construction.turnMm,
    rule: 'taken by the thickness of what is turned',
    setBy: 'job',
    change: 'make-up.construction',
  })
  const taken = roll.value + allowances.seamMm.value
  if (taken > solid.thickness.value / 2)
    return err({
      construction: 'rolled-edge',
      reason: { code: 'roll-too-deep', taken, half: solid.thickness.value / 2 },
      nearest: 'boxed',
    })
  const rolled = [allowances.seamMm, roll, turn]
  const frame = boxFrame({
    solid,
    boxing: 'one-per-side',
    side: 'side' in closure ? closure.side : 'back',
    opening: null,
    plateEdge: rolled,
    boxingEdge: rolled,
    boxingEnd: rolled,
    longestMm: input.longestStripMm,
    pocket: [],
  })
  const opening = openingOf(input, frame)
  if (!opening.ok) return opening
  const { rest } = opening.value
  const final: SeamDraft = { ...opening.value.final, name: 'the opening, closed from outside on the roll line' }
  return drafted({
    ...frameDraft(frame),
    seams: [
      ...ringJoins(frame),
      { name: 'boxing to the top plate', kind: 'plate', pairs: frame.rings.top },
      { name: 'boxing to the bottom plate, but for the opening', kind: 'plate', pairs: rest },
      final,
    ],
    closures: [planClosure(closure, final, openLength(seamLength(final), closure), allowances)],
    notes: [...frameDraft(frame).notes, { code: 'stitch-rolls' }],
  })
}
