import { z } from 'zod'
import { Lay, LayProblem, Margin, MOST_PIECES, Placement } from './lay.ts'

/** Why no lay can be shorter: the planner's bounds by name. */
export const BOUND_NAMES = [
  'area',
  'tallest piece',
  'wide pieces',
  'pieces at one side',
  'rows of the pattern',
  'what lies abreast',
  'every way tried',
] as const

/** A lay as the planner finds it, with what proves its bound and the largest rectangle of cloth left in it, mm. */
export const FoundLay = z.strictObject({
  lay: Lay.omit({ seconds: true }),
  bound: z.strictObject({ name: z.enum(BOUND_NAMES), length: Margin }),
  steps: z.int().min(0),
  free: z.strictObject({ x: z.number(), y: z.number(), width: Margin, height: Margin }),
})

/** Pieces that stay where a lay has them, by their keys. */
const Locked = z.strictObject({
  lay: z.strictObject({ placements: z.array(Placement).max(MOST_PIECES), offsets: Lay.shape.offsets }),
  keys: z.array(z.string().min(1).max(220)).max(MOST_PIECES),
})

export const MakeLay = z.strictObject({
  problem: LayProblem,
  seconds: z.number().positive().max(60).default(5),
  seed: z.int().default(1),
  steps: z.int().min(1).max(1_000_000).optional(),
  locked: Locked.optional(),
})

/** What a machine that searches is called. */
export const LONGEST_SEARCHER_NAME = 60
export const SearcherName = z.string().min(1).max(LONGEST_SEARCHER_NAME)
export const MOST_SEARCHER_LANES = 64

/** A machine that searches for the shop. */
export const Searcher = z.strictObject({
  name: SearcherName,
  lanes: z.int().min(1).max(MOST_SEARCHER_LANES),
  /** Plans as the shop does itself; one of another release is left alone. */
  isAlike: z.boolean(),
})
export type Searcher = z.infer<typeof Searcher>

/** Who searches besides: with no queue nobody does; one that is lost was there before. */
export const Searchers = z.strictObject({
  queue: z.enum(['none', 'reached', 'lost']),
  searchers: z.array(Searcher).max(200),
})
export type Searchers = z.infer<typeof Searchers>

/** One line of what is told while others search: a better lay and whose, after so many seconds; the last line is the end. */
export const SearchMessage = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('better'), found: FoundLay, seconds: Margin, by: SearcherName }),
  z.strictObject({ kind: z.literal('ended'), isProven: z.boolean() }),
])
export type SearchMessage = z.infer<typeof SearchMessage>
