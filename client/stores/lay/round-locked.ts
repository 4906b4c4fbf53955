import type { Lay } from '../../../contract/index.ts'
import { isShorter, type LayFailure } from '../../../core/lay/index.ts'
import type { Task } from '../../workers/task.ts'
import { searchInLanes, type Where } from '../lay-lanes.ts'
import type { KeyedLay } from './kept-lay.ts'

interface RoundLocked {
  readonly from: Lay
  /** Pieces that stay where `from` has them. */
  readonly keys: readonly string[]
  readonly seconds: number
  readonly where: Where
  readonly onSeconds: (seconds: number) => void
  /** Once, with the best lay or why there is none; neither where nothing was found in time. */
  readonly onEnd: (best: Lay | null, why: LayFailure | null) => void
}

/** Lays all that is not locked anew round what is. */
export function layRoundLocked(own: KeyedLay, asked: RoundLocked): Task {
  const { from, keys, seconds, where, onSeconds, onEnd } = asked
  let best: Lay | null = null
  return searchInLanes({ problem: own.problem, seed: 1, seconds, locked: { lay: from, keys }, inHand: null }, where, {
    onBetter: ({ lay }, after) => {
      onSeconds(after)
      const fresh = { ...lay, seconds: Number(after.toFixed(2)) }
      if (isShorter(fresh, best)) best = fresh
    },
    onEnd: (why) => onEnd(best, why),
  })
}
