import { phrase } from '../../../language/index.ts'
import { at, type Point } from '../../../outline/index.ts'
import { given, minus, plus, times, type Expression } from '../../../working/index.ts'
import { rectanglePanel, seamEdge, type PanelDraft } from '../../parts/index.ts'
import type { Patch } from '../../patch.ts'
import type { RecipeInput } from '../../recipe.ts'
import type { SeamDraft, SeamPair, Stretch } from '../../seam.ts'
import { inSpace, onPlane, UP, type Space } from '../../space.ts'
import type { Front, Run, UpThePlate } from './front.ts'

/**
 * How long the plate is: a round front saves (4 − π)·r of going round a square one, tucks take twice their depth at each
 * of four places of either side.
 */
export function plateLength({ solid, construction }: RecipeInput<'waterfall'>, { r, tuck }: Front): Expression {
  const wraps = plus(times(2, solid.depth), solid.thickness)
  if (r > 0) return minus(wraps, times(minus(4, given(Math.PI, 'plain', 'pi')), given(r, 'length', 'front radius')))
  return tuck > 0
    ? plus(wraps, times(given(4 * construction.tucks, 'count', 'times'), given(tuck, 'length', 'tuck')))
    : wraps
}
/** The long plate that runs top, front and bottom. */
export function plate({ solid, allowances }: RecipeInput<'waterfall'>, { r }: Front, length: Expression): PanelDraft {
  const s = allowances.seamMm
  return rectanglePanel(
    {
      id: 'body',
      name: 'Top, front and bottom',
      role: 'body',
      face: 'round',
      cloth: 'face',
      isSeen: true,
      rule:
        r > 0
          ? 'twice the depth and the thickness, less what the round front saves'
          : 'twice the depth and the thickness, and the tucks',
    },
    solid.width,
    length,
    [seamEdge('bottom back', s), seamEdge('right', s), seamEdge('top back', s), seamEdge('left', s)],
  )
}
/** What is tucked away at the front corners, on both sides of the plate. */
export const tuckSeams = ({ tuckStarts, whole }: UpThePlate, tuck: number): readonly SeamDraft[] =>
  tuck > 0
    ? [
        {
          name: 'tucks at the front corners, folded towards the middle of the front',
          kind: 'tuck',
          pairs: (['left', 'right'] as const).flatMap((side) => tuckPairs(side, tuckStarts, tuck, whole)),
        },
      ]
    : []
/** The plate along both bands. */
export const sideSeams = ({ runs, whole }: UpThePlate): readonly SeamDraft[] =>
  (['left', 'right'] as const).map((side): SeamDraft => ({
    name: phrase`plate to the ${side} band`,
    kind: 'plate',
    pairs: sidePairs(side, runs, whole),
  }))
/** Where the plate lies on the made-up cushion, flat and bent. */
export function bodyPatches(w: number, { d, t, r }: Front, runs: readonly Run[]): readonly Patch[] {
  const right = inSpace(1, 0, 0)
  /** A quarter round about an axis along the front edge. */
  const bent = (y: number, z: number, start: number) => (p: Point) => {
    const angle = start - (p.y - y) / r
    return inSpace(p.x, r + r * Math.cos(angle), z + r * Math.sin(angle))
  }
  return runs.map(({ edge, start, from, to }): Patch => {
    const outline = [at(0, start), at(w, start), at(w, start + to - from), at(0, start + to - from)]
    const flat = (corner: Space, way: Space): Patch => ({
      panel: 'body',
      bend: 'flat',
      outline,
      place: onPlane(at(0, start), corner, right, way),
    })
    switch (edge) {
      case 'bottom':
        return flat(inSpace(0, d - from, 0), inSpace(0, -1, 0))
      case 'front':
        return flat(inSpace(0, 0, r), UP)
      case 'top':
        return flat(inSpace(0, r + from, t), inSpace(0, 1, 0))
      case 'front, lower round':
        return { panel: 'body', bend: 'bent', outline, place: bent(start, r, -Math.PI / 2) }
      default:
        return { panel: 'body', bend: 'bent', outline, place: bent(start, t - r, Math.PI) }
    }
  })
}

/** On the body's side edge: upwards on the right, downwards on the left. */
const onBody = (side: 'left' | 'right', from: number, to: number, whole: number): Stretch => ({
  panel: 'body',
  edge: side,
  from: side === 'right' ? from : whole - from,
  to: side === 'right' ? to : whole - to,
})

/** From the back to the front along the bottom: on the right band that is backwards, on the left forwards. */
const sidePairs = (side: 'left' | 'right', runs: readonly Run[], whole: number): readonly SeamPair[] =>
  runs.map(({ edge, start, from, to, edgeMm }) => ({
    a: onBody(side, start, start + to - from, whole),
    b: {
      panel: `band-${side}`,
      edge,
      from: side === 'right' ? edgeMm - from : from,
      to: side === 'right' ? edgeMm - to : to,
    },
  }))

/** Each tuck is an edge folded on itself about its middle. */
const tuckPairs = (
  side: 'left' | 'right',
  starts: readonly number[],
  tuck: number,
  whole: number,
): readonly SeamPair[] =>
  starts.map((start) => ({
    a: onBody(side, start, start + tuck, whole),
    b: onBody(side, start + 2 * tuck, start + tuck, whole),
  }))
