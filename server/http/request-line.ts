import type { RequestHandler } from 'express'
import type { Logger } from 'pino'

/** One log line for each request, once it is answered. */
export const requestLine =
  (log: Logger): RequestHandler =>
  (req, res, next) => {
    const started = performance.now()
    res.on('close', () =>
      log.info(
        {
          method: req.method,
          path: req.originalUrl,
          status: res.statusCode,
          ms: Number((performance.now() - started).toFixed(1)),
          ...(res.writableFinished ? {} : { aborted: true }),
        },
        'request',
      ),
    )
    next()
  }
