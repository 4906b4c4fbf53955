import type { Footprint } from '../../../contract/index.ts'
import { err, ok, type Result } from '../../result/index.ts'
import { at } from '../../outline/index.ts'
import { valueOf } from '../dimension.ts'
import { footing, type Footing, type FootprintFault } from './footing.ts'

/**
 * A bench round a corner of the room, its fronts straight (the legs are parted along them): leg A along the far wall,
 * leg B along the left wall, both measured from the corner.
 */
export function cornerBenchFooting(
  shape: Extract<Footprint, { kind: 'corner-bench' }>,
): Result<Footing, FootprintFault> {
  const [a, p, b, q] = [valueOf(shape.lengthA), valueOf(shape.depthA), valueOf(shape.lengthB), valueOf(shape.depthB)]
  if (a <= q) return err({ code: 'legs-too-short', leg: 'A', length: a, depth: q })
  if (b <= p) return err({ code: 'legs-too-short', leg: 'B', length: b, depth: p })
  const outline = [at(0, 0), at(q, 0), at(q, b - p), at(a, b - p), at(a, b), at(0, b)]
  return ok(
    footing(
      outline,
      ['B end', 'B front', 'A front', 'A end', 'A wall', 'B wall'],
      ['near left', 'near right', 'inner', 'A near', 'A far', 'far left'],
      [
        { slot: 'lengthA', from: outline[4]!, to: outline[5]! },
        { slot: 'depthA', from: outline[3]!, to: outline[4]! },
        { slot: 'lengthB', from: outline[5]!, to: outline[0]! },
        { slot: 'depthB', from: outline[0]!, to: outline[1]! },
      ],
      { curved: ['A front', 'B front'] },
    ),
  )
}
