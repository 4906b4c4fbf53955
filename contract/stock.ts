import { z } from 'zod'
import { FoamStock } from './foam.ts'
import { Words } from './lengths.ts'
import { Cloth } from './shop.ts'

const Amount = z.number().positive('must be more than nought').max(1e6)

/** Acts that change a stock name themselves: one that is asked for twice, because the answer was lost, is done once. */
const ActId = z.uuid()

/** A cloth cut for several jobs at once leaves the shelf once, with the first of them. */
const JointId = z.uuid().nullable().default(null)

/** What a job takes from the shelves, all or nothing, and once until it is given back. */
export const TakeStock = z.strictObject({
  id: ActId,
  jobId: z.string().min(1),
  ticket: Words(40),
  trims: z.array(z.strictObject({ id: Words(60), amount: Amount })).max(100),
  cloths: z.array(z.strictObject({ id: Words(60), mm: Amount, jointId: JointId })).max(20),
  foam: z.array(z.strictObject({ id: Words(60), count: z.int().min(1).max(500) })).max(100),
})
export type TakeStock = z.infer<typeof TakeStock>

/** A taking given back, whole. */
export const GiveBack = z.strictObject({ id: ActId, jobId: z.string().min(1) })
export type GiveBack = z.infer<typeof GiveBack>

/** What lay on the shelves before a taking, of what it took. */
export const Taken = z.strictObject({
  trims: z.array(z.strictObject({ id: z.string(), amount: z.number() })),
  cloths: z.array(z.strictObject({ was: Cloth, mm: z.number(), jointId: JointId })),
  foam: z.array(z.strictObject({ was: FoamStock, count: z.int() })),
})
export type Taken = z.infer<typeof Taken>

/** One line of the stock book. */
export const StockMove = z.strictObject({
  id: z.string(),
  at: z.iso.datetime(),
  jobId: z.string().nullable(),
  says: z.string(),
  lines: z.array(z.string()),
  taken: Taken.nullable().default(null).describe('what can be given back'),
  givesBack: z.string().nullable().default(null).describe('the taking that this move gives back'),
})
export type StockMove = z.infer<typeof StockMove>

/** What a supplier is asked for, and what it answers. */
export const SupplierItem = z.strictObject({
  ref: Words(80).min(1),
  name: Words(120),
  unit: Words(20),
  amount: Amount,
  lastPrice: z.number().min(0),
})
export type SupplierItem = z.infer<typeof SupplierItem>
export const SupplierOffer = z.discriminatedUnion('kind', [
  z.strictObject({
    kind: z.literal('offered'),
    ref: z.string(),
    price: z.number().min(0),
    leadDays: z.int().min(0).max(400),
  }),
  z.strictObject({ kind: z.literal('out-of-stock'), ref: z.string(), backInDays: z.int().nullable() }),
  z.strictObject({ kind: z.literal('unknown'), ref: z.string() }),
])
export type SupplierOffer = z.infer<typeof SupplierOffer>

/** How the simulated supplier behaves. */
export const SupplierMood = z.enum(['as-usual', 'short-of-stock', 'slow', 'failing', 'silent'])
export type SupplierMood = z.infer<typeof SupplierMood>

export const AskSupplier = z.strictObject({
  items: z.array(SupplierItem).min(1, 'wants something to ask for').max(200),
  mood: SupplierMood.default('as-usual'),
})
export const SupplierAnswer = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('offers'), offers: z.array(SupplierOffer) }),
  z.strictObject({ kind: z.literal('away'), why: z.string() }),
])
export type SupplierAnswer = z.infer<typeof SupplierAnswer>
