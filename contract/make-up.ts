import { z } from 'zod'
import { AllowanceMm, PositiveMm, Words } from './lengths.ts'

export const Side = z.enum(['front', 'right', 'back', 'left'])
export type Side = z.infer<typeof Side>

const Share = z.number().min(0).max(1)

/** How the corners of a plate without boxing are drawn in, so that they do not stand up as ears. */
export const EarCut = z.discriminatedUnion('kind', [
  z.strictObject({
    kind: z.literal('rounded'),
    radiusShare: z.number().min(0.3).max(1.2).describe('radius of the template, as a share of the thickness'),
  }),
  z.strictObject({
    kind: z.literal('tapered'),
    inMm: PositiveMm.max(40).describe('in at the corner'),
    overMm: PositiveMm.max(300).describe('along each edge'),
  }),
  z
    .strictObject({
      kind: z.literal('cut-off'),
      cutMm: PositiveMm.max(300).describe('along each edge from the corner'),
      curveMm: AllowanceMm.max(300).describe('radius of the curve at both ends of the cut; 0: sharp'),
    })
    .describe('the corner cut off straight, each end of the cut a curve'),
  z.strictObject({ kind: z.literal('ears') }),
])
export type EarCut = z.infer<typeof EarCut>

/** The long edges of a tube. */
export const TubeSeam = z.enum(['lower-back', 'lower-front', 'upper-front', 'upper-back'])
export type TubeSeam = z.infer<typeof TubeSeam>

const Boxing = z.enum(['wrap', 'one-per-side'])

/** How a cover is built: one recipe each. */
export const Construction = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('boxed'), boxing: Boxing }),
  z.strictObject({ kind: z.literal('lap-closed'), boxing: Boxing }),
  z.strictObject({
    kind: z.literal('slit-back'),
    boxing: Boxing,
    share: z.number().min(0.5).max(0.8).describe('the front part, of the depth'),
    lapMm: PositiveMm.max(200),
    hemMm: AllowanceMm.max(100),
  }),
  z.strictObject({ kind: z.literal('knife-edge'), corners: EarCut }),
  z.strictObject({
    kind: z.literal('waterfall'),
    frontRadiusMm: z.number().min(0).max(500),
    tuckMm: z.number().min(0).max(80).describe('depth of each tuck at the front corners of a square front; 0: none'),
    tucks: z.int().min(1).max(4, 'are more than four tucks at a corner: gather it').describe('at each corner'),
    tuckFromMm: AllowanceMm.max(300).describe('from the corner to the first of them, and from each to the next'),
  }),
  z.strictObject({
    kind: z.literal('wrapped-tube'),
    seams: z
      .array(TubeSeam)
      .max(4)
      .describe(
        'long seams, each once: so many panels lie round the four faces; none: one panel, seamed where it closes',
      ),
    closes: TubeSeam.describe('the long seam that opens; where it is none of the seams, the upper back or the first'),
  }),
  z.strictObject({ kind: z.literal('capped'), school: z.enum(['drawn-to-thickness', 'full-depth']) }),
  z.strictObject({
    kind: z.literal('pinch-corner'),
    panels: z.enum(['one', 'three']),
    share: z.number().min(0.5).max(0.8),
    hemMm: AllowanceMm.max(100),
    lapMm: PositiveMm.max(200),
  }),
  z.strictObject({ kind: z.literal('rolled-edge'), rollMm: PositiveMm.max(60), turnMm: z.number().min(0).max(20) }),
  z.strictObject({
    kind: z.literal('pull-over'),
    boardMm: PositiveMm.max(60),
    turnUnderMm: PositiveMm.max(150),
    clearanceMm: AllowanceMm.max(30).describe('the board is smaller by this all round'),
    dustCover: z.boolean(),
    stapleMm: z.number().min(15).max(80),
    stapleRows: z.int().min(1).max(2),
    airHoles: z.boolean(),
  }),
  z.strictObject({ kind: z.literal('hinged-pair'), backDepthMm: PositiveMm.max(3000) }),
  z.strictObject({
    kind: z.literal('no-sew-wrap'),
    lapMm: PositiveMm.max(300),
    fastening: z.enum(['bonded', 'pinned']),
    film: z.boolean(),
  }),
  z.strictObject({ kind: z.literal('cube'), sheetMm: PositiveMm.max(300), hemMm: AllowanceMm.max(100) }),
  z.strictObject({ kind: z.literal('bolster') }),
  z.strictObject({
    kind: z.literal('liner'),
    of: z.enum(['boxed', 'knife-edge', 'bolster']),
    largerShare: z.number().min(0).max(0.1),
  }),
])
export type Construction = z.infer<typeof Construction>

