import type { Lay, LayCloth, LayProblem } from '../../contract/index.ts'
import { convexParts } from './convex-parts.ts'
import { turned } from './shape.ts'
import { isSlit } from './flaw.ts'
import { distanceToRing, insideDeeper, isInside, outlinesCloserThan, type Ring } from './penetration.ts'

/** What scissors cannot see: pieces may touch, and overlap by no more than this. */
const OVERLAP_MM = 0.05
const MATCH_MM = 0.5
const LENGTH_MM = 0.1

export type LayFault =
  | { readonly code: 'unknown-piece'; readonly piece: string }
  | { readonly code: 'wrong-count'; readonly piece: string; readonly wanted: number; readonly found: number }
  | { readonly code: 'turn-not-allowed'; readonly piece: string; readonly turn: number; readonly flip: boolean }
  | { readonly code: 'overlap'; readonly piece: string; readonly other: string }
  | { readonly code: 'too-close'; readonly piece: string; readonly other: string }
  | { readonly code: 'off-cloth'; readonly piece: string; readonly over: number }
  | { readonly code: 'on-flaw'; readonly piece: string; readonly flaw: number }
  | { readonly code: 'out-of-phase'; readonly piece: string; readonly axis: 'across' | 'along'; readonly off: number }
  | { readonly code: 'wrong-length'; readonly claimed: number; readonly real: number }

interface Laid {
  readonly name: string
  readonly ring: Ring
  readonly innards: readonly (readonly [number, number])[]
  readonly sheet: number
  readonly box: readonly [number, number, number, number]
}

/** Checks a lay against its problem without knowing how it was found; empty when it is sound. */
export function acceptLay(problem: LayProblem, lay: Lay): readonly LayFault[] {
  const pieces = new Map(problem.pieces.map((p) => [p.id, p]))
  const faults: LayFault[] = []
  const laid: Laid[] = []
  for (const place of lay.placements) {
    const piece = pieces.get(place.id)
    if (!piece) {
      faults.push({ code: 'unknown-piece', piece: place.id })
      continue
    }
    const name = piece.qty > 1 ? `${place.id} (${place.copy})` : place.id
    if (!piece.turns.some((t) => (((t - place.turn) % 360) + 360) % 360 < 1e-9) || (place.flip && !piece.flip))
      faults.push({ code: 'turn-not-allowed', piece: name, turn: place.turn, flip: place.flip })
    laid.push(laidPiece(name, piece.outline, place))
  }
  return [
    ...faults,
    ...countFaults(problem, lay),
    ...laid.flatMap((l) => clothFaults(problem, l)),
    ...pairFaults(problem, laid),
    ...phaseFaults(problem, lay),
    ...lengthFaults(lay, laid),
  ]
}

function laidPiece(
  name: string,
  outline: readonly (readonly [number, number])[],
  place: Lay['placements'][number],
): Laid {
  const flat = outline.flatMap(([x, y]) => {
    const [tx, ty] = turned(x, y, place.turn, place.flip)
    return [tx + place.x, ty + place.y]
  })
  const parts = convexParts(flat)
  const xs = flat.filter((_, i) => i % 2 === 0)
  const ys = flat.filter((_, i) => i % 2 === 1)
  return {
    name,
    ring: flat,
    innards: parts.map((p) => [mean(p, 0), mean(p, 1)] as const),
    sheet: place.sheet ?? 1,
    box: [Math.min(...xs), Math.min(...ys), Math.max(...xs), Math.max(...ys)],
  }
}

function countFaults(problem: LayProblem, lay: Lay): LayFault[] {
  return problem.pieces.flatMap((piece) => {
    const copies = new Set(lay.placements.filter((p) => p.id === piece.id && p.copy <= piece.qty).map((p) => p.copy))
    const found = lay.placements.filter((p) => p.id === piece.id).length
    return copies.size === piece.qty && found === piece.qty
      ? []
      : [{ code: 'wrong-count', piece: piece.id, wanted: piece.qty, found } as const]
  })
}

function clothFaults(problem: LayProblem, l: Laid): LayFault[] {
  const { cloth } = problem
  const [x0, y0, x1, y1] = l.box
  const over = Math.max(
    cloth.selvedge[0] - x0,
    x1 - (cloth.width - cloth.selvedge[1]),
    -y0,
    cloth.length === null ? 0 : y1 - cloth.length,
  )
  const faults: LayFault[] = over > OVERLAP_MM ? [{ code: 'off-cloth', piece: l.name, over }] : []
  if ((cloth.count ?? 1) < l.sheet) faults.push({ code: 'off-cloth', piece: l.name, over: Infinity })
  if (cloth.outline) {
    const remnant = cloth.outline.flat()
    const beyond = Math.max(
      ...corners(l.ring).map(([x, y]) => (isInside(remnant, x, y) ? 0 : distanceToRing(remnant, x, y))),
    )
    const cornerInside = corners(remnant).some(
      ([x, y]) => isInside(l.ring, x, y) && distanceToRing(l.ring, x, y) > OVERLAP_MM,
    )
    if (beyond > OVERLAP_MM || cornerInside) faults.push({ code: 'off-cloth', piece: l.name, over: beyond })
  }
  cloth.flaws.forEach((place, flaw) => {
    if (isSlit(place) ? isSlitAcross(l, place) : overlaps(l, flawAsLaid(place, l.sheet)))
      faults.push({ code: 'on-flaw', piece: l.name, flaw })
  })
  return faults
}

