/** A name that may stand at a few places along its edge: the middle of its foot line and where it is held. */
export interface NamedEdge {
  readonly words: string
  readonly spots: readonly { readonly x: number; readonly y: number; readonly anchor: 'start' | 'middle' | 'end' }[]
  /** Pixels along a level edge; a name wider than that belongs nowhere. Null for an upright one. */
  readonly roomPx: number | null
}

const LETTER_PX = 7.2
const LINE_PX = 16

/** What is written already, pixels. */
export interface Box {
  readonly left: number
  readonly right: number
  readonly top: number
  readonly foot: number
}

/** The place of each name where it hides no other; null where it has none: the name is told on touching the edge. */
export function placeNames(edges: readonly NamedEdge[], taken: readonly Box[] = []): readonly (number | null)[] {
  const boxes = [...taken]
  return edges.map(({ words, spots, roomPx }) => {
    const wide = words.length * LETTER_PX
    if (words === '' || (roomPx !== null && wide > roomPx)) return null
    const at = spots.findIndex((spot) => {
      const box = boxOf(spot, wide)
      return boxes.every((b) => b.right < box.left || b.left > box.right || b.foot < box.top || b.top > box.foot)
    })
    if (at < 0) return null
    boxes.push(boxOf(spots[at]!, wide))
    return at
  })
}

/** The room that words take in the middle of a place. */
export const middleBox = (words: string, x: number, y: number, letterPx = LETTER_PX): Box =>
  boxOf({ x, y, anchor: 'middle' }, words.length * letterPx)

function boxOf({ x, y, anchor }: NamedEdge['spots'][number], wide: number): Box {
  const left = anchor === 'start' ? x : anchor === 'end' ? x - wide : x - wide / 2
  return { left, right: left + wide, top: y - LINE_PX * 0.8, foot: y + LINE_PX * 0.3 }
}
