import type { Cover } from '../cover.ts'
import type { Seam, Stretch } from '../seam.ts'

/**
 * Seams stand in the order in which they are sewn. A seam that runs across the end of a join can
 * only be sewn after it, a piece is reachable for joining only while both are flat, and a closure
 * that opens must be in place before the last seam shuts the cover.
 */
export function canBeSewn(cover: Cover): readonly string[] {
  const faults: string[] = []
  cover.seams.forEach((seam, i) => {
    const later = cover.seams.slice(i + 1).filter((other) => other.kind === 'join' && crosses(seam, other))
    if (seam.kind === 'plate') later.forEach((join) => faults.push(`seam ${seam.letter} runs across the end of seam ${join.letter}, which is sewn only afterwards`))
  })
  const last = cover.seams.at(-1)
  const opening = cover.seams.findIndex((s) => s.letter === cover.closure.seam)
  if (opening < 0) faults.push('nothing opens: it cannot be turned or filled')
  else if (last && opening === cover.seams.length - 1) faults.push(`the closure ${last.letter} would be sewn last, into a cover that is already shut`)
  if (!(cover.closure.lengthMm.value > 0)) faults.push('the opening has no length')
  return faults
}

/** True when an end of the join lies on the seam. */
const crosses = (seam: Seam, join: Seam): boolean => stretches(join).some((end) => stretches(seam).some((s) => touchesCorner(s, end)))

const stretches = (seam: Seam): readonly Stretch[] => seam.pairs.flatMap((p) => [p.a, p.b])

/** A plate seam along an edge of the same panel passes the ends of that panel's other edges. */
const touchesCorner = (s: Stretch, end: Stretch): boolean => s.panel === end.panel && s.edge !== end.edge
