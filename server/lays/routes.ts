import express, { Router, type Request, type RequestHandler, type Response } from 'express'
import type { Access } from '../access/guard.ts'
import { bodyLimit } from '../http/body-limit.ts'
import { sendFaults, sendProblem } from '../http/problem.ts'
import { sessionCap } from '../http/session-cap.ts'
import { untilGone } from '../http/until-gone.ts'
import type { LayQueue } from '../searchers/lay-queue.ts'
import { OverDeadline, workerPool } from '../workers/pool.ts'
import { deadlineOf } from './deadline.ts'
import type { LayAnswer, LayTask } from './lay-worker.ts'
import { searchElsewhere } from './search-elsewhere.ts'

export interface LayPool {
  readonly router: (access: Access) => Router
  readonly close: () => Promise<void>
}

const LARGEST_PROBLEM = 4 * 1024 * 1024
const AT_ONCE = 2
const MOST_WAITING = 8
const MOST_OF_ONE = 4

/**
 * Lays planned on the server, for clients without workers of their own: a few at a time, the rest wait or are asked to
 * come back. Where other machines search for the shop they plan instead, and search beside the page on its wish.
 */
export function layPool(queue: LayQueue): LayPool {
  const pool = workerPool<LayTask, LayAnswer>('lay-worker', AT_ONCE)
  const router = (access: Access): Router => {
    const own = Router()
    const asked: RequestHandler[] = [
      sessionCap(access, MOST_OF_ONE),
      bodyLimit(LARGEST_PROBLEM),
      express.text({ type: 'application/json', limit: LARGEST_PROBLEM }),
    ]
    own.get('/searchers', async (_req, res) => res.json(await queue.searchers()))
    own.post('/search', ...asked, (req, res) => searchElsewhere(queue, textOf(req), res))
    own.post('/', ...asked, async (req, res) => {
      const waiting = pool.waiting()
      if (waiting >= MOST_WAITING)
        return sendProblem(res.set('retry-after', '20'), 'busy', {
          detail: `${waiting} lays wait already: try again in a minute.`,
          waiting,
        })
      const text = textOf(req)
      const { signal, hasGone } = untilGone(res)
      const wanted = { deadlineMs: deadlineOf(text), signal }
      try {
        const elsewhere = await queue.plan(text, 0, wanted)
        if (elsewhere !== null && elsewhere.kind !== 'lay') return answerWith(elsewhere, res)
        answerWith(await pool.run({ text, lane: 0, better: null, elsewhere }, wanted), res)
      } catch (error) {
        if (hasGone()) return
        if (!(error instanceof OverDeadline)) throw error
        sendProblem(res, 'takes-too-long', {
          detail: 'Not even a first lay was found in its time: give it more seconds, fewer pieces or plainer outlines.',
        })
      }
    })
    return own
  }
  return { router, close: pool.close }
}

const textOf = (req: Request): string => (typeof req.body === 'string' ? req.body : '')

function answerWith(answer: LayAnswer, res: Response): void {
  switch (answer.kind) {
    case 'lay':
      return void res.json({ ...answer.found.lay, seconds: answer.seconds })
    case 'none':
      return sendProblem(res, 'no-lay', { detail: answer.failure.code, failure: answer.failure })
    case 'bad-document':
      return sendFaults(res, answer.faults)
    case 'not-json':
      return sendProblem(res, 'bad-request', { detail: 'The body is not JSON.' })
    default:
      return answer satisfies never
  }
}
