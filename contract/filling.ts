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

/** One material of a block. The layer without a thickness takes what the others leave. */
export const Layer = z.strictObject({
  grade: Grade.describe('a copy of the grade as it was when chosen'),
  thicknessMm: Thickness.nullable(),
})
export type Layer = z.infer<typeof Layer>

export const SizingSchool = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('size-for-size') }),
  z.strictObject({ kind: z.literal('full-block'), thicknessExtraMm: z.number().min(0).max(6) }),
  z.strictObject({ kind: z.literal('snug-cover') }),
  z.strictObject({ kind: z.literal('wrap-then-measure') }),
  z.strictObject({ kind: z.literal('thinner-block'), thinnerShare: z.number().min(0.05).max(0.3) }),
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

/** The foam of the old cushion: may it be kept? */
export const OldFoam = z.strictObject({
  freshMm: Thickness.describe('thickness at an edge nobody sat on'),
  sunkMm: Thickness.describe('thickness where the sitter sits, as found'),
  restedMm: Thickness.describe('the same after steaming or a day of rest'),
  crumbles: z.boolean(),
  smells: z.boolean(),
})
export type OldFoam = z.infer<typeof OldFoam>

export const Cutting = z.strictObject({
  tool: z.enum(['electric-knife', 'bread-knife', 'hot-wire']),
  trimMm: z.number().min(0).max(100),
  joint: z.enum(['butt', 'scarf']),
  supply: z.enum(['sheets', 'cut-to-size']),
  glueGM2: z.number().min(10, 'is too little to hold').max(500).describe('grams for a square metre of each face'),
  film: z.boolean().describe('slipped over the block to ease it into its cover'),
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
    layers: z.array(Layer).min(1).max(3).describe('from the board up'),
    limits: z
      .strictObject({ leastMm: Thickness, mostMm: Thickness })
      .nullable()
      .describe('thicknesses the advice may propose; null: the finished one, give or take a sixth'),
    school: SizingSchool,
    wadding: Wadding.nullable(),
    test: FoamTest.nullable(),
    old: OldFoam.nullable(),
  })
  .superRefine(({ layers, limits }, context) => {
    const free = layers.filter((l) => l.thicknessMm === null).length
    if (free !== 1)
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

export const FibreFilling = z.strictObject({
  kind: z.literal('loose-fibre'),
  ...Common,
  fillKgM3: z
    .number()
    .min(18, 'is below 18 kg/m³: it would sit empty')
    .max(35, 'is above 35 kg/m³: it would be a sack')
    .describe('mass for a cubic metre of cover'),
  linerLargerShare: z
    .number()
    .min(0.03, 'is below 3 %: the fill would not reach the corners')
    .max(0.05, 'is above 5 %: the liner would crease'),
  pricePerKg: z.number().min(0).max(1e5),
})
export type FibreFilling = z.infer<typeof FibreFilling>

export const Filling = z.discriminatedUnion('kind', [FoamFilling, FibreFilling])
export type Filling = z.infer<typeof Filling>
