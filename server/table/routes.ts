import { Router } from 'express'
import { readWith, SendToTable } from '../../contract/index.ts'
import { sendFaults } from '../http/problem.ts'
import type { CuttingTable } from './driver.ts'

/** The cutting table over HTTP: its state, a lay to cut, stop. */
export function tableRoutes(table: CuttingTable): Router {
  const router = Router()
  router.get('/', async (_req, res) => void res.json(await table.state()))
  router.post('/cut', async (req, res) => {
    const file = readWith(SendToTable, req.body)
    if (!file.ok) return sendFaults(res, file.faults)
    res.json(await table.cut(file.value))
  })
  router.post('/stop', async (_req, res) => void res.json(await table.stop()))
  router.post('/resume', async (_req, res) => void res.json(await table.resume()))
  return router
}
