import type { Ear, Footprint } from '../../../contract/index.ts'
import { err, ok, type Result } from '../../result/index.ts'
import { at, type Point } from '../../outline/index.ts'
import { valueOf } from '../dimension.ts'
import { footing, type Footing, type FootprintFault, type Mark } from './footing.ts'

/** A T seat, or an L with one ear: ears stand out at the front, in front of the arms. */
export function earedFooting(shape: Extract<Footprint, { kind: 'eared' }>): Result<Footing, FootprintFault> {
  const [w, d] = [valueOf(shape.width), valueOf(shape.depth)]
  const [left, right] = [sizes(shape.left), sizes(shape.right)]
  if (left.out + right.out >= w)
    return err({ code: 'ears-too-large', way: 'across', ears: left.out + right.out, seat: w })
  const deepest = Math.max(left.deep, right.deep)
  if (deepest >= d) return err({ code: 'ears-too-large', way: 'front to back', ears: deepest, seat: d })
  const points: Point[] = [at(0, 0)]
  const edges = ['near']
  const corners = ['near left', 'near right']
  points.push(at(w, 0))
  if (shape.right) {
    points.push(at(w, right.deep), at(w - right.out, right.deep))
    edges.push('right ear', 'right shoulder')
    corners.push('right ear', 'right shoulder')
  }
  edges.push('right', 'far', 'left')
  corners.push('far right', 'far left')
  points.push(at(w - right.out, d), at(left.out, d))
  if (shape.left) {
    points.push(at(left.out, left.deep), at(0, left.deep))
    edges.push('left shoulder', 'left ear')
    corners.push('left shoulder', 'left ear')
  }
  const marks: Mark[] = [
    { slot: 'width', from: at(0, 0), to: at(w, 0) },
    { slot: 'depth', from: at(0, d), to: at(0, 0) },
    ...earMarks('right', shape.right, at(w, 0), at(w - right.out, right.deep)),
    ...earMarks('left', shape.left, at(0, 0), at(left.out, left.deep)),
  ]
  return ok(footing(points, edges, corners, marks))
}

const sizes = (ear: Ear | null): { out: number; deep: number } =>
  ear ? { out: valueOf(ear.out), deep: valueOf(ear.deep) } : { out: 0, deep: 0 }

function earMarks(side: 'left' | 'right', ear: Ear | null, corner: Point, shoulder: Point): readonly Mark[] {
  if (!ear) return []
  const [low, high] = [at(corner.x, shoulder.y), shoulder]
  const out = side === 'right' ? { from: low, to: high } : { from: high, to: low }
  const deep = side === 'right' ? { from: corner, to: low } : { from: low, to: corner }
  return [
    { slot: `${side}.out`, ...out },
    { slot: `${side}.deep`, ...deep },
  ]
}
