import type { Job, Part } from '../../contract/index.ts'
import { mergeDocuments } from './merge.ts'
import { mergeLays } from './merge-lays.ts'
import { withoutLooseEnds } from './parts.ts'

export interface MergedJobs {
  readonly job: Job
  /** Places where both changed the same thing otherwise, and somebody must choose. */
  readonly clashes: readonly string[]
  /** Both ticked the same step: the first tick stays. */
  readonly isSecondTick: boolean
}

/**
 * Two versions of a job put together over what both started from, part by part. Of two ticks of one step the first
 * stays; minutes worked at one step are added; kept lays go by `mergeLays`; everything else that both changed otherwise, a note among it, is for the
 * maker to choose.
 */
export function mergeJobs(base: Job, mine: Job, theirs: Job): MergedJobs {
  const { lays, clashes: laid } = mergeLays(base.lays, mine.lays, theirs.lays)
  // Lays are put together whole: two halves of two lays are no lay.
  const { value, clashes } = mergeDocuments(
    byLetter(base),
    byLetter({ ...mine, lays: base.lays }),
    byLetter({ ...theirs, lays: base.lays }),
    (path) => WORKED.test(path),
  )
  const asked = clashes.filter((path) => !TICK.test(path))
  return { job: { ...inOrder(value), lays }, clashes: [...asked, ...laid], isSecondTick: asked.length < clashes.length }
}

const WORKED = /^making\.steps\..*\.workedS$/
const TICK = /^making\.steps\..*\.(doneAt|doneBy|overruled|runningSince)$/

/** Parts by their letters: lists count as one value, and two makers may each change a part of their own. */
type ByLetter = Omit<Job, 'parts'> & {
  readonly parts: Readonly<Record<string, Part>>
  readonly order: readonly string[]
}

const byLetter = (job: Job): ByLetter => ({
  ...job,
  parts: Object.fromEntries(job.parts.map((p) => [p.letter, p])),
  order: job.parts.map((p) => p.letter),
})

/** In the order that was chosen; a part that only one of them knew comes last. */
function inOrder({ parts, order, ...job }: ByLetter): Job {
  const letters = [...new Set([...order, ...Object.keys(parts)])].filter((letter) => letter in parts)
  return withoutLooseEnds({ ...job, parts: letters.map((letter) => parts[letter]!) })
}
