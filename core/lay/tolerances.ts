/*
 * Every tolerance of the lay, millimetres unless its name says otherwise, from the finest to the widest. Between what
 * the search allows itself and what the check accepts there is room for the rounding of a lay's file.
 */

/** Rounding of sums of a few thousand lengths: within it two ledges, widths or phases are one. */
export const ROUNDING_MM = 1e-6

/** Two cost sums as good as each other. */
export const SAME_COST = 1e-9

/** Penetration that rounding may cause, far below what scissors resolve: what touches is told from it. */
export const HAIR_MM = 1e-5

/** Two lays are as long as each other: a tenth of what a file's rounding adds up to, far below any knife. */
export const EQUAL_LENGTH_MM = 1e-3

/** Edges that run flush, turned over the whole of their length by no more than this at the end. */
export const FLUSH_MM = 0.003

/** Pieces being pushed apart touch when no deeper in each other than this. */
export const TOUCH_MM = 0.02

/** Pieces fitted edge to edge may overlap by this, so that the rounding of both outlines is none of it. */
export const TILED_OVERLAP_MM = 0.03

/** What the contract accepts between two pieces, and beyond the cloth. */
export const ACCEPTED_OVERLAP_MM = 0.05

/** Pieces keep this far from the line of a slit or a pinhole, which has no width. */
export const BESIDE_SLIT_MM = 0.05

/** A proof in whole tenths may be out by this. */
export const PROOF_ROUNDING_MM = 0.05

/** Boxes stand in phase for a beam: a tenth of what the contract accepts. */
export const BEAM_PHASE_MM = 0.05

/** Cuts nearer than this are one stroke of the knife. */
export const ONE_STROKE_MM = 0.05

/** A corner is at an edge or another corner: twice what the tiles may overlap. */
export const CORNER_MM = 0.06

/** What the contract accepts between a lay's stated length and its own. */
export const ACCEPTED_LENGTH_MM = 0.1

/** Tiles stand in phase: well within what the contract accepts. */
export const TILED_PHASE_MM = 0.2

/** Bulging arcs are widened by no more than this for the search, to have fewer edges. */
export const BULGE_MM = 0.4

/** What the contract accepts between the phases of a group. */
export const ACCEPTED_MATCH_MM = 0.5

/** Flattened hollow arcs are filled in by no more than this: a hair of cloth for a twentieth of the convex parts. */
export const HOLLOW_MM = 2
