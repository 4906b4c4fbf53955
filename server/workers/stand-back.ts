import { setPriority } from 'node:os'

/** Called in a worker: whoever waits for an answer of the shop goes first. Each thread has a priority of its own. */
export function standBack(): void {
  try {
    setPriority(0, 10)
  } catch {
    // A machine that will not have it runs the work as it is.
  }
}
