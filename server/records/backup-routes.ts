import { desc } from 'drizzle-orm'
import { Router } from 'express'
import { setAside } from '../db/index.ts'
import { sendProblem } from '../http/problem.ts'
import { sessionCap } from '../http/session-cap.ts'
import { historyBytes } from '../jobs/history.ts'
import { readAgain, type RecordsParts } from './parts.ts'

/** Backups, and what the history takes. A backup shows what it holds before it changes anything. */
export function backupRoutes(parts: RecordsParts): Router {
  const { database, backups, access, hub } = parts
  const router = Router()

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
    readAgain(parts)
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
  return router
}
