/** How long a search goes on: so many seconds, or less, once it has settled. */
export interface SearchTime {
  readonly seconds: number
  /** After so many seconds it ends once nothing better has come for a while; a search without them goes on to its end. */
  readonly settlesAfter?: number
}

/** Nothing better for so long, and as long again as a third of the search: more of it is hardly worth waiting for. */
const QUIET_SECONDS = 1
const QUIET_SHARE = 1 / 3

/** Tells when a search is over, by the seconds since it began; `found` is told of each better lay. */
export function searchTime({ seconds, settlesAfter = seconds }: SearchTime, elapsed: () => number) {
  let lastBetter = 0
  const isQuiet = (now: number) => now - lastBetter > Math.max(QUIET_SECONDS, QUIET_SHARE * now)
  return {
    found: (): void => void (lastBetter = elapsed()),
    isOver: (): boolean => {
      const now = elapsed()
      return now > seconds || (now > settlesAfter && isQuiet(now))
    },
  }
}
