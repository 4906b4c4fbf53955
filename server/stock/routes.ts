import { Router, type Response } from 'express'
import { z } from 'zod'
import { ChangeOf, GiveBack, readWith, TakeStock, Trim } from '../../contract/index.ts'
import { sendFaults, sendProblem } from '../http/problem.ts'
import { readChanges } from '../shop/merged-change.ts'
import { sendOutcome } from '../shop/routes.ts'
import type { StockRepository, TakeOutcome } from './repository.ts'

const Trims = z.array(ChangeOf(Trim)).min(1).max(1000, 'are more than 1000 at once: put them in by parts')
const MOVES_SHOWN = 200

/** The shelf of trims, what jobs take and give back, and the stock book. */
export function stockRoutes(stock: StockRepository): Router {
  const router = Router()
  router.get('/trims', async (_req, res) => void res.json(await stock.trims.list()))
  router.put('/trims', async (req, res) => {
    const list = readChanges(Trims, req.body)
    if (!list.ok) return sendFaults(res, list.faults)
    const outcome = await stock.trims.change(list.value)
    const all = await stock.trims.list()
    sendOutcome(res, outcome, () => all)
  })
  router.delete('/trims/:id', async (req, res) => {
    await stock.trims.remove(req.params.id)
    res.status(204).end()
  })
  router.post('/take', async (req, res) => {
    const taking = readWith(TakeStock, req.body)
    if (!taking.ok) return sendFaults(res, taking.faults)
    sendMove(res, await stock.take(taking.value))
  })
  router.post('/give-back', async (req, res) => {
    const act = readWith(GiveBack, req.body)
    if (!act.ok) return sendFaults(res, act.faults)
    sendMove(res, await stock.giveBack(act.value))
  })
  router.get('/moves', async (_req, res) => void res.json(await stock.moves(MOVES_SHOWN)))
  return router
}

function sendMove(res: Response, outcome: TakeOutcome): void {
  switch (outcome.kind) {
    case 'done':
      return void res.status(201).json(outcome.move)
    case 'short':
      return sendProblem(res, 'short-of-stock', { detail: outcome.faults.join(' ') })
    case 'taken-already':
      return sendProblem(res, 'taken-already', {
        detail: `This job took its share on ${outcome.move.at.slice(0, 10)}: ${outcome.move.lines.join('; ')}. Give it back first to take it anew.`,
      })
    case 'nothing-taken':
      return sendProblem(res, 'taken-already', { detail: 'Nothing of this job is off the shelves.' })
    default:
      return outcome satisfies never
  }
}
