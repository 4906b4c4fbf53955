import type { Footprint } from '../../../contract/index.ts'
import { at } from '../../outline/index.ts'
import { valueOf } from '../dimension.ts'
import { footing, type Footing, type Mark } from './footing.ts'

const EDGES = ['near', 'right', 'far', 'left'] as const
const CORNERS = ['near left', 'near right', 'far right', 'far left'] as const

/** A rectangle by its width and depth, askew where its diagonals say so. */
export function rectangleFooting(shape: Extract<Footprint, { kind: 'rectangle' }>): Footing {
  const [w, d] = [valueOf(shape.width), valueOf(shape.depth)]
  return fourSided(w, w, d, 0, ['width', null], shape)
}

/** Near and far parallel, `depth` apart; the far edge begins at an offset from the near left corner. */
export function taperFooting(shape: Extract<Footprint, { kind: 'taper' }>): Footing {
  const [near, far] = [valueOf(shape.near), valueOf(shape.far)]
  const offset = shape.offset.kind === 'centred' ? (near - far) / 2 : shape.offset.mm
  return fourSided(near, far, valueOf(shape.depth), offset, ['near', 'far'], shape)
}

function fourSided(
  near: number,
  far: number,
  d: number,
  offset: number,
  slots: readonly [string, string | null],
  shape: { readonly rising: unknown; readonly falling: unknown },
): Footing {
  const outline = [at(0, 0), at(near, 0), at(offset + far, d), at(offset, d)]
  const depthAt = Math.min(0, offset)
  const marks: Mark[] = [
    { slot: slots[0], from: outline[0]!, to: outline[1]! },
    { slot: 'depth', from: at(depthAt, d), to: at(depthAt, 0) },
    ...(slots[1] ? [{ slot: slots[1], from: outline[2]!, to: outline[3]! }] : []),
    ...(shape.rising ? [{ slot: 'rising', from: outline[0]!, to: outline[2]! }] : []),
    ...(shape.falling ? [{ slot: 'falling', from: outline[3]!, to: outline[1]! }] : []),
  ]
  return footing(outline, EDGES, CORNERS, marks)
}
