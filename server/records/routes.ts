import { randomUUID } from 'node:crypto'
import { createWriteStream, mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { pipeline } from 'node:stream/promises'
import { Transform } from 'node:stream'
import { Router, type Response } from 'express'
import type { Database } from '../db/index.ts'
import type { EventHub } from '../events/hub.ts'
import { sendProblem } from '../http/problem.ts'
import type { ShopRepository } from '../shop/repository.ts'
import { ArchiveFault } from './archive-read.ts'
import { lookIntoArchive, takeArchive } from './archive-take.ts'
import { writeArchive } from './archive-write.ts'
import type { Backups } from './backups.ts'

const LARGEST_ARCHIVE = 1024 * 1024 * 1024
/** An archive that was looked into waits so long to be taken in. */
const WAITS_MS = 30 * 60_000

export interface RecordsParts {
  readonly database: Database
  readonly backups: Backups
  readonly shop: ShopRepository
  readonly hub: EventHub
  readonly now: () => Date
}

/** Backups, and the archive of everything: both show what they hold before they change anything. */
export function recordsRoutes({ database, backups, shop, hub, now }: RecordsParts): Router {
  const router = Router()
  const waiting = new Map<string, string>()

  router.get('/backups', (_req, res) => void res.json(backups.list()))
  router.post('/backups', async (_req, res) => void res.status(201).json(await backups.make()))
  router.get('/backups/:name', async (req, res) => {
    const contents = await backups.look(req.params.name)
    if (!contents) return sendProblem(res, 'not-found', { detail: 'There is no backup of this name.' })
    res.json(contents)
  })
  router.post('/backups/:name/restore', async (req, res) => {
    const outcome = await backups.restore(req.params.name)
    if (outcome.kind === 'unknown') return sendProblem(res, 'not-found', { detail: 'There is no backup of this name.' })
    if (outcome.kind === 'refused') return sendProblem(res, 'bad-document', { detail: outcome.why })
    hub.tell({ kind: 'shop', by: '' })
    res.json(outcome.before)
  })

  router.get('/archive', async (_req, res) => {
    const { shopName } = await shop.settings()
    res.attachment(`loft-seam-${now().toISOString().slice(0, 10)}.zip`).type('application/zip')
    let isFull = false
    await writeArchive(database, shopName, now(), (chunk) => void (isFull = !res.write(chunk)), () => (isFull && !res.destroyed ? drained(res) : Promise.resolve()))
    res.end()
  })

  router.post('/archive/look', async (req, res) => {
    const folder = mkdtempSync(path.join(tmpdir(), 'loft-seam-archive-'))
    const file = path.join(folder, 'archive.zip')
    try {
      await pipeline(req, atMost(LARGEST_ARCHIVE), createWriteStream(file))
      const found = await lookIntoArchive(database, file)
      const token = randomUUID()
      waiting.set(token, folder)
      setTimeout(() => forget(token), WAITS_MS).unref()
      res.json({ token, ...found })
    } catch (error) {
      rmSync(folder, { recursive: true, force: true })
      if (error instanceof ArchiveFault) return sendProblem(res, 'bad-document', { detail: error.message })
      throw error
    }
  })

  router.post('/archive/take/:token', async (req, res) => {
    const folder = waiting.get(req.params.token)
    if (!folder) return sendProblem(res, 'not-found', { detail: 'This archive was looked into too long ago: open it again.' })
    waiting.delete(req.params.token)
    try {
      await backups.make()
      let last = 0
      await takeArchive(database, path.join(folder, 'archive.zip'), (share) => {
        if (share - last < 0.02 && share < 1) return
        last = share
        hub.tell({ kind: 'import', doneShare: share })
      })
      hub.tell({ kind: 'shop', by: '' })
      res.status(204).end()
    } catch (error) {
      if (error instanceof ArchiveFault) return sendProblem(res, 'bad-document', { detail: error.message })
      throw error
    } finally {
      rmSync(folder, { recursive: true, force: true })
    }
  })

  function forget(token: string): void {
    const folder = waiting.get(token)
    if (folder) rmSync(folder, { recursive: true, force: true })
    waiting.delete(token)
  }
  return router
}

const drained = (res: Response): Promise<void> =>
  new Promise((resolve) => {
    res.once('drain', resolve)
    res.once('close', resolve)
  })

function atMost(bytes: number): Transform {
  let seen = 0
  return new Transform({
    transform(chunk: Buffer, _encoding, done) {
      seen += chunk.length
      done(seen > bytes ? new ArchiveFault('The archive is larger than 1 GB.') : null, chunk)
    },
  })
}
