import type { Request } from 'express'
import { z } from 'zod'

const ActId = z.uuid()

/**
 * The id that a page gives to an act which is no put (`X-Act`): asked for twice, because the answer was lost, it is
 * done once.
 */
export function actId(req: Request): string | undefined {
  const read = ActId.safeParse(req.headers['x-act'])
  return read.success ? read.data : undefined
}
