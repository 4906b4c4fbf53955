import type { MessagePort } from 'node:worker_threads'
import { createClient, type InStatement } from '@libsql/client'
import { chapterOf, packed } from '../jobs/packing.ts'
import { jobsHere, readParts, type Thing } from './archive-parts.ts'
import type { ArchivedJob, ArchivedRevision } from './archive-read.ts'
import { turnsOver } from './turns-over-port.ts'

/** So many bytes go into the file in one turn, so that a save never waits long for its own. */
const A_PORTION = 1_000_000

/**
 * Takes in what is not here yet: new jobs with their history, jobs saved later as a new revision on top, things of the
 * shop by their id. What is here is never overwritten. It comes in portions, each in a turn of its own between the
 * saves of the shop; what has come stays out of sight, marked as `coming`, until the last portion shows all of it at
 * once.
 */
export async function takeArchive(
  databaseFile: string,
  file: string,
  coming: string,
  port: MessagePort,
): Promise<void> {
  const client = createClient({ url: `file:${databaseFile}` })
  const { turn, told } = turnsOver(port)
  const here = await jobsHere(client)
  const newer = new Map<string, ArchivedRevision>()
  const lists: { readonly table: string; readonly things: readonly Thing[] }[] = []
  let [portion, bytes] = [[] as InStatement[], 0]
  const flush = async () => {
    const [now] = [portion, (bytes = 0)]
    portion = []
    if (now.length > 0) await turn(() => client.batch(now, 'write'))
  }
  const put = async (statement: InStatement, size: number) => {
    portion.push(statement)
    bytes += size
    if (bytes > A_PORTION) await flush()
  }
  try {
    await readParts(
      file,
      {
        job: async (job) => {
          if (!here.has(job.id)) return putNewJob(job, coming, put)
          const last = newestOf(job)
          if (here.get(job.id)! < last.savedAt && last.revision > (newer.get(job.id)?.revision ?? 0))
            newer.set(job.id, last)
        },
        photo: ({ id, jobId, takenAt, type }, picture) =>
          put(
            {
              sql: 'INSERT OR IGNORE INTO photos (id, job_id, taken_at, type, bytes) VALUES (?, ?, ?, ?, ?)',
              args: [id, jobId, takenAt, type, new Uint8Array(picture)],
            },
            picture.length,
          ),
        list: (table, things) => void lists.push({ table, things }),
      },
      told,
    )
    await flush()
    await turn(() => client.batch([...newer].flatMap(onTop).concat(lists.flatMap(missing), shown(coming)), 'write'))
  } finally {
    client.close()
  }
}

const newestOf = ({ revisions }: Pick<ArchivedJob, 'revisions'>): ArchivedRevision =>
  revisions.reduce((a, b) => (b.revision > a.revision ? b : a))

const shown = (coming: string): InStatement => ({
  sql: 'UPDATE jobs SET coming_with = NULL WHERE coming_with = ?',
  args: [coming],
})

/** A new job with its newest revision so far; its older ones are packed as they come. */
async function putNewJob(
  { id, goesOn, revisions }: ArchivedJob,
  coming: string,
  put: (statement: InStatement, size: number) => Promise<void>,
): Promise<void> {
  const newest = newestOf({ revisions })
  const { ticket, title, customer } = newest.job
  const document = JSON.stringify(newest.job)
  const names = [ticket, title, customer, newest.revision, newest.savedAt, document]
  await put(
    goesOn
      ? {
          sql: `UPDATE jobs SET ticket = ?, title = ?, customer = ?, revision = ?, saved_at = ?, document = ?
            WHERE id = ? AND coming_with = ? AND revision < ?`,
          args: [...names, id, coming, newest.revision],
        }
      : {
          sql: `INSERT INTO jobs (ticket, title, customer, revision, saved_at, document, id, coming_with)
            VALUES (?, ?, ?, ?, ?, ?, ?, ?)`,
          args: [...names, id, coming],
        },
    document.length,
  )
  const chapters = new Map(revisions.map((r) => [r.revision, JSON.stringify(r.job)]))
  for (const r of revisions) {
    const text = chapters.get(r.revision)!
    const begins = chapterOf(r.revision)
    const on = begins === r.revision || r === newest ? undefined : chapters.get(begins)
    const kept = on === undefined ? null : packed(text, on)
    await put(
      {
        sql: `INSERT INTO job_revisions (job_id, revision, saved_at, reason, document, packed, packed_on)
          VALUES (?, ?, ?, ?, ?, ?, ?)`,
        args: [id, r.revision, r.savedAt, r.reason, kept ? '' : text, kept, kept ? begins : null],
      },
      kept ? kept.length : text.length,
    )
  }
}

/** A job saved later elsewhere goes on top of what is here. */
function onTop([id, { job, savedAt }]: [string, ArchivedRevision]): InStatement[] {
  const document = JSON.stringify(job)
  return [
    {
      sql: `UPDATE jobs SET ticket = ?, title = ?, customer = ?, revision = revision + 1, saved_at = ?, document = ?, card = NULL
        WHERE id = ? AND saved_at < ?`,
      args: [job.ticket, job.title, job.customer, savedAt, document, id, savedAt],
    },
    {
      sql: `INSERT INTO job_revisions (job_id, revision, saved_at, reason, document)
        SELECT id, revision, saved_at, 'from an archive', document FROM jobs WHERE id = ? AND saved_at = ?
        ON CONFLICT DO NOTHING`,
      args: [id, savedAt],
    },
  ]
}

function missing({ table, things }: { readonly table: string; readonly things: readonly Thing[] }): InStatement[] {
  if (table === 'stock_moves')
    return (things as readonly { id: string; at: string; jobId: string | null }[]).map((move) => ({
      sql: 'INSERT OR IGNORE INTO stock_moves (id, at, job_id, document) VALUES (?, ?, ?, ?)',
      args: [move.id, move.at, move.jobId, JSON.stringify(move)],
    }))
  return things.map((thing) => ({
    sql: `INSERT OR IGNORE INTO ${table} (id, place, document) SELECT ?, coalesce(max(place), -1) + 1, ? FROM ${table}`,
    args: [thing.id, JSON.stringify(thing)],
  }))
}
