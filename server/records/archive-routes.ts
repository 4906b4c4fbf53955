import { createReadStream, createWriteStream, rmSync } from 'node:fs'
import { randomUUID } from 'node:crypto'
import { Transform } from 'node:stream'
import { pipeline } from 'node:stream/promises'
import { Router } from 'express'
import { makersOnly } from '../access/guard.ts'
import { sendProblem } from '../http/problem.ts'
import { sessionCap } from '../http/session-cap.ts'
import { ArchiveFault } from './archive-fault.ts'
import { LONGEST_MS, readAgain, type RecordsParts } from './parts.ts'
import { takenIn } from './take-in.ts'
import { waitingArchives } from './waiting-archives.ts'

const LARGEST_ARCHIVE = 1024 * 1024 * 1024

/** The archive of everything: written, looked into, and taken in once it was looked into. */
export function archiveRoutes(parts: RecordsParts): Router {
  const { database, backups, records, access, hub, folder, now } = parts
  const router = Router()
  const waiting = waitingArchives(folder)

  router.get('/archive', makersOnly(access), sessionCap(access, 1), async (_req, res) => {
    const into = waiting.fileOf(randomUUID())
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
    const file = waiting.fileOf(token)
    let isKept = false
    try {
      await pipeline(req, atMost(LARGEST_ARCHIVE), createWriteStream(file, { mode: 0o600 }))
      const answer = await records.run({ do: 'look', databaseFile: database.file, file }, { deadlineMs: LONGEST_MS })
      if (answer.kind === 'refused') return sendProblem(res, 'bad-document', { detail: answer.why })
      if (answer.kind !== 'found') throw new Error('the records worker answered with something else')
      isKept = true
      waiting.keep(token)
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
    const stands = waiting.standingOf(token)
    if (stands === 'taken') return void res.status(204).end()
    if (stands === 'under-way') return sendProblem(res, 'busy', { detail: 'It is being taken in just now.' })
    if (!stands)
      return sendProblem(res, 'not-found', { detail: 'This archive was looked into too long ago: open it again.' })
    waiting.set(token, 'under-way')
    try {
      await backups.make('before-import')
      const answer = await takenIn(waiting.fileOf(token), parts)
      if (answer.kind === 'refused') {
        waiting.set(token, 'waits')
        return sendProblem(res, 'bad-document', { detail: answer.why })
      }
      waiting.set(token, 'taken')
      rmSync(waiting.fileOf(token), { force: true })
      readAgain(parts)
      hub.tell({ kind: 'shop', by: '' })
      res.status(204).end()
    } catch (error) {
      // What kept it out may pass: it can be taken in again without being sent again.
      waiting.set(token, 'waits')
      throw error
    }
  })
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
