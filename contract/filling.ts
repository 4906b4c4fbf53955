import { z } from 'zod'
import { Exposure, FoamFamily, FoamStock, Grade } from './foam.ts'
import { Lay } from './lay.ts'
import { PositiveMm, Words } from './lengths.ts'

export const Use = z.enum(['dining', 'lounge', 'back', 'bench', 'sleeping', 'cockpit', 'kneeler', 'hassock'])
export type Use = z.infer<typeof Use>

const SitterKg = z
  .number()
  .min(10, 'is below 10 kg: infants are not served; enter the lightest sitter')
  .max(250, 'is above 250 kg: check the unit (kg), or build a framed seat')

/** What a seat must carry, where the job says otherwise than the table of uses. */
const OwnLoad = z
  .strictObject({
    massShare: z.number().min(0.05, 'must be at least 0.05').max(1.5),
    radiusMm: z
      .number()
      .min(30, 'must be at least 30 mm, the roundness of a knee')
      .max(2000, 'is above 2000 mm: that is flat, and nobody is')
      .describe('how round the body is where it rests on the foam'),
    reachMm: z
      .number()
      .min(20, 'must be at least 20 mm from its middle: on no width there is no end of pressure')
      .max(600, 'is above 600 mm from its middle: nobody is so wide')
      .describe('how far from its middle the body touches at most'),
    slam: z.number().min(1, 'must be at least 1: no slam').max(4),
    leastCompression: z.number().min(0).max(0.85).describe('less under the middle sitter is a firm seat'),
    mostCompression: z.number().min(0.05).max(0.9).describe('more under the middle sitter is a soft seat'),
  })
  .partial()

export const Load = z
  .strictObject({
    use: Use,
    exposure: Exposure,
    base: z.enum(['board', 'slats', 'webbing', 'mesh']),
    lightestKg: SitterKg,
    heaviestKg: SitterKg,
    own: OwnLoad,
  })
  .refine((l) => l.lightestKg <= l.heaviestKg, {
    path: ['lightestKg'],
    message: 'is heavier than the heaviest sitter: exchange the two',
  })
export type Load = z.infer<typeof Load>

const Thickness = PositiveMm.max(1000)

/** One material of a block. The new layer without a thickness takes what the others leave. */
export const Layer = z.strictObject({
  grade: Grade.describe('a copy of the grade as it was when chosen'),
  thicknessMm: Thickness.nullable(),
  body: Words(40)
    .nullable()
    .default(null)
    .describe('the old body that stays as this layer: not cut, not bought, as thick as it is'),
  profile: z
    .enum(['up', 'down'])
    .nullable()
    .default(null)
    .describe('where a profiled face lies; null: both faces are flat'),
})
export type Layer = z.infer<typeof Layer>

const Squeeze = z
  .number()
  .min(-0.1, 'leaves the cover more than a tenth too large')
  .max(0.3, 'squeezes by more than three tenths: nobody closes that')
  .describe('of the block, that the cover takes away; negative: the block lies loose')

export const SizingSchool = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('size-for-size') }),
  z.strictObject({ kind: z.literal('full-block'), thicknessExtraMm: z.number().min(0).max(6) }),
  z.strictObject({ kind: z.literal('snug-cover') }),
  z.strictObject({ kind: z.literal('wrap-then-measure') }),
  z.strictObject({ kind: z.literal('thinner-block'), thinnerShare: z.number().min(0.05).max(0.3) }),
  z.strictObject({ kind: z.literal('into-cover'), widthShare: Squeeze, depthShare: Squeeze, thicknessShare: Squeeze }),
])
export type SizingSchool = z.infer<typeof SizingSchool>

export const Wadding = z.strictObject({
  loftMm: PositiveMm.max(200),
  layers: z.int('must be a whole number').min(1).max(6),
  top: z.boolean(),
  bottom: z.boolean(),
  front: z.boolean(),
  back: z.boolean(),
  ends: z.enum(['bare', 'covered', 'folded']).describe('left and right; folded like a parcel they lie double'),
  measured: z
    .strictObject({ widthMm: PositiveMm, depthMm: PositiveMm, thicknessMm: PositiveMm })
    .nullable()
    .describe('the wrapped block as measured, when it has been'),
})
export type Wadding = z.infer<typeof Wadding>

/** Weighing and pressing a foam of which nothing is known. */
export const FoamTest = z.strictObject({
  family: FoamFamily.describe('what it looks and feels like'),
  lengthMm: PositiveMm,
  widthMm: PositiveMm,
  thicknessMm: Thickness,
  massKg: z.number().positive('must be more than nought: weigh the piece').max(200),
  discMm: z.number().min(100, 'is small for a disc: 200 mm is usual').max(400),
  presses: z
    .array(
      z.strictObject({
        forceN: z.number().positive('must be more than nought').max(5000),
        sinkMm: z.number().positive('must be more than nought').max(1000),
      }),
    )
    .max(60),
  isSimulated: z.boolean().describe('true when a simulated press sent its readings'),
})
export type FoamTest = z.infer<typeof FoamTest>

/** Somebody sat on it: a reading as good as a press, where no press is at hand. */
export const Trial = z.strictObject({
  who: Words(60),
  massKg: SitterKg,
  minutes: z.number().positive('must be more than nought').max(1440, 'is more than a day'),
  verdict: z.enum(['too-soft', 'right', 'too-firm', 'felt-the-board']),
})
export type Trial = z.infer<typeof Trial>

