import { Router } from 'express'
import { z } from 'zod'
import { readWith, TakeStock, Trim } from '../../contract/index.ts'
import { sendProblem } from '../http/problem.ts'
import type { StockRepository } from './repository.ts'

const Trims = z.array(Trim).min(1).max(2000)
const MOVES_SHOWN = 200

/** The shelf of trims, what jobs take, and the stock book. */
export function stockRoutes(stock: StockRepository): Router {
  const router = Router()
  router.get('/trims', async (_req, res) => void res.json(await stock.trims()))
  router.put('/trims', async (req, res) => {
    const list = readWith(Trims, req.body)
    if (!list.ok) return sendProblem(res, 'bad-document', { detail: `${list.faults[0]!.path} ${list.faults[0]!.message}`, faults: list.faults })
    await stock.saveTrims(list.value)
    res.json(await stock.trims())
  })
  router.delete('/trims/:id', async (req, res) => {
    await stock.removeTrim(req.params.id)
    res.status(204).end()
  })
  router.post('/take', async (req, res) => {
    const taking = readWith(TakeStock, req.body)
    if (!taking.ok) return sendProblem(res, 'bad-document', { detail: `${taking.faults[0]!.path} ${taking.faults[0]!.message}`, faults: taking.faults })
    const outcome = await stock.take(taking.value)
    if (outcome.kind === 'short') return sendProblem(res, 'short-of-stock', { detail: outcome.faults.join(' ') })
    res.status(201).json(outcome.move)
  })
  router.get('/moves', async (_req, res) => void res.json(await stock.moves(MOVES_SHOWN)))
  return router
}