const Tape = { tapeMm: PositiveMm.max(100).describe('width of the tape'), side: Side } as const
const Spaced = { spacingMm: z.number().min(20).max(400), lapMm: PositiveMm.max(200), side: Side } as const

/** What keeps a slider on its zip: stops clamped on, the tape sewn across, or a tab of cloth folded over each end. */
export const ZipEnds = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('stops') }),
  z.strictObject({ kind: z.literal('sewn-across') }),
  z.strictObject({ kind: z.literal('tabs'), showMm: PositiveMm.max(80).describe('what is seen of each tab') }),
])
export type ZipEnds = z.infer<typeof ZipEnds>

/** How the cover opens again, or is shut for good. */
export const Closure = z.discriminatedUnion('kind', [
  z.strictObject({
    kind: z.literal('zip-gusset'),
    side: Side,
    lapped: z.boolean().describe('one half covers the zip'),
    pocketMm: AllowanceMm.max(200).describe('boxing folded back over each end of the zip; 0 for none'),
    showsMm: AllowanceMm.max(30)
      .optional()
      .describe(
        'the strip of zip that shows between the folds: both halves together finish lower by so much; 0 when left out',
      ),
    ends: ZipEnds.optional(),
  }),
  z.strictObject({
    kind: z.literal('zip-seam'),
    side: Side,
    tapeMm: AllowanceMm.max(20).describe('from the edge of the zip tape to the stitching beside the teeth'),
    overTwoEdges: z
      .boolean()
      .optional()
      .describe('at an end: the zip runs on over the corner and up the short edge, an L'),
    startMm: AllowanceMm.max(2000)
      .optional()
      .describe('at an end: where the zip starts, from the far corner of the long edge; 0 when left out'),
    ends: ZipEnds.optional(),
  }),
  z.strictObject({
    kind: z.literal('horseshoe'),
    shape: z.enum(['u', 'straight']),
    insetMm: PositiveMm.max(300),
    radiusMm: PositiveMm.max(300),
  }),
  z.strictObject({
    kind: z.literal('hook-and-loop'),
    ...Tape,
    spots: z
      .int()
      .min(1)
      .max(20)
      .optional()
      .describe('closed by so many square spots of the tape, evenly; left out: along all of the lap'),
    fixed: z
      .enum(['sewn', 'pressed-on'])
      .optional()
      .describe('pressed on, a tape keeps its own width and a margin within the hem; left out: sewn'),
  }),
  z.strictObject({ kind: z.literal('snap-tape'), ...Tape }),
  z.strictObject({ kind: z.literal('snaps'), ...Spaced }),
  z.strictObject({ kind: z.literal('buttons'), ...Spaced }),
  z.strictObject({ kind: z.literal('ties'), ...Spaced }),
  z.strictObject({ kind: z.literal('lacing'), ...Spaced }),
  z.strictObject({ kind: z.literal('slit') }),
  z.strictObject({
    kind: z.literal('sewn-shut'),
    side: Side,
    openingMm: PositiveMm,
    shut: z
      .enum(['by-hand', 'top-stitched', 'held-down'])
      .optional()
      .describe(
        'a ladder stitch by hand, top-stitched by machine, or by machine while the filling is held down; left out: as the make-up is usually shut',
      ),
  }),
  z.strictObject({ kind: z.literal('fixed') }).describe('stapled to a board, bonded or pinned: it does not open'),
])
export type Closure = z.infer<typeof Closure>

/** From and to as one stands before that side, from its left end. */
const PipedPart = z
  .strictObject({
    row: z.enum(['top', 'bottom']),
    side: Side,
    fromMm: z.number().min(0).max(20_000),
    toMm: PositiveMm.max(20_000),
  })
  .refine((p) => p.toMm > p.fromMm, 'ends before it starts')

