import { isStraight, turnAt } from '../outline/index.ts'
import { edgeIndex, finishedEdgeLength, type Notch, type Panel } from './panel.ts'
import { partnerPlace, type Seam, type SeamPair, type Stretch } from './seam.ts'

/**
 * Notches wherever two panels must meet in register: the middle of every plate edge, every place inside an edge where
 * its partner changes (zip ends), and every plate corner on the strip that passes it, and every 60 mm on a curve. Both
 * sides of a pair carry the same letter. The short edges of a traced outline, which run on without a corner, carry
 * none.
 */
export function markNotches(
  panels: readonly Panel[],
  seams: readonly Pick<Seam, 'kind' | 'pairs'>[],
): readonly Panel[] {
  const marks = new Map<string, Notch[]>(panels.map((p) => [p.id, []]))
  const letters = letterSequence()
  const panel = (id: string) => panels.find((p) => p.id === id)!
  for (const seam of seams.filter((s) => s.kind === 'plate' || s.kind === 'closure')) {
    for (const pair of seam.pairs) {
      for (const place of registerPlaces(pair, panel(pair.a.panel))) {
        const letter = letters.next().value
        put(marks, panel(pair.a.panel), pair.a, place, letter)
        put(marks, panel(pair.b.panel), pair.b, partnerPlace(pair.a, pair.b, place), letter)
      }
    }
  }
  return panels.map((p) => ({ ...p, notches: marks.get(p.id)! }))
}

/** Shorter edges need no notch of their own unless they turn a corner. */
const SHORT_MM = 40

/** The middle of the plate's edge where this pair holds it, and where the pair begins. */
function registerPlaces(pair: SeamPair, plate: Panel): readonly number[] {
  const i = edgeIndex(plate, pair.a.edge)
  const length = finishedEdgeLength(plate, pair.a.edge)
  const isShort = length < SHORT_MM && plate.edges.length > 8
  const startsAtCorner =
    pair.a.from < 1e-6
      ? turnAt(plate.finished, i)
      : pair.a.from > length - 1e-6
        ? turnAt(plate.finished, (i + 1) % plate.edges.length)
        : 1
  const start = isShort && Math.abs(startsAtCorner) < TURN_RAD ? [] : [pair.a.from]
  const middle = length / 2
  const [low, high] = [Math.min(pair.a.from, pair.a.to), Math.max(pair.a.from, pair.a.to)]
  const curve = isStraight(plate.finished[i]!.bulge)
    ? []
    : Array.from({ length: Math.floor(length / CURVE_STEP_MM) }, (_, k) => (k + 1) * CURVE_STEP_MM).filter(
        (p) => p > low + SHORT_MM / 2 && p < high - SHORT_MM / 2 && Math.abs(p - middle) > SHORT_MM / 2,
      )
  return low < middle && middle <= high && !isShort ? [...start, middle, ...curve] : [...start, ...curve]
}

/** Curves are marked so often. */
const CURVE_STEP_MM = 60

const TURN_RAD = Math.PI / 12

/** A mark that falls on the panel's own corner needs no notch there: the corner is the mark. */
function put(marks: Map<string, Notch[]>, panel: Panel, on: Stretch, place: number, letter: string): void {
  const length = finishedEdgeLength(panel, on.edge)
  const i = edgeIndex(panel, on.edge)
  if (
    (place < CORNER_MM && isCorner(panel, i)) ||
    (place > length - CORNER_MM && isCorner(panel, (i + 1) % panel.edges.length))
  )
    return
  marks.get(panel.id)!.push({ letter, edge: on.edge, atMm: place })
}

const CORNER_MM = 1

/** Where an edge only changes its allowance there is no corner to see. */
const isCorner = (panel: Panel, i: number): boolean =>
  Math.abs(turnAt(panel.finished, i)) > 1e-4 ||
  panel.edges[i]!.treatment === panel.edges[(i + panel.edges.length - 1) % panel.edges.length]!.treatment

/** How deep a notch is cut into its edge: as the book says, but never past half of the allowance. */
export const notchDepth = (panel: Panel, notch: Notch, bookMm: number): number =>
  Math.min(bookMm, panel.edges[edgeIndex(panel, notch.edge)]!.allowance.value / 2)

/** a, b, … z, aa, ab, …: small letters, so that they are not taken for seam letters. */
function* letterSequence(): Generator<string, string> {
  for (let n = 0; ; n++) {
    const last = String.fromCharCode(97 + (n % 26))
    yield n < 26 ? last : String.fromCharCode(96 + Math.floor(n / 26)) + last
  }
}
