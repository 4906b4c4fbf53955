import { createReadStream, createWriteStream, existsSync, mkdirSync, rmSync } from 'node:fs'
import { randomUUID } from 'node:crypto'
import path from 'node:path'
import { MessageChannel } from 'node:worker_threads'
import { pipeline } from 'node:stream/promises'
import { Transform } from 'node:stream'
import { Router } from 'express'
import { desc } from 'drizzle-orm'
import type { Access } from '../access/guard.ts'
import { makersOnly } from '../access/guard.ts'
import { setAside, type Database } from '../db/index.ts'
import type { EventHub } from '../events/hub.ts'
import { sendProblem } from '../http/problem.ts'
import { sessionCap } from '../http/session-cap.ts'
import { historyBytes } from '../jobs/history.ts'
import type { JobsRepository } from '../jobs/repository.ts'
import type { Summaries } from '../jobs/summaries.ts'
import type { WorkerPool } from '../workers/pool.ts'
import { ArchiveFault } from './archive-fault.ts'
import type { Backups } from './backups.ts'
import type { RecordsAnswer, RecordsTask } from './records-worker.ts'
import { takeOutUnfinished } from './unfinished.ts'
import { giveTurns } from './turns-over-port.ts'

const LARGEST_ARCHIVE = 1024 * 1024 * 1024
/** An archive that was looked into waits so long to be taken in. */
const WAITS_MS = 30 * 60_000
const LONGEST_MS = 30 * 60_000

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

/** Backups, and the archive of everything: both show what they hold before they change anything. */
export function recordsRoutes(parts: RecordsParts): Router {
  const { database, backups, records, access, hub, folder, now } = parts
  const readAgain = () => {
    parts.summaries.forget()
    parts.jobs.forget()
  }
  const router = Router()
  /**
   * Archives that were looked into, by their tokens; `taken` once they are in, so that an answer that was lost can be
   * had again.
   */
  const waiting = new Map<string, 'waits' | 'under-way' | 'taken'>()
  const fileOf = (token: string) => path.join(folder, `${token}.zip`)
  mkdirSync(folder, { recursive: true, mode: 0o700 })

  router.get('/backups', (_req, res) => void res.json(backups.list()))
  router.post('/backups', sessionCap(access, 1), async (_req, res) => {
    res.status(201).json(await backups.make('manual'))
  })
  router.get('/backups/:name', sessionCap(access, 2), async (req, res) => {
    const contents = await backups.look(req.params['name'] as string)
    if (!contents) return sendProblem(res, 'not-found', { detail: 'There is no backup of this name.' })
    res.json(contents)
  })
  router.post('/backups/:name/restore', async (req, res) => {
    const outcome = await backups.restore(req.params.name)
    if (outcome.kind === 'unknown') return sendProblem(res, 'not-found', { detail: 'There is no backup of this name.' })
    if (outcome.kind === 'refused') return sendProblem(res, 'bad-document', { detail: outcome.why })
    readAgain()
    hub.tell({ kind: 'restored', by: String(req.headers['x-page'] ?? '') })
    res.json(outcome.before)
  })
  router.get('/history', async (_req, res) => {
    const aside = await database.orm
      .select({ at: setAside.at, name: setAside.name, stoodIn: setAside.stoodIn, why: setAside.why })
      .from(setAside)
      .orderBy(desc(setAside.at))
      .limit(100)
    res.json({ ...(await historyBytes(database)), aside })
  })

  router.get('/archive', makersOnly(access), sessionCap(access, 1), async (_req, res) => {
    const into = fileOf(randomUUID())
    const at = now().toISOString()
    try {
      const task = { do: 'write-archive', databaseFile: database.file, at, into } as const
      await records.run(task, { deadlineMs: LONGEST_MS })
      res.attachment(`loft-seam-${at.slice(0, 10)}.zip`).type('application/zip')
      await pipeline(createReadStream(into), res).catch(() => undefined)
    } finally {
      rmSync(into, { force: true })
    }
  })

  router.post('/archive/look', sessionCap(access, 1), async (req, res) => {
    const token = randomUUID()
    const file = fileOf(token)
    let isKept = false
    try {
      await pipeline(req, atMost(LARGEST_ARCHIVE), createWriteStream(file, { mode: 0o600 }))
      const answer = await records.run({ do: 'look', databaseFile: database.file, file }, { deadlineMs: LONGEST_MS })
      if (answer.kind === 'refused') return sendProblem(res, 'bad-document', { detail: answer.why })
      if (answer.kind !== 'found') throw new Error('the records worker answered with something else')
      isKept = true
      waiting.set(token, 'waits')
      setTimeout(() => forget(token), WAITS_MS).unref()
      res.json({ token, ...answer.found })
    } catch (error) {
      if (error instanceof ArchiveFault) return sendProblem(res, 'bad-document', { detail: error.message })
      if (!res.destroyed) throw error
    } finally {
      if (!isKept) rmSync(file, { force: true })
    }
  })

  router.post('/archive/take/:token', async (req, res) => {
    const { token } = req.params
    const stands = waiting.get(token)
    if (stands === 'taken') return void res.status(204).end()
    if (stands === 'under-way') return sendProblem(res, 'busy', { detail: 'It is being taken in just now.' })
    if (!stands || !existsSync(fileOf(token)))
      return sendProblem(res, 'not-found', { detail: 'This archive was looked into too long ago: open it again.' })
    waiting.set(token, 'under-way')
    try {
      await backups.make('before-import')
      const answer = await taken(fileOf(token))
      if (answer.kind === 'refused') {
        waiting.set(token, 'waits')
        return sendProblem(res, 'bad-document', { detail: answer.why })
      }
      waiting.set(token, 'taken')
      rmSync(fileOf(token), { force: true })
      readAgain()
      hub.tell({ kind: 'shop', by: '' })
      res.status(204).end()
    } catch (error) {
      // What kept it out may pass: it can be taken in again without being sent again.
      waiting.set(token, 'waits')
      throw error
    }
  })

  async function taken(file: string): Promise<RecordsAnswer> {
    const { port1: mine, port2: turns } = new MessageChannel()
    let last = 0
    const giving = giveTurns(mine, database.write, (share) => {
      if (share - last < 0.02 && share < 1) return
      last = share
      hub.tell({ kind: 'import', doneShare: share })
    })
    const task = { do: 'take', databaseFile: database.file, file, coming: randomUUID(), turns } as const
    try {
      return await records.run(task, { deadlineMs: LONGEST_MS, transferList: [turns] })
    } finally {
      giving.end()
      await takeOutUnfinished(database)
    }
  }
  function forget(token: string): void {
    if (waiting.get(token) === 'under-way') return
    rmSync(fileOf(token), { force: true })
    waiting.delete(token)
  }
  return router
}

function atMost(bytes: number): Transform {
  let seen = 0
  return new Transform({
    transform(chunk: Buffer, _encoding, done) {
      seen += chunk.length
      done(seen > bytes ? new ArchiveFault('The archive is larger than 1 GB.') : null, chunk)
    },
  })
}
