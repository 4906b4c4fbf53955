import type { RequestHandler } from 'express'
import { StoredJob } from '../../contract/index.ts'
import type { EventHub } from './hub.ts'

/**
 * Tells the others once a change was answered as done. Pages name themselves, so that they do not listen to themselves.
 */
export const tellSaves =
  (hub: EventHub): RequestHandler =>
  (req, res, next) => {
    if (req.method === 'GET' || req.method === 'HEAD') return next()
    const by = String(req.headers['x-page'] ?? '')
    // Taken now: routers below cut their own part off the path.
    const { path } = req
    const json = res.json.bind(res)
    let saved: unknown = null
    res.json = (body) => {
      saved = body
      return json(body)
    }
    res.on('finish', () => {
      if (res.statusCode >= 300) return
      if (path.startsWith('/shop') || path.startsWith('/stock')) hub.tell({ kind: 'shop', by })
      if (!path.startsWith('/jobs')) return
      const job = StoredJob.pick({ id: true, revision: true }).loose().safeParse(saved)
      if (job.success)
        hub.tell({
          kind: 'job',
          id: job.data.id,
          revision: job.data.revision,
          ticket: String((job.data['job'] as { ticket?: string } | undefined)?.ticket ?? ''),
          by,
        })
    })
    next()
  }
