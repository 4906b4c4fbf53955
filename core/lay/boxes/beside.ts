/** A box that lies from `at` on for `long`, and takes so much across. */
interface Lying {
  readonly at: number
  readonly long: number
  readonly wide: number
}

/** Where each box begins across, by its index. */
export type Places = readonly number[]

/** Questions longer than this stay open. */
const MOST_NODES = 50_000

/**
 * Finds places across for boxes whose beginnings along are known, so that none lie on each other;
 * null when there are none. Every such lay can be pushed to one side, so boxes are set one by one
 * from that side, each as far there as those set before it let it.
 *
 * @param before Places of the first few of the boxes, which are kept if the others go beside them.
 */
export function placesBeside(
  boxes: readonly Lying[],
  room: number,
  before: Places | null,
): Places | null | 'undecided' {
  const kept = before && added(boxes, room, before)
  if (kept) return kept
  const n = boxes.length
  const meets = boxes.map((a, i) => boxes.flatMap((b, j) => (i !== j && isBeside(a, b) ? [j] : [])))
  const levels = [...new Set(boxes.map((b) => b.at))].map((level) =>
    boxes.flatMap((b, i) => (b.at <= level && level < b.at + b.long ? [i] : [])),
  )
  const places = new Array<number>(n).fill(-1)
  /** How far across each box begins at least, by those set beside it. */
  const least = new Array<number>(n).fill(0)
  let nodes = 0
  const found = setFrom(0, 0)
  return found === true ? places : found === false ? null : found

  function setFrom(count: number, last: number): boolean | 'undecided' {
    if (count === n) return true
    if (++nodes > MOST_NODES) return 'undecided'
    if (levels.some((level) => isOverfull(level, last))) return false
    for (let i = 0; i < n; i++) {
      const place = least[i]!
      if (places[i]! >= 0 || place < last || place + boxes[i]!.wide > room) continue
      const old = meets[i]!.map((j) => least[j]!)
      places[i] = place
      for (const j of meets[i]!) least[j] = Math.max(least[j]!, place + boxes[i]!.wide)
      const found = setFrom(count + 1, place)
      if (found !== false) return found
      places[i] = -1
      meets[i]!.forEach((j, k) => (least[j] = old[k]!))
    }
    return false
  }

  /** Whether what is still to be set at a level has no room there beyond what is. */
  function isOverfull(level: readonly number[], last: number): boolean {
    let [from, needed] = [Infinity, 0]
    for (const i of level) {
      if (places[i]! >= 0) continue
      needed += boxes[i]!.wide
      from = Math.min(from, Math.max(least[i]!, last))
    }
    return needed > 0 && from + needed > room
  }
}

/** The boxes that have no place yet, each as near to the side as those with a place let it. */
function added(boxes: readonly Lying[], room: number, before: Places): Places | null {
  const places = [...before]
  for (let i = before.length; i < boxes.length; i++) {
    const beside = places
      .map((place, j) => ({ place, end: place + boxes[j]!.wide, box: boxes[j]! }))
      .filter(({ box }) => isBeside(box, boxes[i]!))
      .sort((a, b) => a.place - b.place)
    const place = beside.reduce((from, b) => (b.place < from + boxes[i]!.wide ? Math.max(from, b.end) : from), 0)
    if (place + boxes[i]!.wide > room) return null
    places.push(place)
  }
  return places
}

const isBeside = (a: Lying, b: Lying): boolean => a.at < b.at + b.long && b.at < a.at + a.long
