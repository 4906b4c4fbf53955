import type { Footprint } from '../../../contract/index.ts'
import { err, ok, type Result } from '../../result/index.ts'
import { at, type Vertex } from '../../outline/index.ts'
import { valueOf } from '../dimension.ts'
import { footing, type Footing, type FootprintFault, type Mark } from './footing.ts'
import { smoothArcs } from './smooth-arcs.ts'

/**
 * Half of a boat's berth: the centre line along the far side, the hull along the near side, head at
 * the left. Widths are taken from the centre line at the head, at the stations and at the foot.
 */
export function berthFooting(shape: Extract<Footprint, { kind: 'berth' }>): Result<Footing, FootprintFault> {
  const length = valueOf(shape.length)
  const stations = shape.stations
    .map((s) => ({ at: valueOf(s.at), width: valueOf(s.width) }))
    .toSorted((a, b) => a.at - b.at)
  const wrong = stations.find((s, i) => s.at >= length || (i > 0 && s.at - stations[i - 1]!.at < 1))
  if (wrong) return err({ code: 'stations-order', at: wrong.at, length })
  const [head, foot] = [valueOf(shape.head), valueOf(shape.foot)]
  const hullPoints = [at(0, -head), ...stations.map((s) => at(s.at, -s.width)), at(length, -foot)]
  const hull: readonly Vertex[] =
    shape.hull === 'smooth' && hullPoints.length > 2 ? smoothArcs(hullPoints) : hullPoints.slice(0, -1)
  const outline = [...hull, at(length, -foot), at(length, 0), at(0, 0)]
  const hullEdges = hull.length === 1 ? ['hull'] : hull.map((_, i) => `hull ${i + 1}`)
  const marks: Mark[] = [
    { slot: 'length', from: at(length, 0), to: at(0, 0) },
    { slot: 'head', from: at(0, 0), to: at(0, -head) },
    { slot: 'foot', from: at(length, -foot), to: at(length, 0) },
    ...stations.map((s, i) => ({ slot: `stations.${i}.width`, from: at(s.at, 0), to: at(s.at, -s.width) })),
  ]
  return ok(
    footing(
      outline,
      [...hullEdges, 'foot', 'centre', 'head'],
      [
        ...hull.map((_, i) => (i === 0 ? 'hull at the head' : `hull ${i}/${i + 1}`)),
        'hull at the foot',
        'centre at the foot',
        'centre at the head',
      ],
      marks,
      { curved: shape.hull === 'smooth' ? hullEdges : [] },
    ),
  )
}
