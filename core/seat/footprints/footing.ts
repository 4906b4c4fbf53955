import type { Outline, Point } from '../../outline/index.ts'

/** A dimension line of the drawing: which slot of the footprint it shows, and between which places. */
export interface Mark {
  readonly slot: string
  readonly from: Point
  readonly to: Point
  /** Taken along an arc with this bulge, rather than straight. */
  readonly bulge?: number
  /** Drawn where it was taped, not set out beside the seat. */
  readonly isDirect?: boolean
}

/** A seat's bare outline, counter-clockwise as drawn (near at the bottom), every edge and corner with its name. */
export interface Footing {
  readonly outline: Outline
  /** Name of edge i. */
  readonly edges: readonly string[]
  /** Name of the corner where edge i begins. */
  readonly corners: readonly string[]
  readonly marks: readonly Mark[]
  /** Edges that take no bow of their own: arcs by their nature, and lines that divide the seat. */
  readonly curved: readonly string[]
  /** Centre of a ring, towards which radial cuts run. */
  readonly centre: Point | null
}

/** Why a footprint makes no outline. Lengths in mm. */
export type FootprintFault =
  | { readonly code: 'tapes-cannot-close'; readonly tapes: readonly { readonly name: string; readonly mm: number }[] }
  | { readonly code: 'too-few-tapes'; readonly wanted: number; readonly found: number }
  | { readonly code: 'corner-not-held'; readonly corner: string }
  | { readonly code: 'tape-names'; readonly tape: string; readonly corners: number }
  | { readonly code: 'outline-crosses' }
  | { readonly code: 'template-swallowed'; readonly allowanceMm: number }
  | { readonly code: 'template-fold'; readonly edge: string; readonly because: 'missing' | 'bowed' }
  | { readonly code: 'no-area' }
  | { readonly code: 'corner-too-large'; readonly corner: string; readonly roomMm: number }
  | {
      readonly code: 'ears-too-large'
      readonly way: 'across' | 'front to back'
      readonly ears: number
      readonly seat: number
    }
  | { readonly code: 'legs-too-short'; readonly leg: 'A' | 'B'; readonly length: number; readonly depth: number }
  | { readonly code: 'ring-too-deep'; readonly depth: number; readonly radius: number }
  | { readonly code: 'more-than-round'; readonly degrees: number }
  | { readonly code: 'stations-order'; readonly at: number; readonly length: number }

export const footing = (
  outline: Outline,
  edges: readonly string[],
  corners: readonly string[],
  marks: readonly Mark[],
  more: Partial<Pick<Footing, 'curved' | 'centre'>> = {},
): Footing => ({ outline, edges, corners, marks, curved: [], centre: null, ...more })
