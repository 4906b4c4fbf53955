import type { Footprint } from '../../../contract/index.ts'
import { areaOf, at, bulgeOfRise, distance, vertex, type Vertex } from '../../outline/index.ts'
import { ok, type Result } from '../../result/index.ts'
import { footing, type Footing, type FootprintFault } from './footing.ts'
import { fromTemplate } from './template.ts'

/** An outline typed as a table of points or read from a drawing; turned round if it runs clockwise. */
export function pointsFooting(shape: Points): Result<Footing, FootprintFault> {
  const traced = tracedFooting(shape)
  return shape.template ? fromTemplate(traced, shape.template) : ok(traced)
}

type Points = Extract<Footprint, { kind: 'points' }>

function tracedFooting(shape: Points): Footing {
  const n = shape.points.length
  const outline: readonly Vertex[] = shape.points.map((p, i) => {
    const next = shape.points[(i + 1) % n]!
    return vertex(at(p.x, p.y), bulgeOfRise(distance(p, next) || 1, p.riseMm))
  })
  const isClockwise = areaOf(shape.points.map((p) => at(p.x, p.y))) < 0
  // Read backwards an edge starts at what was its end, and its rise is outwards as before.
  const forward = isClockwise
    ? outline.map((_, i) => vertex(at(outline[(n - i) % n]!.x, outline[(n - i) % n]!.y), outline[n - 1 - i]!.bulge))
    : outline
  const names = shape.points.map((_, i) => String((isClockwise ? (n - i) % n : i) + 1))
  const edges = names.map((name, i) => `${name}-${names[(i + 1) % n]!}`)
  return footing(forward, edges, names, [], { curved: edges })
}
