import { phrase } from '../../language/index.ts'
import type { Cover } from '../cover.ts'
import type { Seam, Stretch } from '../seam.ts'

/**
 * Seams stand in the order in which they are sewn. A seam that runs across the end of a join, a
 * corner or a tuck can only be sewn after it; a closure that opens must be in place before the seam
 * that shuts the rest; and after every seam that is sewn from inside there must be a way left to turn
 * the cover out and to fill it: an opening closure, or an edge still free.
 */
export function canBeSewn(cover: Cover): readonly string[] {
  const faults: string[] = []
  const { seams } = cover
  seams.forEach((seam, i) => {
    if (seam.kind !== 'plate') return
    const later = seams.slice(i + 1).filter((other) => isSewnFlat(other) && crosses(seam, other))
    later.forEach((join) =>
      faults.push(
        phrase`seam ${seam.letter} runs across the end of seam ${join.letter}, which is sewn only afterwards`,
      ),
    )
  })
  if (cover.closures.every((c) => c.choice.kind === 'fixed')) return faults
  const slot = cover.closures.some((c) => c.seam === null)
  const opens = (from: number, to: number) => slot || seams.slice(from, to).some((s) => s.kind === 'closure')
  const stillFree = (from: number) => seams.slice(from).some((s) => s.pairs.length > 0)
  const lastInside = seams.findLastIndex((s) => s.kind !== 'final' && s.pairs.length > 0)
  if (!slot && !seams.some((s) => s.kind === 'closure' || s.kind === 'final'))
    faults.push('nothing opens: it cannot be turned or filled')
  else if (seams[lastInside]?.kind === 'closure' && seams.length > 1 && lastInside === seams.length - 1)
    faults.push(phrase`the closure ${seams[lastInside].letter} would be sewn last, into a cover that is already shut`)
  else if (!opens(0, lastInside + 1) && !stillFree(lastInside + 1))
    faults.push(phrase`after seam ${seams[lastInside]?.letter ?? ''} no way is left to turn it out`)
  const inside = seams.findIndex(
    (s, i) =>
      s.kind === 'final' && seams.slice(i + 1).some((other) => other.kind !== 'final' && other.pairs.length > 0),
  )
  if (inside >= 0)
    faults.push(phrase`seam ${seams[inside]!.letter} is sewn from outside, but seams follow that need the inside`)
  if (cover.closures.some((c) => !(c.lengthMm.value > 0))) faults.push('the opening has no length')
  return faults
}

/** Pieces that are put together while both lie flat. */
const isSewnFlat = (seam: Seam): boolean => seam.kind === 'join' || seam.kind === 'corner' || seam.kind === 'tuck'

/** True when an end of the join lies on the seam. */
const crosses = (seam: Seam, join: Seam): boolean =>
  stretches(join).some((end) => stretches(seam).some((s) => touchesCorner(s, end)))

const stretches = (seam: Seam): readonly Stretch[] => seam.pairs.flatMap((p) => [p.a, p.b])

/** A plate seam along an edge of the same panel passes the ends of that panel's other edges. */
const touchesCorner = (s: Stretch, end: Stretch): boolean => s.panel === end.panel && s.edge !== end.edge
