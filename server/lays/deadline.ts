/** A minute of planning, and what reading and the first lay take. */
const LONGEST_MS = 75_000

/** The seconds asked for, read without reading the rest, and twice that with five more for reading and a first lay. */
export function deadlineOf(text: string): number {
  const said = /"seconds"\s*:\s*(\d+(?:\.\d+)?)/.exec(
    text.length > SEEN ? text.slice(0, SEEN) + text.slice(-SEEN) : text,
  )
  return Math.min(LONGEST_MS, 5000 + 2000 * Number(said?.[1] ?? 5))
}
const SEEN = 4096
