/** A run that is cut from strips joined to each other, in mm along a row. */
export interface WantedRun {
  readonly lengthMm: number
  /** Taken of each strip after the first. */
  readonly lossMm: number
  readonly mostStrips: number
  /** No strip is longer. */
  readonly longestMm: number
}

/** A strip cut from a row: which, from where in it and how long. */
export interface RowCut {
  readonly row: number
  readonly fromMm: number
  readonly lengthMm: number
}

/**
 * Shares rows out among runs, the longest run first: from the shortest row that holds all of it, else from the longest
 * row and so on with what is wanted still. What is left of a row serves others. By run, in order; null where the rows
 * are not enough.
 */
export function shareOut(
  runs: readonly WantedRun[],
  rowsMm: readonly number[],
  leastMm: number,
  stepMm: number,
): readonly (readonly RowCut[])[] | null {
  const left = [...rowsMm]
  const cutOff = (row: number, lengthMm: number): RowCut => {
    const fromMm = rowsMm[row]! - left[row]!
    left[row]! -= lengthMm
    return { row, fromMm, lengthMm }
  }
  const order = runs.map((_, i) => i).toSorted((a, b) => runs[b]!.lengthMm - runs[a]!.lengthMm)
  const shared = new Map<number, readonly RowCut[]>()
  for (const i of order) {
    const { lossMm, mostStrips, longestMm } = runs[i]!
    const strips: RowCut[] = []
    for (let wanted = runs[i]!.lengthMm; wanted > 0;) {
      const enough = wanted > longestMm ? null : shortestOf(left, wanted)
      if (enough !== null) {
        strips.push(cutOff(enough, wanted))
        break
      }
      const longest = left.reduce((best, mm, row) => (mm > left[best]! ? row : best), 0)
      // The last strip is to be long enough to be handled.
      const most = Math.min(left[longest] ?? 0, longestMm, wanted + lossMm - leastMm)
      const lengthMm = Math.floor(most / stepMm + 1e-9) * stepMm
      if (strips.length + 1 >= mostStrips || lengthMm < leastMm) return null
      strips.push(cutOff(longest, lengthMm))
      wanted += lossMm - lengthMm
    }
    shared.set(i, strips)
  }
  return runs.map((_, i) => shared.get(i)!)
}

function shortestOf(leftMm: readonly number[], wantedMm: number): number | null {
  let best: number | null = null
  leftMm.forEach((mm, row) => {
    if (mm + 1e-9 >= wantedMm && (best === null || mm < leftMm[best]!)) best = row
  })
  return best
}
