import { createHash } from 'node:crypto'
import { zipSync } from 'fflate'
import { ARCHIVE_FORMAT, ARCHIVE_VERSION, type Job } from '../../contract/index.ts'

/** An archive file of jobs, each with one revision, as the program would write it. */
export function archiveOf(jobs: readonly { readonly id: string; readonly job: Job }[]): Uint8Array {
  const text = (value: unknown) => new TextEncoder().encode(JSON.stringify(value))
  const savedAt = '2026-03-02T09:00:00.000Z'
  const files = Object.fromEntries(
    jobs.map(({ id, job }) => [
      `jobs/${id}.json`,
      text({ id, revisions: [{ revision: 1, savedAt, reason: 'made', job }] }),
    ]),
  )
  const sums = Object.fromEntries(
    Object.entries(files).map(([name, bytes]) => [name, createHash('sha256').update(bytes).digest('hex')]),
  )
  const manifest = { format: ARCHIVE_FORMAT, version: ARCHIVE_VERSION, shopName: 'Elsewhere', savedAt, files: sums }
  return zipSync({ ...files, 'manifest.json': text(manifest) }, { level: 1 })
}