export const Cutting = z.strictObject({
  tool: z.enum(['electric-knife', 'bread-knife', 'hot-wire']),
  trimMm: z.number().min(0).max(100),
  joint: z.enum(['butt', 'scarf']),
  supply: z.enum(['sheets', 'cut-to-size']),
  glueGM2: z.number().min(10, 'is too little to hold').max(500).describe('grams for a square metre of each face'),
  glueFaces: z.union([z.literal(1), z.literal(2)]).describe('spread on one face of a joint, or on both'),
  glueCoats: z.union([z.literal(1), z.literal(2)]),
  film: z
    .enum(['none', 'taken-out', 'left-in'])
    .describe('slipped over the block to ease it into its cover, and drawn out again or left round it'),
  oversizeMm: z
    .number()
    .min(0, 'cannot be negative')
    .max(50, 'is more than 50 mm: that is another block')
    .describe('by how much each length and width of a cut-to-size order is larger, for trimming'),
  stock: z.array(FoamStock).max(40).describe('pieces of the shop that this job may use, as they were when chosen'),
  nest: z
    .strictObject({
      key: Words(64),
      lays: z
        .array(
          z.strictObject({
            group: Words(200),
            stock: Words(60).nullable(),
            sheet: z.strictObject({ lengthMm: PositiveMm, widthMm: PositiveMm }),
            lay: Lay,
          }),
        )
        .max(200),
    })
    .nullable()
    .describe('the nest that was kept, and the key of the parts it was made for'),
})
export type Cutting = z.infer<typeof Cutting>

const Common = {
  load: Load,
  boardMm: z
    .strictObject({ now: z.number().min(0).max(200), before: z.number().min(0).max(200) })
    .describe('thickness of the board under the cushion, now and before'),
}

export const FoamFilling = z
  .strictObject({
    kind: z.literal('foam'),
    ...Common,
    layers: z.array(Layer).min(1).max(4).describe('from the board up'),
    limits: z
      .strictObject({ leastMm: Thickness, mostMm: Thickness })
      .nullable()
      .describe('thicknesses the advice may propose; null: the finished one, give or take a sixth'),
    school: SizingSchool,
    wadding: Wadding.nullable(),
    test: FoamTest.nullable(),
    trials: z.array(Trial).max(20).describe('of this foam, in this thickness'),
  })
  .superRefine(({ layers, limits }, context) => {
    const free = layers.filter((l) => l.thicknessMm === null && l.body === null).length
    const stays = layers.some((l) => l.body !== null)
    if (free !== 1 && !(stays && free === 0))
      context.addIssue({
        code: 'custom',
        path: ['layers'],
        message: `${free === 0 ? 'none' : 'more than one'} of the layers is without a thickness: exactly one takes what the others leave`,
      })
    if (limits && limits.leastMm > limits.mostMm)
      context.addIssue({
        code: 'custom',
        path: ['limits', 'leastMm'],
        message: 'is more than the largest thickness: exchange the two',
      })
  })
export type FoamFilling = z.infer<typeof FoamFilling>

/** Loose fills, and how full they are packed, in kg for a cubic metre of cover. Rules of thumb of the trade. */
export const FILL_KG_M3 = { fibre: { least: 18, most: 35 }, scrap: { least: 30, most: 90 } } as const

export const FibreFilling = z
  .strictObject({
    kind: z.literal('loose-fibre'),
    ...Common,
    of: z.enum(['fibre', 'scrap']).describe('polyester fibre, or mixed scrap: cut-up foam and old wadding'),
    trials: z.array(Trial).max(20),
    fillKgM3: z.number().positive('must be more than nought').describe('mass for a cubic metre of cover'),
    linerLargerShare: z
      .number()
      .min(0.03, 'is below 3 %: the fill would not reach the corners')
      .max(0.05, 'is above 5 %: the liner would crease'),
    pricePerKg: z.number().min(0).max(1e5),
  })
  .superRefine(({ of, fillKgM3 }, context) => {
    const { least, most } = FILL_KG_M3[of]
    const fault = (message: string) => context.addIssue({ code: 'custom', path: ['fillKgM3'], message })
    if (fillKgM3 < least) fault(`is below ${least} kg/m³: it would sit empty`)
    if (fillKgM3 > most) fault(`is above ${most} kg/m³: it would be a sack`)
  })
export type FibreFilling = z.infer<typeof FibreFilling>

/** A ready-made insert: bought as it is, in its own case. */
export const InsertFilling = z.strictObject({
  kind: z.literal('insert'),
  ...Common,
  name: Words(80),
  flatWidthMm: PositiveMm.describe('of its case, laid flat and empty'),
  flatDepthMm: PositiveMm,
  filledMm: Thickness.describe('how thick it stands, filled'),
  massKg: z.number().positive('must be more than nought').max(100).nullable(),
  price: z.number().min(0).max(1e5).describe('of one'),
})
export type InsertFilling = z.infer<typeof InsertFilling>

export const Filling = z.discriminatedUnion('kind', [FoamFilling, FibreFilling, InsertFilling])
export type Filling = z.infer<typeof Filling>
