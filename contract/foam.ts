import { z } from 'zod'
import { PositiveMm, Words } from './lengths.ts'

export const FoamFamily = z.enum([
  'conventional',
  'high-resilience',
  'memory',
  'latex',
  'quick-dry',
  'closed-cell',
  'rebond',
  'wadding',
])
export type FoamFamily = z.infer<typeof FoamFamily>

/** Where a cushion lives. `wet`: outdoors or aboard uncovered; `damp`: berths and unheated rooms. */
export const Exposure = z.enum(['indoors', 'sun', 'damp', 'wet'])
export type Exposure = z.infer<typeof Exposure>

const Newtons = z
  .number()
  .positive('must be more than nought')
  .max(10_000, 'is more than any foam: check the unit (N)')
  .nullable()

/** Firmness lost over its years of daily use. */
export const Ageing = z.strictObject({ lossShare: z.number().min(0).max(0.9), years: z.number().min(0.5).max(50) })

/** The least by which a force must rise to the next point: less, and the foam would go soft as it is pressed. */
const RISE = { to40: 1.05, to65: 1.08 } as const

/**
 * A foam as the supplier describes it. Forces are those on a 200 mm plate (323 cm²) pressed into a sample
 * 100 mm thick; of what is null, something is filled in by what the
 * family usually has; where no force is known at all, and where there is no density, nobody knows.
 */
export const Grade = z
  .strictObject({
    id: Words(60).min(1, 'cannot be empty'),
    name: Words(80).min(1, 'cannot be empty'),
    family: FoamFamily,
    said: Words(120).default('').describe("the supplier's own words: never read as a figure"),
    densityKgM3: z
      .number()
      .min(5, 'is less than any foam: check the unit (kg/m³)')
      .max(400, 'is more than any foam: check the unit (kg/m³)')
      .nullable()
      .describe('null: nobody knows'),
    at25N: Newtons.describe('force at 25 % compression, newtons'),
    at40N: Newtons.describe('force at 40 % compression, newtons'),
    at65N: Newtons.describe('force at 65 % compression, newtons'),
    supportFactor: z
      .number()
      .min(1.2, 'is below 1.2: force at 65 % over force at 25 %, usually 1.8 to 3')
      .max(6, 'is above 6: force at 65 % over force at 25 %, usually 1.8 to 3')
      .nullable(),
    exposures: z.array(Exposure).min(1, 'wants at least one place where it may be used').max(4),
    combustionModified: z.boolean(),
    ageing: Ageing.nullable().describe('null: by density'),
    sheets: z
      .array(z.strictObject({ lengthMm: PositiveMm, widthMm: PositiveMm }))
      .max(10)
      .describe('sizes sold; none: only what is in stock'),
    thicknessesMm: z.array(PositiveMm.max(1000)).min(1, 'wants at least one thickness').max(20),
    pricePerM3: z.number().min(0, 'cannot be negative').max(1e6),
  })
  .superRefine(({ at25N, at40N, at65N, supportFactor }, context) => {
    const fault = (field: string, message: string) => context.addIssue({ code: 'custom', path: [field], message })
    if (at25N === null && at40N === null && (at65N !== null || supportFactor !== null))
      fault('at40N', 'is missing: give the force at 40 %, or that at 25 %, or leave all of them out as not known')
    const steps = [
      ['at25N', at25N],
      ['at40N', at40N],
      ['at65N', at65N],
    ] as const
    const known = steps.filter((s): s is (typeof steps)[number] & [string, number] => s[1] !== null)
    known.slice(1).forEach(([field, force], i) => {
      const [before, less] = known[i]!
      if (force < less * (field === 'at65N' ? RISE.to65 : RISE.to40))
        fault(
          field,
          `(${force} N) must be well above the force at ${before.slice(2, 4)} % (${less} N): a foam gets harder the further it is pressed`,
        )
    })
    if (
      supportFactor !== null &&
      at25N !== null &&
      at65N !== null &&
      Math.abs(at65N / at25N / supportFactor - 1) > 0.05
    ) {
      fault(
        'supportFactor',
        `is ${supportFactor}, but ${at65N} N over ${at25N} N is ${(at65N / at25N).toFixed(2)}: leave one of them out`,
      )
    }
    if (
      supportFactor !== null &&
      at25N !== null &&
      at40N !== null &&
      at65N === null &&
      supportFactor * at25N < at40N * RISE.to65
    ) {
      fault(
        'supportFactor',
        `puts the force at 65 % at ${Math.round(supportFactor * at25N)} N, hardly above that at 40 % (${at40N} N)`,
      )
    }
  })
export type Grade = z.infer<typeof Grade>

/** A piece of foam that lies in the shop: what is usable of it, as a rectangle with cut-outs. */
export const FoamStock = z
  .strictObject({
    id: Words(60).min(1, 'cannot be empty'),
    name: Words(80).min(1, 'cannot be empty'),
    kind: z.enum(['sheet', 'mattress', 'topper', 'remnant']),
    gradeId: Words(60).min(1, 'wants a grade: test it first if it is unknown'),
    lengthMm: PositiveMm,
    widthMm: PositiveMm,
    thicknessMm: PositiveMm.max(1000),
    count: z.int('must be a whole number').min(1).max(500),
    cutOuts: z
      .array(
        z.strictObject({ xMm: z.number().min(0), yMm: z.number().min(0), lengthMm: PositiveMm, widthMm: PositiveMm }),
      )
      .max(20),
  })
  .superRefine(({ lengthMm, widthMm, cutOuts }, context) => {
    cutOuts.forEach((c, i) => {
      if (c.xMm + c.lengthMm > lengthMm + 0.01 || c.yMm + c.widthMm > widthMm + 0.01)
        context.addIssue({ code: 'custom', path: ['cutOuts', i], message: 'reaches beyond the piece it is cut out of' })
    })
  })
export type FoamStock = z.infer<typeof FoamStock>
