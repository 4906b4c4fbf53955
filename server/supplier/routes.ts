import { Router } from 'express'
import { AskSupplier, readWith } from '../../contract/index.ts'
import { sendFaults } from '../http/problem.ts'
import type { Supplier } from './driver.ts'

/** The supplier over HTTP: prices and days for what runs low. */
export function supplierRoutes(supplier: Supplier): Router {
  const router = Router()
  router.post('/ask', async (req, res) => {
    const asked = readWith(AskSupplier, req.body)
    if (!asked.ok) return sendFaults(res, asked.faults)
    res.json(await supplier.ask(asked.value.items, asked.value.mood))
  })
  return router
}
