import type { Request, Response } from 'express'
import type { ShopEvent } from '../../contract/index.ts'

export interface EventHub {
  readonly tell: (event: ShopEvent) => void
  /** Holds a request open and tells it everything (server-sent events). */
  readonly listen: (req: Request, res: Response) => void
  readonly close: () => void
}

/** A line that keeps proxies and browsers from giving the connection up. */
const HEARTBEAT_MS = 25_000
/** Pages listening at once; one more is turned away. */
const MOST_LISTENERS = 200

/** Tells every open page what was saved. */
export function eventHub(): EventHub {
  const listeners = new Set<Response>()
  const beat = setInterval(() => listeners.forEach((res) => res.write(': still here\n\n')), HEARTBEAT_MS)
  beat.unref()
  return {
    tell: (event) => listeners.forEach((res) => res.write(`data: ${JSON.stringify(event)}\n\n`)),
    listen: (req, res) => {
      if (listeners.size >= MOST_LISTENERS) return void res.status(503).end()
      res.writeHead(200, { 'content-type': 'text/event-stream', 'cache-control': 'no-store', connection: 'keep-alive' })
      res.write(': open\n\n')
      listeners.add(res)
      req.on('close', () => listeners.delete(res))
    },
    close: () => {
      clearInterval(beat)
      listeners.forEach((res) => res.end())
      listeners.clear()
    },
  }
}
