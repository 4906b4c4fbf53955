import { describe, expect, it } from 'vitest'
import { searchTime, type SearchTime } from './search-time.ts'

/** When a search ends that finds better lays after so many seconds, by a clock of tenths. */
function endsAt(time: SearchTime, betterAt: readonly number[]): number {
  let tenths = 0
  const { found, isOver } = searchTime(time, () => tenths / 10)
  while (!isOver()) {
    tenths += 1
    if (betterAt.includes(tenths / 10)) found()
    if (tenths > 1000) return Infinity
  }
  return tenths / 10
}

describe('a search goes on', () => {
  const first = { seconds: 6, settlesAfter: 1.5 }
  it.each<[string, SearchTime, number[], number]>([
    ['all its seconds, whatever it finds', { seconds: 2 }, [], 2.1],
    ['no longer than it must where nothing better comes', first, [0.2], 1.6],
    // 1.4 and a second.
    ['for a second after the last better lay', first, [0.2, 1.4], 2.5],
    ['while better ones come', first, [0.2, 1.4, 2.3, 3, 3.9, 4.9, 5.8], 6.1],
    // A third of 4.7 is more than what has passed since 3.1; of 4.6 it is not.
    ['for a third of it where it is long', first, [1, 1.9, 2.6, 3.1], 4.7],
  ])('%s', (_, time, betterAt, end) => expect(endsAt(time, betterAt)).toBe(end))
})
