import { bandEdgeNames } from './bands.ts'

/** What the front of a waterfall is like: how long, how round, and what is tucked away at its corners. */
export interface Front {
  readonly d: number
  readonly t: number
  readonly r: number
  readonly tuck: number
  readonly tucks: number
  readonly tuckFromMm: number
}

/** A stretch of the plate's side that lies against an edge of the right band, or part of one. */
export interface Run {
  readonly edge: string
  /** Where it begins on the plate, from the bottom back. */
  readonly start: number
  /** What of the way along that edge, walked as the plate is. */
  readonly from: number
  readonly to: number
  readonly edgeMm: number
}

/** The side of the plate from end to end. */
export interface UpThePlate {
  readonly runs: readonly Run[]
  readonly tuckStarts: readonly number[]
  readonly whole: number
}

/**
 * Up the plate from the bottom back: bottom, round, front, round, top. Tucks of twice their depth lie at the front
 * corners, or so far before the lower one and beyond the upper one.
 */
export function upThePlate({ d, t, r, tuck, tucks, tuckFromMm }: Front): UpThePlate {
  const arc = (Math.PI / 2) * r
  const names = ['bottom', ...bandEdgeNames('right', t, r).slice(3).toReversed(), 'top']
  const fromCorner = tuck > 0 ? Array.from({ length: tucks }, (_, k) => (k + 1) * tuckFromMm) : []
  const runs: Run[] = []
  const tuckStarts: number[] = []
  let start = 0
  for (const edge of names) {
    const edgeMm = edge === 'bottom' || edge === 'top' ? d - r : edge === 'front' ? t - 2 * r : arc
    const places = edge === 'bottom' ? fromCorner.map((v) => edgeMm - v).toReversed() : edge === 'top' ? fromCorner : []
    let from = 0
    const run = (to: number) => {
      if (to - from > 1e-9) runs.push({ edge, start, from, to, edgeMm })
      start += to - from
      from = to
    }
    for (const place of places) {
      run(place)
      tuckStarts.push(start)
      start += 2 * tuck
    }
    run(edgeMm)
  }
  return { runs, tuckStarts, whole: start }
}
