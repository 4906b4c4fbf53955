import type { RequestHandler } from 'express'
import type { Access } from '../access/guard.ts'
import { sendProblem } from './problem.ts'

/** So many requests of one kind under way at once for everybody who is signed in under one session. */
export function sessionCap(access: Access, most: number): RequestHandler {
  const underWay = new Map<string, number>()
  return (req, res, next) => {
    const who = access.sessionOf(req)
    const mine = underWay.get(who) ?? 0
    if (mine >= most)
      return sendProblem(res.set('retry-after', '5'), 'busy', {
        detail: `${most} of your requests of this kind are under way already: wait for one of them.`,
      })
    underWay.set(who, mine + 1)
    res.once('close', () => {
      const left = (underWay.get(who) ?? 1) - 1
      if (left > 0) underWay.set(who, left)
      else underWay.delete(who)
    })
    next()
  }
}
