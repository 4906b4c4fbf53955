import { between, edgeOf, outwardOfChord, turnAt, type Outline, type Point } from '../outline/index.ts'

/** Counter-clockwise from the sitter. */
export const SIDES = ['front', 'right', 'back', 'left'] as const
export type SideName = (typeof SIDES)[number]

/**
 * Which side each edge belongs to, for an outline that stands with its front edge at the foot.
 * The front grows from its edge, and the back from the far edge that faces away most, over
 * neighbours that still face within 45° of it without a sharp corner between; all else is right or left.
 */
export function sidesOf(outline: Outline, front: number): readonly SideName[] {
  const n = outline.length
  const faces = outline.map((_, i) => outwardOfChord(outline, i))
  const back = backEdge(outline, front)
  const isFront = grown(outline, front, (i) => i !== back && -faces[i]!.y > NEAR)
  const isBack = grown(outline, back, (i) => !isFront(i) && faces[i]!.y > NEAR)
  const sides = new Array<SideName>(n).fill('left')
  let side: SideName = 'right'
  // Walked counter-clockwise from the front edge, the right comes before the back and the left after it.
  for (let step = 0; step < n; step++) {
    const i = (front + step) % n
    if (isBack(i)) side = 'left'
    sides[i] = isFront(i) ? 'front' : isBack(i) ? 'back' : side
  }
  return sides
}

/** The edge at the foot that a cut-off part of a seat turns to the sitter. */
export function frontEdge(outline: Outline): number {
  return best(outline, (i) => {
    const out = outwardOfChord(outline, i)
    return -out.y > 0.5 ? 1e6 - chordMiddle(outline, i).y : -out.y
  })
}

/** Just short of 45°, so that a rounded corner between two sides belongs to the left or right one. */
const NEAR = Math.cos((44.9 * Math.PI) / 180)

function backEdge(outline: Outline, front: number): number {
  return best(outline, (i) => {
    if (i === front) return -Infinity
    const out = outwardOfChord(outline, i)
    return out.y > 0.5 ? 1e6 + chordMiddle(outline, i).y : out.y
  })
}

function chordMiddle(outline: Outline, i: number): Point {
  const [a, b] = edgeOf(outline, i)
  return between(a, b, 0.5)
}

const best = (outline: Outline, worth: (i: number) => number): number =>
  outline.reduce((found, _, i) => (worth(i) > worth(found) ? i : found), 0)

/** A corner that turns more is where another side begins: the ends of a round bench face forward too. */
const SHARP_RAD = (50 * Math.PI) / 180

/** The run of neighbours round a start that all belong. */
function grown(outline: Outline, start: number, belongs: (i: number) => boolean): (i: number) => boolean {
  const n = outline.length
  const run = new Set([start])
  const isBlunt = (corner: number) => Math.abs(turnAt(outline, corner)) < SHARP_RAD
  for (let i = (start + 1) % n; !run.has(i) && belongs(i) && isBlunt(i); i = (i + 1) % n) run.add(i)
  for (let i = (start + n - 1) % n; !run.has(i) && belongs(i) && isBlunt((i + 1) % n); i = (i + n - 1) % n) run.add(i)
  return (i) => run.has(i)
}
