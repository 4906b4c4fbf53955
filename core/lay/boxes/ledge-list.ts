const NONE = -1

/**
 * The upper edge of what has been laid, in whole units: level stretches in a linked list from left to right, kept in
 * arrays because millions of boxes are set on it.
 */
export class LedgeList {
  readonly x: Int32Array
  readonly y: Int32Array
  readonly width: Int32Array
  private readonly before: Int32Array
  private readonly after: Int32Array
  private leftmost = 0
  private count = 0

  /** `boxes`: the most that will be set on it. */
  constructor(boxes: number) {
    const most = 2 * boxes + 4
    this.x = new Int32Array(most)
    this.y = new Int32Array(most)
    this.width = new Int32Array(most)
    this.before = new Int32Array(most)
    this.after = new Int32Array(most)
  }

  /** Bare cloth. */
  clear(wholeWidth: number): void {
    this.count = 1
    this.leftmost = 0
    this.x[0] = this.y[0] = 0
    this.width[0] = wholeWidth
    this.before[0] = this.after[0] = NONE
  }

  lowest(): number {
    const { y, after } = this
    let low = this.leftmost
    for (let k = after[low]!; k !== NONE; k = after[k]!) if (y[k]! < y[low]!) low = k
    return low
  }

  /** How high the neighbours of a ledge stand above it; the cloth's edges stand without end. */
  wallLeft(ledge: number): number {
    return this.rise(this.before[ledge]!, ledge)
  }

  wallRight(ledge: number): number {
    return this.rise(this.after[ledge]!, ledge)
  }

  private rise(neighbour: number, ledge: number): number {
    return neighbour === NONE ? Infinity : this.y[neighbour]! - this.y[ledge]!
  }

  /** A ledge, or the part of it at its left or right end, goes up; answers where that part begins. */
  raise(ledge: number, wide: number, by: number, isLeft: boolean): number {
    const rest = this.width[ledge]! - wide
    if (rest === 0) {
      this.y[ledge]! += by
      const at = this.x[ledge]!
      this.joinNeighbours(ledge)
      return at
    }
    return this.raisePart(ledge, wide, by, isLeft, rest)
  }

  private raisePart(ledge: number, wide: number, by: number, isLeft: boolean, rest: number): number {
    const { x, y, width, before, after } = this
    const at = isLeft ? x[ledge]! : x[ledge]! + rest
    const raised = this.count++
    width[raised] = wide
    y[raised] = y[ledge]! + by
    x[raised] = at
    width[ledge] = rest
    if (isLeft) {
      x[ledge]! += wide
      this.link(before[ledge]!, raised)
      this.link(raised, ledge)
    } else {
      this.link(raised, after[ledge]!)
      this.link(ledge, raised)
    }
    this.joinNeighbours(raised)
    return at
  }

  /** Area below the edge. */
  areaUnder(): number {
    let under = 0
    for (let k = this.leftmost; k !== NONE; k = this.after[k]!) under += this.width[k]! * this.y[k]!
    return under
  }

  private link(left: number, right: number): void {
    const { before, after } = this
    if (left === NONE) this.leftmost = right
    else after[left] = right
    if (right !== NONE) before[right] = left
  }

  /** Neighbours of one height become one ledge. */
  private joinNeighbours(ledge: number): void {
    const { y, width, before, after } = this
    const [left, right] = [before[ledge]!, after[ledge]!]
    if (right !== NONE && y[right] === y[ledge]) {
      width[ledge]! += width[right]!
      this.link(ledge, after[right]!)
    }
    if (left !== NONE && y[left] === y[ledge]) {
      width[left]! += width[ledge]!
      this.link(left, after[ledge]!)
    }
  }
}
