import express, { Router } from 'express'
import type { Access } from '../access/guard.ts'
import { bodyLimit } from '../http/body-limit.ts'
import { sendFaults, sendProblem } from '../http/problem.ts'
import { sessionCap } from '../http/session-cap.ts'
import { untilGone } from '../http/until-gone.ts'
import { OverDeadline, workerPool } from '../workers/pool.ts'
import type { LayAnswer } from './lay-worker.ts'

export interface LayPool {
  readonly router: (access: Access) => Router
  readonly close: () => Promise<void>
}

const LARGEST_PROBLEM = 4 * 1024 * 1024
const AT_ONCE = 2
const MOST_WAITING = 8
const MOST_OF_ONE = 4
/** A minute of planning, and what reading and the first lay take. */
const LONGEST_MS = 75_000

/**
 * Lays planned on the server, for clients without workers of their own: a few at a time, the rest wait or are asked to
 * come back.
 */
export function layPool(): LayPool {
  const pool = workerPool<string, LayAnswer>('lay-worker', AT_ONCE)
  const router = (access: Access): Router => {
    const own = Router()
    own.post(
      '/',
      sessionCap(access, MOST_OF_ONE),
      bodyLimit(LARGEST_PROBLEM),
      express.text({ type: 'application/json', limit: LARGEST_PROBLEM }),
      async (req, res) => {
        const waiting = pool.waiting()
        if (waiting >= MOST_WAITING)
          return sendProblem(res.set('retry-after', '20'), 'busy', {
            detail: `${waiting} lays wait already: try again in a minute.`,
            waiting,
          })
        const text = typeof req.body === 'string' ? req.body : ''
        const { signal, hasGone } = untilGone(res)
        try {
          answer(await pool.run(text, { deadlineMs: deadlineOf(text), signal }))
        } catch (error) {
          if (hasGone()) return
          if (!(error instanceof OverDeadline)) throw error
          sendProblem(res, 'takes-too-long', {
            detail:
              'Not even a first lay was found in its time: give it more seconds, fewer pieces or plainer outlines.',
          })
        }

        function answer(found: LayAnswer): void {
          switch (found.kind) {
            case 'lay':
              return void res.json(found.lay)
            case 'none':
              return sendProblem(res, 'no-lay', { detail: found.failure.code, failure: found.failure })
            case 'bad-document':
              return sendFaults(res, found.faults)
            case 'not-json':
              return sendProblem(res, 'bad-request', { detail: 'The body is not JSON.' })
            default:
              return found satisfies never
          }
        }
      },
    )
    return own
  }
  return { router, close: pool.close }
}

/** The seconds asked for, read without reading the rest, and twice that with five more for reading and a first lay. */
function deadlineOf(text: string): number {
  const said = /"seconds"\s*:\s*(\d+(?:\.\d+)?)/.exec(
    text.length > SEEN ? text.slice(0, SEEN) + text.slice(-SEEN) : text,
  )
  return Math.min(LONGEST_MS, 5000 + 2000 * Number(said?.[1] ?? 5))
}
const SEEN = 4096