const PipedEdges = {
  rows: z.enum(['top', 'bottom', 'both']),
  sides: z.array(Side).min(1).max(4).describe('edges that are piped; all four make closed loops'),
  bottomSides: z.array(Side).min(1).max(4).optional().describe('edges of the bottom row; left out: as the top row'),
  parts: z
    .array(PipedPart)
    .max(8)
    .optional()
    .describe('sides that are piped in part only, each at most once for a row'),
  ends: z.enum(['crossed', 'butted']).optional().describe('how the ends meet; left out: crossed'),
} as const
const StripCut = z.enum(['across', 'along', 'bias']).describe('straight across the roll, straight along it, or at 45°')

export const Piping = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('none') }),
  z.strictObject({
    kind: z.literal('corded'),
    ...PipedEdges,
    cordMm: PositiveMm.max(40),
    clothMm: z.number().min(0).max(10).describe('thickness of the cloth round the cord; 0 for thin cloth'),
    stripMm: PositiveMm.max(300).nullable().describe('a strip width of the maker’s own'),
    cut: StripCut,
  }),
  z.strictObject({ kind: z.literal('flat'), ...PipedEdges, showMm: PositiveMm.max(60), cut: StripCut }),
  z.strictObject({ kind: z.literal('ready-made'), ...PipedEdges, cordMm: PositiveMm.max(40) }),
])
export type Piping = z.infer<typeof Piping>

const Count = z.int().min(1).max(8, 'are more than eight in one place: make them two places')

/** Where ties are caught. */
export const TiePlace = z.discriminatedUnion('at', [
  z
    .strictObject({
      at: z.literal('edge'),
      row: z.enum(['top', 'foot']),
      side: Side,
      count: Count,
      endMm: PositiveMm.max(5000).optional().describe('the first and the last from the ends; left out: a sixth of it'),
    })
    .describe('in an edge, at the foot of a side or at its top'),
  z
    .strictObject({ at: z.literal('face'), side: Side, count: Count, upMm: AllowanceMm.max(1000) })
    .describe('on the face of a side, so far up'),
  z
    .strictObject({ at: z.literal('corners'), side: Side, upMm: AllowanceMm.max(1000) })
    .describe('in the upright seams at both ends of a side, so far up'),
  z
    .strictObject({ at: z.literal('hinge'), count: Count })
    .describe('of a hinged pair: one in the middle, two at its ends, more evenly between these'),
  z
    .strictObject({
      at: z.literal('underside'),
      rows: z.int().min(1).max(6),
      across: z.int().min(1).max(8),
      marginMm: PositiveMm.max(1000).describe('from the edges to the outer ones'),
    })
    .describe('in a grid underneath'),
])
export type TiePlace = z.infer<typeof TiePlace>

export const Ties = z.strictObject({
  places: z.array(TiePlace).min(1).max(12),
  finishedMm: PositiveMm.max(100),
  lengthMm: PositiveMm.max(1500).describe('finished length of one tail'),
  way: z.enum(['folded', 'turned-out']),
  caught: z.enum(['at-the-middle', 'at-an-end']),
})
export type Ties = z.infer<typeof Ties>

export const Handles = z.strictObject({
  side: Side,
  count: z.int().min(1).max(6),
  lengthMm: PositiveMm.max(1000),
  finishedMm: PositiveMm.max(150),
  fitting: z.enum(['none', 'd-ring', 'snap-hook']),
})
export type Handles = z.infer<typeof Handles>

export const Vents = z.strictObject({ side: Side, count: z.int().min(1).max(20) })
export type Vents = z.infer<typeof Vents>

export const Grip = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('none') }),
  z.strictObject({ kind: z.literal('hook-and-loop'), strips: z.int().min(1).max(12), tapeMm: PositiveMm.max(100) }),
  z.strictObject({ kind: z.literal('non-slip'), insetMm: AllowanceMm.max(300) }),
])
export type Grip = z.infer<typeof Grip>

export const Buttons = z.strictObject({
  rows: z.int().min(1).max(20),
  across: z.int().min(1).max(40),
  layout: z.enum(['even', 'staggered']),
  marginMm: PositiveMm.max(1000).describe('from the edge of the plate to the outer buttons'),
  diameterMm: PositiveMm.max(80),
  depthMm: z
    .number()
    .min(0)
    .max(150)
    .describe('how deep they are pulled into the cloth; 0 for pulled buttons without extra cloth'),
})
export type Buttons = z.infer<typeof Buttons>

export const Finishing = z.enum(['none', 'overlocked-together', 'overlocked-each', 'zigzag', 'bound', 'hot-knife'])
export type Finishing = z.infer<typeof Finishing>

