import { ROUNDING_MM } from '../tolerances.ts'

/** Equal pieces, and for each way of turning them how wide they are on how much of the roll, or on how many lines. */
export interface WidePieces {
  readonly count: number
  readonly ways: readonly (readonly { readonly width: number; readonly on: number }[])[]
}

/**
 * Of lines across the cloth, `room` wide, how many (or how much of the roll) pieces take at the least. What is wider than
 * the room less t leaves nothing beside it for anything as wide as t: it counts whole, what is narrower than t counts
 * nothing, the rest its share. (A dual feasible function; of all t, and of the ways a piece may be turned, what proves
 * most and takes least.)
 */
export function linesTaken(pieces: readonly WidePieces[], room: number): number {
  // Between two widths nothing comes to count less: t may as well be the next of them, or half the room.
  const narrow = pieces.flatMap(({ ways }) => ways.flatMap((way) => way.map((w) => w.width)))
  const thresholds = new Set([room / 2, ...narrow.filter((w) => w > 0 && w < room / 2)])
  const taken = [...thresholds].map((t) => {
    const counted = (w: number) => (w > room - t + ROUNDING_MM ? 1 : w < t - ROUNDING_MM ? 0 : w / room)
    // A piece that may lie in no way has no lay at all, which is told elsewhere: it proves nothing of the others.
    const least = ({ ways }: WidePieces) =>
      ways.length === 0
        ? 0
        : Math.min(...ways.map((way) => way.reduce((sum, { width, on }) => sum + on * counted(width), 0)))
    return pieces.reduce((sum, p) => sum + p.count * least(p), 0)
  })
  return Math.max(0, ...taken)
}
