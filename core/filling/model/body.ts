/**
 * The part of a person that rests on foam. A body is round: it sinks in before it spreads its weight. `reachMm` is how
 * far from its middle it can touch: half the width of hips, a back, a shin.
 */
export type Body =
  | { readonly kind: 'ball'; readonly radiusMm: number; readonly reachMm: number }
  | { readonly kind: 'roll'; readonly radiusMm: number; readonly reachMm: number; readonly lengthMm: number }

/** How much higher than its lowest point a body stands so far from its middle, mm. */
export const riseMm = ({ radiusMm }: Body, fromMiddleMm: number): number =>
  radiusMm - Math.sqrt(radiusMm * radiusMm - fromMiddleMm * fromMiddleMm)

/** How far from its middle a body touches when it has sunk so deep, mm. */
export const touchMm = ({ radiusMm, reachMm }: Body, depthMm: number): number =>
  Math.min(reachMm, depthMm < radiusMm ? Math.sqrt(depthMm * (2 * radiusMm - depthMm)) : radiusMm)

/** The area that touches, mm², out to a distance from the middle: a disc under a ball, a strip under a roll. */
export function touchedMm2(body: Body, outToMm: number): number {
  switch (body.kind) {
    case 'ball':
      return Math.PI * outToMm * outToMm
    case 'roll':
      return 2 * outToMm * body.lengthMm
    default:
      return body satisfies never
  }
}

/** How long the line of touch is at a distance from the middle, mm: a ring under a ball, two lines under a roll. */
export function ringMm(body: Body, fromMiddleMm: number): number {
  switch (body.kind) {
    case 'ball':
      return 2 * Math.PI * fromMiddleMm
    case 'roll':
      return 2 * body.lengthMm
    default:
      return body satisfies never
  }
}
