import type { Access } from '../access/guard.ts'
import type { Database } from '../db/index.ts'
import type { EventHub } from '../events/hub.ts'
import type { JobsRepository } from '../jobs/repository.ts'
import type { Summaries } from '../jobs/summaries.ts'
import type { WorkerPool } from '../workers/pool.ts'
import type { Backups } from './backups.ts'
import type { RecordsAnswer, RecordsTask } from './records-worker.ts'

/** What the routes of the records work with. */
export interface RecordsParts {
  readonly database: Database
  readonly backups: Backups
  readonly summaries: Summaries
  readonly jobs: JobsRepository
  readonly records: WorkerPool<RecordsTask, RecordsAnswer>
  readonly access: Access
  readonly hub: EventHub
  /** A folder for archives on their way in and out, emptied at every start. */
  readonly folder: string
  readonly now: () => Date
}

/** Other records lie in the database than a moment ago: nothing that was read of them holds. */
export function readAgain({ summaries, jobs }: RecordsParts): void {
  summaries.forget()
  jobs.forget()
}

/** What an archive may take to be written, looked into or taken in. */
export const LONGEST_MS = 30 * 60_000
