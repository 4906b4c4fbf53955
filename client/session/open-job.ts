/** Whoever looks after the job that is open on this page: the store of the open job, once there is one. */
export interface OpenJobKeeper {
  readonly isOpen: (id: string) => boolean
  /** A save of another page was told of. */
  readonly hear: (id: string, revision: number) => Promise<void>
  /** The network is back: what was missed? */
  readonly lookAgain: () => Promise<void>
}

const NOBODY: OpenJobKeeper = { isOpen: () => false, hear: () => Promise.resolve(), lookAgain: () => Promise.resolve() }

let keeper = NOBODY

/** A page that has no job open need not know how to plan one: the shelf stands before all that is fetched. */
export function keepOpenJob(by: OpenJobKeeper): void {
  keeper = by
}

export const openJobKeeper = (): OpenJobKeeper => keeper
