import { z } from 'zod'
import { Closure, Construction } from './make-up.ts'
import { AllowanceMm, DEEPEST_NOTCH_MM, PositiveMm, Words } from './lengths.ts'
import { Workshop } from './workshop.ts'

export const Colour = z.string().regex(/^#[0-9a-f]{6}$/i, 'must be a colour such as #b5532c')

export const Band = z.strictObject({ colour: Colour, widthMm: PositiveMm, name: Words(40) })
export type Band = z.infer<typeof Band>

const Bands = z.array(Band).min(2, 'wants two bands at least').max(60)
const Start = z.number().min(0).max(5000)

/** What is woven into or printed on a cloth, as one repeat. */
export const Pattern = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('plain') }),
  z.strictObject({
    kind: z.literal('stripes'),
    runs: z.enum(['along', 'across']).describe('the way the stripes run on the roll'),
    bands: Bands.describe('one repeat, band by band'),
    startMm: Start.describe('from the left edge of the cloth (or its starting end) to the start of a repeat'),
  }),
  z.strictObject({
    kind: z.literal('check'),
    across: Bands.describe('one repeat from left to right, of the bands that run along the roll'),
    along: Bands.describe('one repeat from the starting end on, of the bands that run across it'),
    startMm: Start.describe('from the left edge of the cloth to the start of a repeat'),
    startAlongMm: Start.describe('from the starting end to the start of a repeat'),
  }),
  z.strictObject({
    kind: z.literal('motif'),
    acrossMm: PositiveMm.max(3000),
    alongMm: PositiveMm.max(3000),
    colour: Colour,
    startMm: Start.describe('from the left edge of the cloth to the middle of a motif'),
    startAlongMm: Start.describe('from the starting end to the middle of a motif'),
    halfDrop: z.boolean().describe('every second column stands half a repeat further along'),
  }),
])
export type Pattern = z.infer<typeof Pattern>

/** Where cloth comes from: bought as needed, or lying in the shop. */
export const Supply = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('to-buy') }),
  z.strictObject({
    kind: z.literal('length'),
    lengthMm: z
      .number()
      .positive('must be more than nought')
      .max(200_000, 'is more than 200 m: check the unit')
      .describe('what is left on the roll'),
  }),
  z.strictObject({
    kind: z.literal('remnant'),
    outline: z
      .array(z.tuple([z.number().min(0).max(20_000), z.number().min(0).max(20_000)]))
      .min(3)
      .max(200)
      .describe('true outline, corner by corner: from the left edge, then from the starting end'),
  }),
])
export type Supply = z.infer<typeof Supply>

/** A place on the cloth that nothing may be cut from. */
export const Flaw = z.strictObject({
  xMm: z.number().min(0).max(5000).describe('from the left edge'),
  yMm: z.number().min(0).max(200_000).describe('from the starting end'),
  widthMm: PositiveMm.max(5000),
  lengthMm: PositiveMm.max(20_000),
})
export type Flaw = z.infer<typeof Flaw>

/** A share for each way on the roll. */
const TwoWays = (most: number, says: string) =>
  z.strictObject({ across: z.number().min(0).max(most, says), along: z.number().min(0).max(most, says) })

export const Cloth = z.strictObject({
  id: Words(60).min(1),
  name: Words(80).min(1),
  widthMm: PositiveMm.max(5000),
  selvedgeMm: z.tuple([AllowanceMm, AllowanceMm]).describe('left and right, not usable'),
  nap: z.enum(['two-way', 'one-way']),
  ground: Colour,
  pattern: Pattern,
  pricePerMetre: z.number().min(0).max(1e5),
  buyingStepMm: PositiveMm.max(5000),
  thicknessMm: z.number().min(0).max(20),
  coatedBack: z.boolean().optional().describe('its back is coated; left out: nobody said'),
  stretch: TwoWays(0.5, 'is more than half: no cover holds its size in that; choose a steadier cloth').describe(
    'how far it gives, as a share',
  ),
  shrink: TwoWays(0.2, 'is more than a fifth: wash it first and measure again').describe(
    'what the first wash takes, as a share',
  ),
  washFirst: z.boolean().describe('washed before it is cut; otherwise pieces are cut larger'),
  fibre: z.enum(['natural', 'mixed', 'synthetic']),
  marking: z.enum(['notches', 'tacks']).describe('tacks or clips on deep pile and dark cloth, where a notch is lost'),
  massGM2: z.number().min(0).max(3000),
  use: z.enum(['indoors', 'outdoors', 'aboard']),
  reversible: z.boolean(),
  supply: Supply,
  flaws: z.array(Flaw).max(200, 'are more than 200: cut the bad part off and enter what is left'),
})
export type Cloth = z.infer<typeof Cloth>

export const AllowanceBook = z.strictObject({
  seamMm: AllowanceMm.describe('from the sewing line to the cut edge'),
  gussetTurnMm: AllowanceMm.describe('turned under beside the zip, each half of the gusset'),
  zipRoundCornerMm: AllowanceMm.describe(
    'the most that the zip runs round each back corner; a quarter of the depth if that is less',
  ),
  pipingOverlapMm: AllowanceMm.describe('joint of a closed loop of piping'),
  pipingRunOffMm: AllowanceMm.describe('run off into the seam at each open end of piping'),
  tapeMarginMm: AllowanceMm.describe('a lap is wider than its tape by this'),
  notchMm: z.number().min(0).max(DEEPEST_NOTCH_MM).describe('depth of a notch, at most half the seam allowance'),
})
export type AllowanceBook = z.infer<typeof AllowanceBook>

/** A way of building one make-up that the shop keeps by name. */
export const KeptSchool = z.strictObject({
  name: Words(80).min(1, 'wants a name'),
  construction: Construction,
  closure: Closure,
  overrides: AllowanceBook.partial().describe('what it sets otherwise than the book'),
})
export type KeptSchool = z.infer<typeof KeptSchool>

/** `en-GB`, `de`; empty is allowed too. */
function isLanguageTag(tag: string): boolean {
  try {
    return tag === '' || Intl.getCanonicalLocales(tag).length === 1
  } catch {
    return false
  }
}

export const FirstWeekday = z.enum(['monday', 'sunday', 'saturday'])
export type FirstWeekday = z.infer<typeof FirstWeekday>

export const ShopSettings = z.strictObject({
  shopName: Words(80).describe('empty: the shop has not been set up yet'),
  address: Words(300).describe('as it stands on quotes, in lines'),
  taxNumber: Words(60).describe('as it stands on quotes'),
  locale: z
    .string()
    .max(35)
    .refine(isLanguageTag, 'is no language tag such as en-GB')
    .describe('how days and amounts are written; empty: as the browser writes them'),
  paper: z.enum(['A4', 'letter']),
  firstWeekday: FirstWeekday.default('monday').describe('where weeks begin'),
  currency: z.string().regex(/^[A-Z]{3}$/, 'must be a three-letter currency code'),
  units: z.enum(['mm', 'cm', 'inch-8', 'inch-16']),
  book: AllowanceBook,
  schools: z.array(KeptSchool).max(200, 'are more than 200: take out what is not used'),
  lays: z
    .enum(['shortest', 'easiest'])
    .default('shortest')
    .describe('which lay is taken by itself: the shortest, or one hardly longer that is easier to cut'),
  workshop: Workshop,
})
export type ShopSettings = z.infer<typeof ShopSettings>