export const Trims = z.strictObject({
  ties: Ties.nullable(),
  handles: Handles.nullable(),
  vents: Vents.nullable(),
  grip: Grip,
  buttons: Buttons.nullable(),
  finishing: Finishing,
  trimReserveMm: AllowanceMm.describe('left on one end of each long strip, to be trimmed when it is sewn'),
})
export type Trims = z.infer<typeof Trims>

/** More pieces than this are patchwork. */
export const MOST_PANEL_PIECES = 6

const Pieces = z
  .int()
  .min(2, 'is not a join: two pieces at least')
  .max(MOST_PANEL_PIECES, `are more than ${MOST_PANEL_PIECES}: that is patchwork`)

/** Where a panel is joined. Lengths on the finished panel, from its left or its lower end as it is drawn. */
export const JoinPlaces = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('even'), pieces: Pieces }).describe('pieces of one width; two meet in the middle'),
  z
    .strictObject({ kind: z.literal('outer'), pieces: Pieces.min(3), outerMm: PositiveMm })
    .describe('the same on either side of the middle: both outer pieces so wide, the rest evenly between them'),
  z.strictObject({
    kind: z.literal('at'),
    placesMm: z
      .array(PositiveMm)
      .min(1)
      .max(MOST_PANEL_PIECES - 1),
  }),
  z
    .strictObject({ kind: z.literal('least-seen'), pieces: Pieces })
    .describe('where the joins show least: underneath, then at the back, away from folds'),
])
export type JoinPlaces = z.infer<typeof JoinPlaces>

/** A panel that is sewn together of several pieces before anything else is done with it. */
export const PanelJoins = z.strictObject({
  panel: Words(60).min(1, 'names no panel').describe('its id, as the pieces of the plan have it'),
  of: z.enum(['cover', 'liner']),
  lines: z.enum(['up', 'across']).describe('whether the joins run up the panel as it is drawn, or across it'),
  places: JoinPlaces,
})
export type PanelJoins = z.infer<typeof PanelJoins>

/** What lies behind the cloth of a panel and is sewn as one with it. */
export const PanelLayer = z.strictObject({
  kind: z.enum(['lining', 'wadding', 'protector']).describe('cut from the cloth of that name'),
  behind: z
    .array(z.enum(['top', 'bottom', 'sides']))
    .min(1, 'lies behind nothing: choose top, bottom or sides')
    .max(3)
    .describe('what goes round several faces has it with any of them'),
  quilt: z
    .strictObject({
      spacingMm: PositiveMm.max(1000).describe('from line to line'),
      mostMm: PositiveMm.max(1000).describe('no further apart, or the layer wanders: as its maker says'),
    })
    .nullable(),
})
export type PanelLayer = z.infer<typeof PanelLayer>

/** More than this is no reserve but another size. */
export const MOST_RESERVE_MM = 200

/** Left on an edge to be trimmed at the try-on. */
export const EdgeReserve = z.strictObject({
  panel: Words(60).min(1, 'names no panel'),
  edge: Words(60).min(1, 'names no edge'),
  mm: AllowanceMm.max(MOST_RESERVE_MM).describe('beyond its allowance'),
})
export type EdgeReserve = z.infer<typeof EdgeReserve>

/** An edge that the cloth brings ready: it takes no hem, and the piece is laid with it on the side of the cloth. */
export const ReadyEdge = z.strictObject({
  panel: Words(60).min(1, 'names no panel'),
  edge: Words(60).min(1, 'names no edge'),
  is: z.enum(['selvedge', 'factory-hem']),
})
export type ReadyEdge = z.infer<typeof ReadyEdge>

export const MakeUp = z.strictObject({
  construction: Construction,
  closure: Closure,
  piping: Piping,
  trims: Trims,
  liner: z
    .strictObject({ largerShare: Share.max(0.1, 'is more than a tenth larger: 3 to 5 % fills the corners') })
    .nullable()
    .describe('an inner cover beside the cover'),
  layers: z.array(PanelLayer).max(6),
  reserves: z.array(EdgeReserve).max(40).describe('edges that are cut longer and trimmed at the try-on'),
  readyEdges: z.array(ReadyEdge).max(40).describe('edges that lie on the selvedge or on a factory hem'),
  joins: z.array(PanelJoins).max(40).describe('panels that are sewn together of pieces; each panel once'),
})
export type MakeUp = z.infer<typeof MakeUp>
