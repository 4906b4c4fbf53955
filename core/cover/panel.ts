import { phrase } from '../language/index.ts'
import type { ClothRole, ReadyEdge } from '../../contract/index.ts'
import { edgeLength, type Outline, type Point } from '../outline/index.ts'
import type { Way } from '../pattern/index.ts'
import { SIDES, type SideName } from '../seat/index.ts'
import type { Figure } from '../working/index.ts'

/** What part of a cover a panel is. A `blank` is folded over several sides, a `band` closes the end of one. */
export type PanelRole = 'plate' | 'boxing' | 'gusset' | 'blank' | 'band' | 'base' | 'body' | 'trim'

/**
 * Which face of the cushion a panel makes. `round` runs over several faces, `inside` is covered by others, `loose` is
 * sewn on.
 */
export type PanelFace = 'top' | 'bottom' | SideName | 'round' | 'inside' | 'loose'

/**
 * What is done to a finished edge: sewn to another, to a zip, lapped over its partner, turned and
 * hemmed, stapled to a board, or bonded. Hemmed, stapled and bonded edges are free on purpose.
 */
export type EdgeTreatment = 'seam' | 'zip' | 'lap' | 'hem' | 'staple' | 'bond'

export interface PanelEdge {
  readonly name: string
  readonly treatment: EdgeTreatment
  /** From the sewing line to the cut edge. */
  readonly allowance: Figure
  /** On a plate: the side of the cushion this edge lies at. */
  readonly side?: SideName
  /** The cloth's own edge, where it is one: it is cut with that edge on a side of the cloth, and takes no hem. */
  readonly ready?: ReadyEdge['is']
}

/** A piece of a panel that is sewn together of several, from its left or its lower end on. */
export interface PieceFact {
  /** Id of the whole panel. */
  readonly of: string
  readonly number: number
  readonly count: number
}

/** A small cut on an edge; the same letter stands on the edge it meets. */
export interface Notch {
  readonly letter: string
  readonly edge: string
  /** Along the finished edge from its first corner. */
  readonly atMm: number
}

/** What is chalked inside a panel: a line to fold or sew on or to slit, or places of buttons and ties. */
export interface Mark {
  readonly kind: 'fold' | 'sew' | 'quilt' | 'trim' | 'slot' | 'button' | 'tie' | 'vent' | 'grip'
  readonly label: string
  /** A path of points; a single one is a place. */
  readonly path: readonly Point[]
}

/**
 * One piece of cloth in its own plane, right side up: x across, y up or to the back.
 * `edges[i]` leaves corner i of `finished`, counter-clockwise. A bottom plate is therefore the
 * mirror image of what is seen from above.
 */
export interface Panel {
  readonly id: string
  readonly name: string
  readonly role: PanelRole
  readonly face: PanelFace
  readonly cloth: ClothRole
  /** How many of it one cushion takes. */
  readonly times: number
  readonly finished: Outline
  readonly edges: readonly PanelEdge[]
  readonly notches: readonly Notch[]
  readonly marks: readonly Mark[]
  readonly figures: {
    readonly finishedWidth: Figure
    readonly finishedHeight: Figure
    readonly cutWidth: Figure
    readonly cutHeight: Figure
  }
  /** Whether its own x runs across the roll of its cloth or along it. */
  readonly lies: Way
  /**
   * How much larger than its sewing line and allowances it is cut, each way of its own plane, for cloth that gives or
   * shrinks.
   */
  readonly growth: Growth
  /** One of several that make up a plate. */
  readonly isPart: boolean
  /** Null for a panel in one piece. */
  readonly piece: PieceFact | null
  /** Id of the panel that it lies behind as a layer; null for the cloth of the cover itself. */
  readonly behind: string | null
  /** Hidden panels may be turned on the cloth more freely than seen ones. */
  readonly isSeen: boolean
}

/**
 * Factors on the finished size (cloth that stretches) and on the whole piece (cloth that shrinks), and what deep
 * buttons take up.
 */
export interface Growth {
  readonly finished: { readonly x: number; readonly y: number }
  readonly whole: { readonly x: number; readonly y: number }
  readonly fullness: { readonly x: Fullness | null; readonly y: Fullness | null }
}

/** Cloth that dips to deep buttons: so much more of it between two places of the finished panel, evenly. */
export interface Fullness {
  readonly mm: Figure
  readonly from: number
  readonly to: number
}

export const NO_GROWTH: Growth = { finished: { x: 1, y: 1 }, whole: { x: 1, y: 1 }, fullness: { x: null, y: null } }

/** The plate that is sat on. */
export const isTopPlate = ({ role, face }: Pick<Panel, 'role' | 'face'>): boolean => role === 'plate' && face === 'top'

/** The whole of the plate below; one in two parts is not whole. */
export const isBottomPlate = ({
  role,
  face,
  isPart,
}: Pick<Panel, 'role' | 'face'> & Partial<Pick<Panel, 'isPart'>>): boolean =>
  role === 'plate' && face === 'bottom' && !isPart

/** What lies on the seat, and so as it lies on the cloth; all others stand round it. */
export const isLyingRole = (role: PanelRole): boolean =>
  role === 'plate' || role === 'blank' || role === 'base' || role === 'body'

/** Id of the panel as it was drawn: of the whole, for a piece of one. */
export const wholeId = ({ id, piece }: Pick<Panel, 'id' | 'piece'>): string => piece?.of ?? id

/** One word for a panel on a crowded drawing. */
export function shortName(panel: Pick<Panel, 'role' | 'face' | 'name' | 'piece'>): string {
  return panel.piece ? phrase`${wholeName(panel)} ${panel.piece.number}` : wholeName(panel)
}

function wholeName({ role, face, name }: Pick<Panel, 'role' | 'face' | 'name'>): string {
  const isUpright = SIDES.some((side) => side === face)
  switch (role) {
    case 'plate':
      return isUpright ? 'end' : face
    case 'boxing':
      return isUpright ? face : 'boxing'
    case 'trim':
      return name.toLowerCase()
    case 'gusset':
    case 'blank':
    case 'band':
    case 'base':
    case 'body':
      return role
    default:
      return role satisfies never
  }
}

/** As much of a panel as seams need to know. */
export type PanelShape = {
  readonly id: string
  readonly finished: Outline
  readonly edges: readonly { readonly name: string }[]
}

/** Which edge of a panel bears that name. @throws RangeError where none does (a bug in the caller). */
export function edgeIndex(panel: PanelShape, name: string): number {
  const index = panel.edges.findIndex((e) => e.name === name)
  if (index < 0) throw new RangeError(`panel ${panel.id} has no edge ${name}`)
  return index
}

export const finishedEdgeLength = (panel: PanelShape, name: string): number =>
  edgeLength(panel.finished, edgeIndex(panel, name))
