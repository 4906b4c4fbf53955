import type { Footprint } from '../../../contract/index.ts'
import { err, ok, type Result } from '../../result/index.ts'
import { at, vertex, type Point } from '../../outline/index.ts'
import { valueOf } from '../dimension.ts'
import { footing, type Footing, type FootprintFault, type Mark } from './footing.ts'

export interface RingSizes {
  readonly innerRadius: number
  readonly outerRadius: number
  readonly angleRad: number
}

type Ring = Extract<Footprint, { kind: 'ring' }>

/**
 * Radii and angle of a bench along a round wall. A chord c with rise h lies on a circle of radius
 * (c²/4 + h²) / 2h, whose arc sweeps 4·atan(2h/c): more than a half circle when h is over c/2.
 */
export function ringSizes(ring: Ring): Result<RingSizes, FootprintFault> {
  const depth = valueOf(ring.depth)
  const radius = measuredRadius(ring)
  const innerRadius = ring.at === 'inner' ? radius : radius - depth
  if (innerRadius <= 0) return err({ code: 'ring-too-deep', depth, radius })
  const angleRad = ringAngle(ring, radius)
  if (!(angleRad < (350.01 * Math.PI) / 180))
    return err({ code: 'more-than-round', degrees: (angleRad * 180) / Math.PI })
  return ok({ innerRadius, outerRadius: innerRadius + depth, angleRad })
}

/** The sector standing upright above its centre, its inner arc at the near side. */
export function ringFooting(ring: Ring): Result<Footing, FootprintFault> {
  const read = ringSizes(ring)
  return read.ok ? ok(sectorFooting(read.value, ring)) : read
}

function sectorFooting(sizes: RingSizes, ring: Ring): Footing {
  const { innerRadius, outerRadius, angleRad } = sizes
  const half = angleRad / 2
  // The origin is what stays while a hand bends the ring: the chord's middle, or the middle of the inner arc.
  const lift =
    ring.curve.by === 'chord' ? (ring.at === 'inner' ? innerRadius : outerRadius) * Math.cos(half) : innerRadius
  const on = (radius: number, angle: number): Point => at(radius * Math.sin(angle), radius * Math.cos(angle) - lift)
  const bow = Math.tan(angleRad / 4)
  // Walked counter-clockwise: along the inner arc the outline bends inwards, along the outer one outwards.
  const outline = [
    vertex(on(innerRadius, -half), -bow),
    on(innerRadius, half),
    vertex(on(outerRadius, half), bow),
    on(outerRadius, -half),
  ]
  return footing(
    outline,
    ['near', 'right', 'far', 'left'],
    ['near left', 'near right', 'far right', 'far left'],
    ringMarks(sizes, ring, on),
    { curved: ['near', 'far'], centre: at(0, -lift) },
  )
}

function ringMarks(
  { innerRadius, outerRadius, angleRad }: RingSizes,
  ring: Ring,
  on: (radius: number, angle: number) => Point,
): readonly Mark[] {
  const half = angleRad / 2
  const taken = ring.at === 'inner' ? innerRadius : outerRadius
  const marks: Mark[] = [{ slot: 'depth', from: on(outerRadius, -half), to: on(innerRadius, -half) }]
  if (ring.curve.by === 'radius')
    marks.push({ slot: 'radius', from: on(0, 0), to: on(taken, half / 2), isDirect: true })
  else
    marks.push(
      { slot: 'chord', from: on(taken, -half), to: on(taken, half) },
      { slot: 'rise', from: at(0, on(taken, half).y), to: on(taken, 0), isDirect: true },
    )
  if (ring.extent.by === 'length')
    marks.push({ slot: 'length', from: on(taken, half), to: on(taken, -half), bulge: Math.tan(angleRad / 4) })
  return marks
}

function measuredRadius({ curve }: Ring): number {
  if (curve.by === 'radius') return valueOf(curve.radius)
  const [c, h] = [valueOf(curve.chord), valueOf(curve.rise)]
  return (c * c) / (8 * h) + h / 2
}

function ringAngle(ring: Ring, radius: number): number {
  const { extent, curve } = ring
  if (extent.by === 'angle') return (extent.degrees * Math.PI) / 180
  if (extent.by === 'length') return valueOf(extent.length) / radius
  // A radius alone spans nothing: taken as a quarter of the way round until a length is given.
  return curve.by === 'chord' ? 4 * Math.atan((2 * valueOf(curve.rise)) / valueOf(curve.chord)) : Math.PI / 2
}
