import type { Closure, ReadyEdge, TrimUse } from '../../contract/index.ts'
import type { Outline, Point } from '../outline/index.ts'
import type { Solid } from '../seat/index.ts'
import type { Figure } from '../working/index.ts'
import type { JoinFault } from './joins/join-fault.ts'
import type { CoverNote } from './notes.ts'
import type { Panel } from './panel.ts'
import type { PanelDraft } from './parts/panel-draft.ts'
import type { Patch } from './patch.ts'
import type { PipingPlan } from './piping/piping-plan.ts'
import type { Seam, SeamDraft, SeamPair } from './seam.ts'
import type { Wall } from './wall.ts'

/** Something of the closure that is bought: a zip, tape, snaps. */
export interface Fitting {
  readonly what: string
  /** What it is on the shelf of trims; null for what is not bought there. */
  readonly use: TrimUse | null
  readonly amount: Figure
  readonly note: string
}

/** How one opening of a cover is closed. */
export interface ClosurePlan {
  readonly choice: Closure
  /** Letter of its seam; a slot inside a panel has none. */
  readonly seam: string | null
  /** What the filling must pass. */
  readonly lengthMm: Figure
  /** How far its two halves lap over each other. */
  readonly lap: Figure | null
  readonly fittings: readonly Fitting[]
  /** Snaps, buttons or ties along the opening, in mm from its first end; the same datum on both halves. */
  readonly places: readonly number[]
}

/** A line of edges round the cushion that may be piped, by the seam pairs it follows: stretch `a` lies on the plate. */
export interface PipingRow {
  readonly row: 'top' | 'bottom'
  /** The plate, body or end whose edge the piping follows. */
  readonly panel: string
  readonly pairs: readonly SeamPair[]
  /** As a sum, where the whole row is one closed loop. */
  readonly perimeter: Figure
}

/** A board under a cushion: the outline of its seat, smaller by cloth and clearance, as it is sawn. */
export interface Board {
  readonly outline: Outline
  readonly thicknessMm: number
  readonly width: Figure
  readonly depth: Figure
  /** Middles of the air holes; empty where there are none. */
  readonly holes: readonly Point[]
}

/** What a recipe returns: panels and seams, and how they lie on the finished cushion. */
export interface CoverDraft {
  readonly panels: readonly PanelDraft[]
  /** In the order in which they are sewn. */
  readonly seams: readonly SeamDraft[]
  readonly closures: readonly (Omit<ClosurePlan, 'seam'> & { readonly seam: SeamDraft | null })[]
  readonly patches: readonly Patch[]
  /**
   * Area of the finished surface by the cushion's own size, not by the panels; null where the cloth is only folded
   * round.
   */
  readonly surfaceMm2: number | null
  readonly rows: readonly PipingRow[]
  /** The sides that boxing stands on. */
  readonly wall: Wall | null
  readonly perimeter: Figure
  /** Other figures of this make-up that a maker wants to see worked out. */
  readonly figures: readonly Figure[]
  /** What the machine or the bench has to know beside seams. */
  readonly notes: readonly CoverNote[]
  readonly fittings: readonly Fitting[]
  /** What the cloth is pulled over and stapled to. */
  readonly board: Board | null
}

/** A cover with every panel in one piece. */
export interface WholeCover extends Pick<CoverDraft, 'patches' | 'wall' | 'seams'> {
  readonly solid: Solid
  readonly panels: readonly Panel[]
}

/** Everything sewn for one cushion. `seams` stand in the order in which they are sewn. */
export interface Cover extends Omit<CoverDraft, 'panels' | 'seams' | 'closures'> {
  readonly solid: Solid
  readonly panels: readonly Panel[]
  readonly seams: readonly Seam[]
  readonly closures: readonly ClosurePlan[]
  readonly piping: PipingPlan | null
  /** What lies behind its panels, each piece cut from a cloth of its own and sewn as one with its panel. */
  readonly layers: readonly Panel[]
  /** As it was drawn, before its panels were cut in pieces: patterns run over their joins. */
  readonly whole: WholeCover
  /** Joins that were asked for and could not be made. */
  readonly joinFaults: readonly JoinFault[]
  /** Edges that were said to be ready and are not there, or are bowed. */
  readonly readyNowhere: readonly ReadyEdge[]
  /** Ties and handles that have no place on this cover. */
  readonly tiesNowhere: number
  /** Buttons of the grid that miss the plate. */
  readonly buttonsOutside: number
}

/** The panel with that id. @throws RangeError for one the cover has not (a bug in the caller). */
export function panelOf(cover: Pick<Cover, 'panels'>, id: string): Panel {
  const panel = cover.panels.find((p) => p.id === id)
  if (!panel) throw new RangeError(`no panel ${id}`)
  return panel
}
