import type { RequestHandler } from 'express'
import { causeOf, pulse, type Database } from '../db/index.ts'
import { sendProblem } from './problem.ts'

/** Asked by whoever watches the shop, signed in or not: so it writes no oftener than this. */
const FRESH_MS = 5000

/** Whether the shop takes writes, found by writing; with the cure where it does not. */
export function health({ orm, quietly }: Database, now: () => Date): RequestHandler {
  let last: { readonly atMs: number; readonly found: Promise<unknown> } | null = null
  const beat = () =>
    quietly(async () => {
      const at = now().toISOString()
      await orm.insert(pulse).values({ id: 1, at }).onConflictDoUpdate({ target: pulse.id, set: { at } })
    })
  return async (_req, res) => {
    if (!last || performance.now() - last.atMs > FRESH_MS) last = { atMs: performance.now(), found: beat() }
    try {
      await last.found
      res.json({ ok: true })
    } catch (error) {
      const cause = causeOf(error)
      sendProblem(res, cause?.kind === 'full' ? 'no-room' : 'not-writable', {
        detail: cause?.says ?? 'The database does not take what is written: see the log of the server.',
      })
    }
  }
}
