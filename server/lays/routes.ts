import { Router } from 'express'
import { Piscina } from 'piscina'
import { MakeLay, MOST_PIECES, readWith } from '../../contract/index.ts'
import { problemFaults } from '../../core/lay/index.ts'
import { sendProblem } from '../http/problem.ts'
import type planLay from './lay-worker.ts'

export interface LayPool {
  readonly router: Router
  readonly close: () => Promise<void>
}

/** Lays planned on the server, for clients without workers of their own; a few at a time, the rest are asked to come back. */
export function layRoutes(workerUrl: URL): LayPool {
  const pool = new Piscina<Parameters<typeof planLay>[0], ReturnType<typeof planLay>>({
    filename: workerUrl.href,
    minThreads: 0,
    maxThreads: 2,
    maxQueue: 8,
    ...(workerUrl.pathname.endsWith('.ts') ? { execArgv: ['--import', 'tsx'] } : {}),
  })
  const router = Router()
  router.post('/', async (req, res) => {
    const body = readWith(MakeLay, req.body)
    const faults = body.ok ? problemFaults(body.value.problem, MOST_PIECES).map((f) => ({ ...f, path: f.path.replace('$', '$.problem') })) : body.faults
    if (!body.ok || faults.length > 0) return sendProblem(res, 'bad-document', { detail: `${faults[0]!.path} ${faults[0]!.message}`, faults })
    if (pool.queueSize >= 8) return sendProblem(res, 'busy', { detail: 'Try again in a minute.' })
    const { problem, seed, seconds, steps } = body.value
    const solved = await pool.run({ problem, seed, seconds, steps: steps ?? Infinity })
    if (!solved.ok) return sendProblem(res, 'no-lay', { detail: solved.error.code, failure: solved.error })
    res.json(solved.lay)
  })
  return { router, close: () => pool.destroy() }
}
