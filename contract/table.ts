import { z } from 'zod'

/** What a cutting table is doing; lengths of cut line in millimetres. */
export const TableState = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('idle') }),
  z.strictObject({ kind: z.literal('away'), why: z.string() }).describe('does not answer'),
  z.strictObject({ kind: z.literal('refused'), why: z.string() }),
  z.strictObject({ kind: z.literal('cutting'), name: z.string(), doneMm: z.number(), totalMm: z.number() }),
  z.strictObject({
    kind: z.literal('jammed'),
    name: z.string(),
    doneMm: z.number(),
    totalMm: z.number(),
    why: z.string(),
  }),
  z.strictObject({ kind: z.literal('stopped'), name: z.string(), doneMm: z.number(), totalMm: z.number() }),
  z.strictObject({ kind: z.literal('done'), name: z.string(), totalMm: z.number() }),
])
export type TableState = z.infer<typeof TableState>

export const SendToTable = z.strictObject({
  name: z.string().min(1).max(200),
  dxf: z.string().min(1, 'is empty: there is nothing to cut').max(7_000_000),
  speedMmS: z
    .number()
    .min(10, 'is slower than any table cuts')
    .max(1500, 'is more than 1500 mm a second: the table cannot cut so fast'),
  jamAt: z
    .number()
    .min(0)
    .max(1)
    .nullable()
    .default(null)
    .describe('for the simulated table: the share of the cut at which it jams'),
})
export type SendToTable = z.infer<typeof SendToTable>

/** One line of the talk with a table: JSON, ended by a line feed. */
export const TableOrder = z.discriminatedUnion('do', [
  z.strictObject({ do: z.literal('cut'), ...SendToTable.shape }),
  z.strictObject({ do: z.literal('stop') }),
  z.strictObject({ do: z.literal('resume') }),
  z.strictObject({ do: z.literal('tell') }),
])
export type TableOrder = z.infer<typeof TableOrder>
