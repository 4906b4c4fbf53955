/**
 * A way of looking for shorter lays. It hands what it finds to the incumbent and yields now and
 * then the work done, in microseconds or so as once measured: counted, not timed, so that the
 * same seed and steps give the same lay on any machine.
 */
export type Strategy = Generator<number, unknown, void>

export interface Shared {
  readonly strategy: Strategy
  /** Of the work, compared with the others. */
  readonly share: number
}

export interface Budget {
  readonly steps: number
  /** Asked once a step; a clock or a stop button stands behind it. */
  readonly isStopped: () => boolean
}

/**
 * Lets strategies take turns by their shares of the work until all have ended, the budget runs out or the goal is
 * reached; answers the steps done.
 */
export function takeTurns(
  all: readonly Shared[],
  budget: Budget,
  isReached: () => boolean,
  from: number,
  onStep: (step: number) => void,
): number {
  const running = all.map((s) => ({ ...s, done: 0 }))
  let step = from
  while (running.length > 0 && step < budget.steps && !isReached() && !budget.isStopped()) {
    const next = running.reduce((a, b) => (b.done / b.share < a.done / a.share ? b : a))
    onStep(++step)
    const { value, done } = next.strategy.next()
    if (done) running.splice(running.indexOf(next), 1)
    else next.done += value as number
  }
  return step
}
