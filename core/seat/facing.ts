import type { Side } from '../../contract/index.ts'

/** The seat's drawn sides as the sitter names them, and which measured dimension runs across the front. */
export interface Facing {
  readonly front: Side
  readonly right: Side
  readonly back: Side
  readonly left: Side
  readonly across: 'width' | 'depth'
}

const ROUND: readonly Side[] = ['near', 'right', 'far', 'left']

/** `right` is at the right hand of someone who stands before the front edge and looks at the seat. */
export function facing(front: Side): Facing {
  const start = ROUND.indexOf(front)
  const side = (steps: number): Side => ROUND[(start + steps) % 4]!
  return { front, right: side(1), back: side(2), left: side(3), across: front === 'near' || front === 'far' ? 'width' : 'depth' }
}
