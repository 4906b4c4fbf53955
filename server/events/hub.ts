import type { Request, Response } from 'express'
import type { ShopEvent } from '../../contract/index.ts'
import { sendProblem } from '../http/problem.ts'

export interface EventHub {
  readonly tell: (event: ShopEvent) => void
  /** Holds a request open for a session and tells it everything (server-sent events). */
  readonly listen: (session: string, req: Request, res: Response) => void
  /** The session is over, and so is what it listened to. */
  readonly end: (session: string) => void
  readonly close: () => void
}

/** A line that keeps proxies and browsers from giving the connection up. */
const HEARTBEAT_MS = 25_000
/**
 * Pages of one session listening at once: a further one takes the place of the oldest, so that nobody shuts others out.
 */
const MOST_OF_ONE = 24
const MOST_LISTENERS = 400
/** What may wait for a page that does not read; one that falls further behind is let go, and asks again. */
const MOST_BEHIND_BYTES = 256 * 1024

/** Tells every open page what was saved. */
export function eventHub(): EventHub {
  const listeners = new Map<Response, string>()
  const say = (text: string) =>
    listeners.forEach((_session, res) => (res.writableLength > MOST_BEHIND_BYTES ? drop(res) : res.write(text)))
  const beat = setInterval(() => say(': still here\n\n'), HEARTBEAT_MS)
  beat.unref()
  function drop(res: Response): void {
    listeners.delete(res)
    res.destroy()
  }
  const of = (session: string) => [...listeners].flatMap(([res, s]) => (s === session ? [res] : []))
  return {
    tell: (event) => say(`data: ${JSON.stringify(event)}\n\n`),
    listen: (session, req, res) => {
      of(session)
        .slice(0, Math.max(0, of(session).length + 1 - MOST_OF_ONE))
        .forEach(drop)
      if (listeners.size >= MOST_LISTENERS)
        return sendProblem(res, 'busy', { detail: 'Too many pages listen already: close some.' })
      res.writeHead(200, { 'content-type': 'text/event-stream', 'cache-control': 'no-store', connection: 'keep-alive' })
      res.write(': open\n\n')
      listeners.set(res, session)
      req.on('close', () => listeners.delete(res))
    },
    end: (session) => of(session).forEach(drop),
    close: () => {
      clearInterval(beat)
      listeners.forEach((_session, res) => res.end())
      listeners.clear()
    },
  }
}
