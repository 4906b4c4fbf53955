import { z } from 'zod'
import { AllowanceMm, FewOf, PositiveMm, Words, LONGEST_MM } from './lengths.ts'

/** A side that leans further is a floor or a ceiling; a bench that goes further round meets itself. */
export const MOST_LEAN_DEG = 75
export const MOST_OVERHANG_MM = 1000
/** Negative: neighbours are squeezed together. */
export const LEAST_GAP_MM = -100
export const MOST_GAP_MM = 1000
export const MOST_SWEEP_DEG = 350

export const MOST_CUSHIONS = 120

export const Dimension = z.strictObject({
  readings: z
    .array(z.strictObject({ mm: PositiveMm, on: z.iso.date().optional() }))
    .min(1)
    .max(20)
    .describe('readings of one dimension; its value is their median'),
})
export type Dimension = z.infer<typeof Dimension>

/** What an edge of the seat meets. */
export const EdgeRole = z.enum(['open', 'wall', 'hinge', 'hull'])
export type EdgeRole = z.infer<typeof EdgeRole>

/** How far a side leans outwards going up (negative: inwards). */
export const Lean = z.discriminatedUnion('by', [
  z.strictObject({
    by: z.literal('angle'),
    degrees: z
      .number()
      .min(-MOST_LEAN_DEG, `leans in by more than ${MOST_LEAN_DEG}°`)
      .max(MOST_LEAN_DEG, `leans out by more than ${MOST_LEAN_DEG}°`),
  }),
  z.strictObject({
    by: z.literal('overhang'),
    mm: z
      .number()
      .min(-MOST_OVERHANG_MM, 'stands in by more than 1 m')
      .max(MOST_OVERHANG_MM, 'stands out by more than 1 m')
      .describe('how much further out the top is than the bottom'),
  }),
])
export type Lean = z.infer<typeof Lean>

const SignedMm = z.number().min(-LONGEST_MM).max(LONGEST_MM)

export const EdgeSetting = z.strictObject({
  meets: EdgeRole,
  lean: Lean.nullable().describe('null: upright'),
  riseMm: SignedMm.describe('rise of a bowed edge above its chord, outwards positive; 0: straight'),
})
export type EdgeSetting = z.infer<typeof EdgeSetting>

export const CornerSetting = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('square') }),
  z.strictObject({ kind: z.literal('round'), radiusMm: PositiveMm }),
  z.strictObject({
    kind: z.literal('cut'),
    arrivingMm: PositiveMm.describe('leg along the edge that arrives at the corner, counter-clockwise'),
    leavingMm: PositiveMm.describe('leg along the edge that leaves it'),
  }),
])
export type CornerSetting = z.infer<typeof CornerSetting>

const Diagonals = {
  rising: Dimension.nullable().describe('near left to far right, as a check'),
  falling: Dimension.nullable().describe('far left to near right, as a check'),
}

const Ear = z.strictObject({
  out: Dimension.describe('how far it stands out'),
  deep: Dimension.describe('front to back'),
})
export type Ear = z.infer<typeof Ear>

const Letter = z.string().regex(/^[A-P]$/, 'must be a corner letter from A to P')

/** An old panel traced: which of its edges are cut lines, and whether it is half a panel. */
const Template = z.strictObject({
  lines: z.enum(['net', 'cut']).describe('what the traced line is where an edge does not say otherwise'),
  edges: FewOf(1000, Words(40), z.enum(['net', 'cut'])),
  allowanceMm: AllowanceMm.describe('beyond the sewing line, on every edge that is a cut line'),
  fold: Words(40).nullable().describe('the edge that half a panel is mirrored over; null: it is whole'),
})

