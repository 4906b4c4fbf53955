import type { Response } from 'express'

/** A signal that aborts when whoever asked closes the connection before the answer. */
export function untilGone(res: Response): { readonly signal: AbortSignal; readonly hasGone: () => boolean } {
  const gone = new AbortController()
  res.once('close', () => {
    if (!res.writableEnded) gone.abort()
  })
  return { signal: gone.signal, hasGone: () => gone.signal.aborted }
}
