import { z } from 'zod'
import { FewOf } from './lengths.ts'

const Finite = z.number().min(-1e7).max(1e7)
const Length = z.number().positive().max(1e7)
export const Margin = z.number().min(0).max(1e7)
const Id = z.string().min(1).max(200)
const Outline = z
  .array(z.tuple([Finite, Finite]))
  .min(3)
  .max(5000)
const Phase = Finite.nullable().default(null)

/** More pieces than this are refused at the door rather than left to hang. */
export const MOST_PIECES = 5000

const Match = z.strictObject({ group: Id, anchor: z.tuple([Finite, Finite]), across: Phase, along: Phase })

/** An edge of a piece that must be the cloth's own: its selvedge, a factory hem, or the fold of cloth that lies folded. */
const AtSide = z.strictObject({
  edge: z.int().min(0).max(4999).describe('of the outline: the one that leaves the point of that number, from 0'),
  of: z.enum(['left', 'right', 'either']).describe('which side of the cloth it lies on, at x = 0 or x = width'),
})

export const LayPiece = z.strictObject({
  id: Id,
  qty: z.int().min(1).max(MOST_PIECES).default(1),
  outline: Outline.describe('simple polygon; arcs flattened to 0.1 mm or better'),
  turns: z
    .array(Finite)
    .min(1)
    .max(72)
    .default([0])
    .describe('allowed turns about the origin, degrees counter-clockwise'),
  flip: z.boolean().default(false).describe('may be mirrored, x to -x, before turning'),
  match: Match.nullable().default(null),
  sides: z
    .array(AtSide)
    .max(4)
    .optional()
    .describe('version 2: edges that lie on a side of the cloth, beyond its selvedge; each of them a straight one'),
})
export type LayPiece = z.infer<typeof LayPiece>

export const LayCloth = z.strictObject({
  width: Length,
  length: Length.nullable().default(null).describe('null: unlimited'),
  selvedge: z.tuple([Margin, Margin]).default([0, 0]),
  repeat: z
    .strictObject({ across: Length.nullable().default(null), along: Length.nullable().default(null) })
    .default({ across: null, along: null }),
  flaws: z
    .array(z.tuple([Finite, Finite, Margin, Margin]))
    .max(1000)
    .default([])
    .describe('[x, y, width, height]'),
  outline: Outline.optional().describe('true outline of a remnant'),
  count: z.int().min(1).max(1000).optional().describe('equal sheets; wants a length'),
})
export type LayCloth = z.infer<typeof LayCloth>

export const LayProblem = z.strictObject({
  format: z.literal('loft-seam/lay-problem'),
  version: z.literal([1, 2]).describe('2 where a piece names sides'),
  cloth: LayCloth,
  gap: Margin.default(0),
  groups: FewOf(MOST_PIECES, Id, z.strictObject({ across: Phase, along: Phase })).default({}),
  pieces: z.array(LayPiece).min(1).max(MOST_PIECES),
})
export type LayProblem = z.infer<typeof LayProblem>

export const Placement = z.strictObject({
  id: Id,
  copy: z.int().min(1),
  x: Finite,
  y: Finite,
  turn: Finite,
  flip: z.boolean(),
  sheet: z.int().min(1).optional(),
})
export type Placement = z.infer<typeof Placement>

export const Lay = z.strictObject({
  format: z.literal('loft-seam/lay'),
  version: z.literal(1),
  length: Margin,
  bound: Margin,
  seed: z.int(),
  seconds: Margin,
  placements: z.array(Placement).max(MOST_PIECES),
  offsets: FewOf(MOST_PIECES, Id, z.strictObject({ across: Finite.nullable(), along: Finite.nullable() })),
})
export type Lay = z.infer<typeof Lay>