/** The shape of a seat as the tape finds it; near is the bottom of the drawing. */
export const Footprint = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('rectangle'), width: Dimension, depth: Dimension, ...Diagonals }),
  z.strictObject({
    kind: z.literal('taper'),
    near: Dimension,
    far: Dimension,
    depth: Dimension,
    offset: z.discriminatedUnion('kind', [
      z.strictObject({ kind: z.literal('centred') }),
      z.strictObject({
        kind: z.literal('left'),
        mm: SignedMm.describe('how far the far left corner stands in from the near left one'),
      }),
    ]),
    ...Diagonals,
  }),
  z.strictObject({
    kind: z.literal('disc'),
    across: Dimension.describe('from side to side through the middle'),
    part: z.enum(['whole', 'half']).describe('half: straight in front, round behind'),
  }),
  z.strictObject({
    kind: z.literal('eared'),
    width: Dimension.describe('at the front, ears and all'),
    depth: Dimension,
    left: Ear.nullable(),
    right: Ear.nullable(),
  }),
  z.strictObject({
    kind: z.literal('corner-bench'),
    lengthA: Dimension.describe('along the far wall, from the corner'),
    depthA: Dimension,
    lengthB: Dimension.describe('along the left wall, from the corner'),
    depthB: Dimension,
  }),
  z.strictObject({
    kind: z.literal('ring'),
    at: z.enum(['inner', 'outer']).describe('which arc the radius, or chord and rise, and the length were taken on'),
    curve: z.discriminatedUnion('by', [
      z.strictObject({ by: z.literal('radius'), radius: Dimension }),
      z.strictObject({ by: z.literal('chord'), chord: Dimension, rise: Dimension }),
    ]),
    depth: Dimension,
    extent: z.discriminatedUnion('by', [
      z.strictObject({
        by: z.literal('angle'),
        degrees: z.number().positive('must be more than nought').max(MOST_SWEEP_DEG, `is more than ${MOST_SWEEP_DEG}°`),
      }),
      z.strictObject({ by: z.literal('length'), length: Dimension }),
      z.strictObject({ by: z.literal('chord') }).describe('the measured chord spans the whole bench'),
    ]),
  }),
  z.strictObject({
    kind: z.literal('berth'),
    length: Dimension.describe('centre line'),
    head: Dimension.describe('from the centre line to the hull, at the head'),
    foot: Dimension,
    stations: z.array(z.strictObject({ at: Dimension.describe('from the head'), width: Dimension })).max(12),
    hull: z.enum(['straight', 'smooth']).describe('how the stations are joined'),
  }),
  z.strictObject({
    kind: z.literal('taped'),
    corners: z.int().min(3, 'a shape has at least 3 corners').max(16, 'more than 16 corners: trace it instead'),
    tapes: z
      .array(
        z.strictObject({
          from: Letter,
          to: z.string().regex(/^[A-P]{1,2}$/, 'must be a corner (C), or two for the middle of a side (BC)'),
          length: Dimension,
        }),
      )
      .max(80),
    hollow: z.array(Letter).max(16).describe('corners that point inwards'),
  }),
  z.strictObject({
    kind: z.literal('points'),
    points: z
      .array(
        z.strictObject({ x: SignedMm, y: SignedMm, riseMm: SignedMm.describe('of the edge that leaves this point') }),
      )
      .min(3, 'an outline has at least 3 points')
      .max(1000, 'more than 1000 points'),
    source: z.discriminatedUnion('kind', [
      z.strictObject({ kind: z.literal('typed') }),
      z.strictObject({ kind: z.literal('file'), name: Words(200), report: z.array(Words(300)).max(20) }),
    ]),
    template: Template.nullable().default(null).describe('null: the outline of a seat, not of an old panel'),
  }),
])
export type Footprint = z.infer<typeof Footprint>

const GapMm = z
  .number()
  .min(LEAST_GAP_MM, 'is squeezed by more than 100 mm')
  .max(MOST_GAP_MM, 'is more than 1 m')
  .describe('between neighbours; negative squeezes them together')
const Count = z
  .int()
  .min(1, 'at least 1 cushion')
  .max(MOST_CUSHIONS, `more than ${MOST_CUSHIONS} cushions: check the number, or begin another ticket`)

/** Cushions that differ a little: those of the first row are as the seat was measured. */
export const SizeRow = z.strictObject({
  count: Count,
  readings: FewOf(40, Words(40), Dimension).describe(
    'what was measured otherwise than on the seat, by its place: `width`, `depth`, `thickness`',
  ),
})
export type SizeRow = z.infer<typeof SizeRow>
export const MOST_SIZE_ROWS = 60

/** How a seat is divided into cushions. */
export const Division = z.discriminatedUnion('kind', [
  z.strictObject({
    kind: z.literal('singles'),
    count: Count,
    mirrored: z.int().min(0).max(MOST_CUSHIONS).describe('as many again, mirrored'),
  }),
  z.strictObject({
    kind: z.literal('run'),
    count: Count,
    gapMm: GapMm,
    cuts: z.enum(['straight', 'radial']).describe('square to the front, or towards the centre of a ring'),
  }),
  z.strictObject({
    kind: z.literal('corner'),
    countA: Count,
    countB: Count,
    gapMm: GapMm,
    corner: z.enum(['a-through', 'b-through', 'square', 'mitre']),
  }),
  z.strictObject({
    kind: z.literal('rows'),
    rows: z
      .array(SizeRow)
      .min(1, 'at least one row')
      .max(MOST_SIZE_ROWS, `more than ${MOST_SIZE_ROWS} rows of sizes: begin another part`),
  }),
])
export type Division = z.infer<typeof Division>

const OldSizes = z.strictObject({
  widthMm: PositiveMm.nullable(),
  depthMm: PositiveMm.nullable(),
  thicknessMm: PositiveMm.nullable(),
})
export type OldSizes = z.infer<typeof OldSizes>

const EdgeName = Words(40)

export const Seat = z.strictObject({
  footprint: Footprint,
  thickness: Dimension,
  edges: z.record(EdgeName, EdgeSetting).describe('what differs from an open, upright, straight edge, by edge'),
  corners: z.record(EdgeName, CornerSetting).describe('corners that are not square'),
  front: EdgeName.describe('the edge the sitter faces'),
  turnDeg: z.number().min(-180).max(180).describe('turned further, so that the front need not be level'),
  mirrored: z.boolean(),
  clearanceMm: AllowanceMm.describe('left free at every wall, hinge or hull'),
  division: Division,
  old: z
    .strictObject({ measured: OldSizes.nullable(), label: OldSizes.nullable() })
    .describe('the old cushion, stripped, and what its label says'),
})
export type Seat = z.infer<typeof Seat>
