import { JOB_FORMAT, JOB_VERSION, readJob, type Job, type ReadDocument } from '../../contract/index.ts'
import { workerPool } from '../workers/pool.ts'

/** Longer texts take the schema so long that they would hold up whoever else asks. */
const LONG_CHARACTERS = 64 * 1024
const READING_MS = 10_000

export interface JobReader {
  /** A job from outside held against its schema; a long one apart from the shop. */
  readonly read: (document: unknown, characters: number) => Promise<ReadDocument<Job>>
  readonly close: () => Promise<void>
}

/** Reads jobs off the main thread where they are long, so that no request waits for another one. */
export function jobReader(): JobReader {
  const pool = workerPool<unknown, ReadDocument<Job>>('read-worker', 1)
  return {
    read: async (document, characters) =>
      characters > LONG_CHARACTERS ? pool.run(document, { deadlineMs: READING_MS }) : readJob(document),
    close: pool.close,
  }
}

/** How a document of the present version begins, as the schema writes it. */
const OF_THIS_RELEASE = `{"format":"${JOB_FORMAT}","version":${JOB_VERSION},`

/** Whether a text this program kept is of its present version: it was held against the schema when it was saved. */
export const isOfThisRelease = (text: string): boolean => text.startsWith(OF_THIS_RELEASE)

/** A job as this program kept it; one of an older release is brought to the present version. */
export const keptJob = (text: string): ReadDocument<Job> =>
  isOfThisRelease(text) ? { ok: true, value: JSON.parse(text) as Job } : readJob(JSON.parse(text))
