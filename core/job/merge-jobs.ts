import type { Job } from '../../contract/index.ts'
import { mergeDocuments } from './merge.ts'

export interface MergedJobs {
  readonly job: Job
  /** Places where both changed the same thing otherwise, and somebody must choose. */
  readonly clashes: readonly string[]
  /** Both ticked the same step: the first tick stays. */
  readonly isSecondTick: boolean
}

/**
 * Two versions of a job put together over what both started from. Of two ticks of one step the first stays; minutes
 * worked at one step are added; everything else that both changed otherwise, a note among it, is for the maker to
 * choose.
 */
export function mergeJobs(base: Job, mine: Job, theirs: Job): MergedJobs {
  const { value, clashes } = mergeDocuments(base, mine, theirs, (path) => WORKED.test(path))
  const asked = clashes.filter((path) => !TICK.test(path))
  return { job: value, clashes: asked, isSecondTick: asked.length < clashes.length }
}

const WORKED = /^making\.steps\..*\.workedS$/
const TICK = /^making\.steps\..*\.(doneAt|doneBy|overruled|runningSince)$/
