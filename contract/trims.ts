import { z } from 'zod'
import { Words } from './lengths.ts'

/** What a thing of the trims shelf is for; what a job needs is found by it. */
export const TrimUse = z.enum([
  'zip',
  'slider',
  'cord',
  'ready-made-piping',
  'thread',
  'foam-glue',
  'wadding',
  'film',
  'tape',
  'snaps',
  'buttons',
  'closing-ties',
  'eyelets',
  'lacing-cord',
  'rings',
  'vents',
  'non-slip',
  'staples',
  'twine',
  'other',
])
export type TrimUse = z.infer<typeof TrimUse>

/** Counted by the metre, the piece, the kilogram or the square metre. */
export const TrimUnit = z.enum(['m', 'piece', 'kg', 'm2'])
export type TrimUnit = z.infer<typeof TrimUnit>

const Amount = z.number().min(0, 'cannot be negative').max(1e6)

/** Zips, cord, thread, glue and the like, with what is in hand. */
export const Trim = z.strictObject({
  id: Words(60).min(1, 'cannot be empty'),
  name: Words(80).min(1, 'cannot be empty'),
  use: TrimUse,
  unit: TrimUnit,
  price: z.number().min(0, 'cannot be negative').max(1e5).describe('for one unit'),
  pack: z.number().positive('must be more than nought').max(1e5).describe('sold in this many units'),
  inHand: Amount,
  reorderAt: Amount.describe('at this much or less it is ordered again; 0 for never'),
})
export type Trim = z.infer<typeof Trim>
