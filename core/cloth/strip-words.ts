import { phrase } from '../language/index.ts'
import type { PipingStrips } from './piping-strips.ts'

/** How many strips a loop or run is joined from. */
export const stripsToRun = (own: PipingStrips): string => phrase`${own.split.strips.value} to ${stripRuns(own)}`

/** Which runs are split so: any, where all are. */
export function stripRuns({ id, of, group, runs: { first, count } }: PipingStrips): string {
  if (id === of) return group.isClosed ? 'a loop' : 'a run'
  if (count === 1) return group.isClosed ? phrase`loop ${first + 1}` : phrase`run ${first + 1}`
  return group.isClosed ? phrase`loops ${first + 1} to ${first + count}` : phrase`runs ${first + 1} to ${first + count}`
}

/** Which strip of which runs: what is chalked on it, so that it finds its place again. */
export function stripPlace(own: PipingStrips, index: number): string {
  return phrase`strip ${own.cut[index]!.places.join(', ')} of ${own.split.lengths.length} to ${stripRuns(own)}`
}
