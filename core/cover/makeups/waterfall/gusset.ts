import { phrase } from '../../../language/index.ts'
import { at } from '../../../outline/index.ts'
import { given, over } from '../../../working/index.ts'
import { rectanglePanel, seamEdge, type EdgeDraft, type PanelDraft } from '../../parts/index.ts'
import type { Patch } from '../../patch.ts'
import type { RecipeInput } from '../../recipe.ts'
import type { SeamDraft, SeamPair, Stretch } from '../../seam.ts'
import { inSpace, onPlane, UP } from '../../space.ts'

/** A half of the gusset that stands across the back, the zip between them. */
export function gussetHalf(which: 'lower' | 'upper', { solid, allowances }: RecipeInput<'waterfall'>): PanelDraft {
  const s = allowances.seamMm
  const zip: EdgeDraft = { name: 'zip', treatment: 'zip', allowances: [allowances.gussetTurnMm] }
  return rectanglePanel(
    {
      id: `gusset-${which}`,
      name: phrase`Gusset, ${which} half`,
      role: 'gusset',
      face: 'back',
      cloth: 'boxing',
      isSeen: false,
      rule: 'each half finishes at half the thickness; together they make the boxing height',
    },
    solid.width,
    over(solid.thickness, given(2, 'count', 'halves')),
    which === 'lower'
      ? [seamEdge('bottom', s), seamEdge('end', s), zip, seamEdge('start', s)]
      : [zip, seamEdge('end', s), seamEdge('top', s), seamEdge('start', s)],
  )
}
/** The zip between the halves of the gusset. */
export const zipSeam = (w: number): SeamDraft => ({
  name: 'zip into the gusset',
  kind: 'closure',
  pairs: [
    {
      a: { panel: 'gusset-upper', edge: 'zip', from: 0, to: w },
      b: { panel: 'gusset-lower', edge: 'zip', from: w, to: 0 },
    },
  ],
})

/** The ends of the plate along the gusset. */
export const gussetSeam = (w: number): SeamDraft => ({
  name: 'plate to the gusset, bottom and top',
  kind: 'plate',
  pairs: (['bottom', 'top'] as const).map((end) => ({
    a: { panel: 'body', edge: `${end} back`, from: 0, to: w },
    b: { panel: end === 'bottom' ? 'gusset-lower' : 'gusset-upper', edge: end, from: w, to: 0 },
  })),
})
/** The gusset is drawn from behind: its start lies at the right end of the cushion. */
export function gussetEnds(t: number): readonly SeamPair[] {
  const half = t / 2
  const up = (panel: string, edge: 'start' | 'end'): Stretch => ({
    panel,
    edge,
    from: edge === 'end' ? 0 : half,
    to: edge === 'end' ? half : 0,
  })
  const backOf = (side: 'left' | 'right', from: number, to: number): Stretch => ({
    panel: `band-${side}`,
    edge: 'back',
    from: side === 'right' ? from : t - from,
    to: side === 'right' ? to : t - to,
  })
  return [
    { a: backOf('right', 0, half), b: up('gusset-lower', 'start') },
    { a: backOf('right', half, t), b: up('gusset-upper', 'start') },
    { a: backOf('left', 0, half), b: up('gusset-lower', 'end') },
    { a: backOf('left', half, t), b: up('gusset-upper', 'end') },
  ]
}

/** Where a half of the gusset stands behind the made-up cushion. */
export const backPatch = (which: 'lower' | 'upper', w: number, d: number, t: number): Patch => ({
  panel: `gusset-${which}`,
  bend: 'flat',
  outline: [at(0, 0), at(w, 0), at(w, t / 2), at(0, t / 2)],
  place: onPlane(at(0, 0), inSpace(w, d, which === 'lower' ? 0 : t / 2), inSpace(-1, 0, 0), UP),
})