const flawAsLaid = ([x, y, w, h]: LayCloth['flaws'][number], sheet: number): Laid => ({
  name: 'flaw',
  ring: [x, y, x + w, y, x + w, y + h, x, y + h],
  innards: [[x + w / 2, y + h / 2]],
  sheet,
  box: [x, y, x + w, y + h],
})

/** A slit, or a hole of no size, lies within the piece, not only along its edge. */
const isSlitAcross = ({ ring }: Laid, [x, y, w, h]: LayCloth['flaws'][number]): boolean =>
  w === 0 && h === 0
    ? isInside(ring, x, y) && distanceToRing(ring, x, y) > OVERLAP_MM
    : insideDeeper([x, y, x + w, y + h], ring, OVERLAP_MM)

function pairFaults(problem: LayProblem, laid: readonly Laid[]): LayFault[] {
  const faults: LayFault[] = []
  const reach = problem.gap
  laid.forEach((a, i) => {
    for (const b of laid.slice(i + 1)) {
      if (
        a.sheet !== b.sheet ||
        a.box[0] > b.box[2] + reach ||
        b.box[0] > a.box[2] + reach ||
        a.box[1] > b.box[3] + reach ||
        b.box[1] > a.box[3] + reach
      )
        continue
      if (overlaps(a, b)) faults.push({ code: 'overlap', piece: a.name, other: b.name })
      else if (reach > OVERLAP_MM && outlinesCloserThan(a.ring, b.ring, reach - OVERLAP_MM))
        faults.push({ code: 'too-close', piece: a.name, other: b.name })
    }
  })
  return faults
}

function overlaps(a: Laid, b: Laid): boolean {
  if (
    a.box[0] > b.box[2] - OVERLAP_MM ||
    b.box[0] > a.box[2] - OVERLAP_MM ||
    a.box[1] > b.box[3] - OVERLAP_MM ||
    b.box[1] > a.box[3] - OVERLAP_MM
  )
    return false
  const holds = (ring: Ring, points: Laid['innards']) =>
    points.some(([x, y]) => isInside(ring, x, y) && distanceToRing(ring, x, y) > OVERLAP_MM)
  return (
    insideDeeper(a.ring, b.ring, OVERLAP_MM) ||
    insideDeeper(b.ring, a.ring, OVERLAP_MM) ||
    holds(b.ring, a.innards) ||
    holds(a.ring, b.innards)
  )
}

/** Every member of a group must stand at one phase; a group's own offset binds as well. */
function phaseFaults(problem: LayProblem, lay: Lay): LayFault[] {
  const faults: LayFault[] = []
  for (const axis of ['across', 'along'] as const) {
    const step = problem.cloth.repeat[axis]
    if (step === null) continue
    const reference = new Map<string, number>()
    for (const [name, group] of Object.entries(problem.groups))
      if (group[axis] !== null) reference.set(name, group[axis])
    for (const [name, offset] of Object.entries(lay.offsets))
      if (offset[axis] !== null && !reference.has(name)) reference.set(name, offset[axis])
    for (const place of lay.placements) {
      const match = problem.pieces.find((p) => p.id === place.id)?.match
      if (!match || match[axis] === null) continue
      const [ax, ay] = turned(match.anchor[0], match.anchor[1], place.turn, place.flip)
      const phase = (axis === 'across' ? place.x + ax : place.y + ay) - match[axis]
      const known = reference.get(match.group)
      if (known === undefined) reference.set(match.group, phase)
      else {
        const apart = (((phase - known) % step) + step) % step
        const off = Math.min(apart, step - apart)
        if (off > MATCH_MM) faults.push({ code: 'out-of-phase', piece: place.id, axis, off })
      }
    }
  }
  return faults
}

function lengthFaults(lay: Lay, laid: readonly Laid[]): LayFault[] {
  const last = Math.max(1, ...laid.map((l) => l.sheet))
  const real = Math.max(0, ...laid.filter((l) => l.sheet === last).map((l) => l.box[3]))
  return Math.abs(real - lay.length) > LENGTH_MM ? [{ code: 'wrong-length', claimed: lay.length, real }] : []
}

const corners = (ring: Ring): (readonly [number, number])[] =>
  ring.flatMap((x, i) => (i % 2 === 0 ? [[x, ring[i + 1]!] as const] : []))
const mean = (ring: Ring, offset: 0 | 1): number =>
  (2 * ring.reduce((sum, v, i) => (i % 2 === offset ? sum + v : sum), 0)) / ring.length
