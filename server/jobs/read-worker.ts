import { readJob } from '../../contract/index.ts'

/** Holds a long job document against its schema, in a thread of its own. */
export default function readLongJob(document: unknown): ReturnType<typeof readJob> {
  return readJob(document)
}
