import type { Footprint } from '../../../contract/index.ts'
import { at, vertex } from '../../outline/index.ts'
import { valueOf } from '../dimension.ts'
import { footing, type Footing } from './footing.ts'

/** Bulge of a quarter of a circle: tan(90° / 4). */
const QUARTER = Math.tan(Math.PI / 8)

/** A circle as four quarters, or half of one, straight in front. */
export function discFooting({ across, part }: Extract<Footprint, { kind: 'disc' }>): Footing {
  const width = valueOf(across)
  return part === 'whole' ? whole(width) : half(width)
}

function whole(width: number): Footing {
  const r = width / 2
  const off = r * Math.SQRT1_2
  const corners = [at(r - off, r - off), at(r + off, r - off), at(r + off, r + off), at(r - off, r + off)]
  const edges = ['round 1', 'round 2', 'round 3', 'round 4']
  return footing(
    corners.map((p) => vertex(p, QUARTER)),
    edges,
    ['near left', 'near right', 'far right', 'far left'],
    [{ slot: 'across', from: at(0, 0), to: at(width, 0) }],
    { curved: edges },
  )
}

function half(width: number): Footing {
  const r = width / 2
  return footing(
    [at(0, 0), vertex(at(width, 0), QUARTER), vertex(at(r, r), QUARTER)],
    ['near', 'round 1', 'round 2'],
    ['near left', 'near right', 'far'],
    [{ slot: 'across', from: at(0, 0), to: at(width, 0) }],
    { curved: ['round 1', 'round 2'] },
  )
}
