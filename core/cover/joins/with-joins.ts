import type { PanelJoins } from '../../../contract/index.ts'
import { areaOf, boxOf, islandsLeftOf, wholeOf, type Outline } from '../../outline/index.ts'
import type { Figure } from '../../working/index.ts'
import type { CoverDraft } from '../cover.ts'
import type { PanelDraft } from '../parts/panel-draft.ts'
import type { Patch } from '../patch.ts'
import type { SeamDraft } from '../seam.ts'
import { cutPanel, linesOf, type Axis, type CutPanel } from './cut-panel.ts'
import type { JoinFault } from './join-fault.ts'
import { joinPlaces } from './join-places.ts'
import { onPieces, type PiecesOf } from './on-pieces.ts'

/** What joins are made in: the draft of a cover, with everything that is sewn on. */
export type Joinable = Pick<CoverDraft, 'panels' | 'seams' | 'closures' | 'patches'>

export interface JoinLimits {
  readonly seam: Figure
  /** The widest piece of a panel that its cloth gives along one of its axes; null: no limit. */
  readonly widestMm: (panel: PanelDraft, axis: Axis) => number | null
}

/** A draft with its joined panels in pieces, and what of it could not be joined. */
export interface WithJoins extends Joinable {
  readonly faults: readonly JoinFault[]
  readonly pieces: PiecesOf
}

/**
 * Panels cut into pieces, as the maker asks, whatever the make-up: every seam is told on the pieces, and every join is
 * sewn before anything else. A join that cannot be made leaves its panel whole.
 */
export function withJoins(draft: Joinable, joins: readonly PanelJoins[], limits: JoinLimits): WithJoins {
  const faults: JoinFault[] = []
  const cuts = new Map<string, { readonly cut: CutPanel; readonly axis: Axis; readonly places: readonly number[] }>()
  for (const asked of joins) {
    const panel = draft.panels.find((p) => p.id === asked.panel)
    const axis: Axis = asked.lines === 'up' ? 'x' : 'y'
    const patches = draft.patches.filter((p) => p.panel === asked.panel)
    const places = panel
      ? joinPlaces(asked.places, { finished: panel.finished, patches, widestMm: limits.widestMm(panel, axis) }, axis)
      : []
    const fault = cuts.has(asked.panel)
      ? ({ panel: panel!.name, because: 'twice' } as const)
      : faultOf(panel, asked, axis, places, limits.seam.value)
    const cut = fault ? null : cutPanel(panel!, axis, places, limits.seam)
    if (cut) cuts.set(asked.panel, { cut, axis, places })
    else faults.push(fault ?? { panel: panel!.name, because: 'not-in-two' })
  }
  if (cuts.size === 0) return { ...draft, faults, pieces: new Map() }
  const pieces: PiecesOf = new Map([...cuts].map(([id, { cut }]) => [id, cut.pieces]))
  const seams = new Map(draft.seams.map((s): [SeamDraft, SeamDraft] => [s, { ...s, pairs: onPieces(s.pairs, pieces) }]))
  return {
    panels: draft.panels.flatMap((p) => cuts.get(p.id)?.cut.pieces.map((piece) => piece.draft) ?? [p]),
    seams: [...joinSeams(draft.seams, cuts), ...seams.values()],
    closures: draft.closures.map((c) => ({ ...c, seam: c.seam && seams.get(c.seam)! })),
    patches: draft.patches.flatMap((p) => {
      const own = cuts.get(p.panel)
      const isOneOfSeveral = draft.patches.some((q) => q !== p && q.panel === p.panel)
      return own ? patchInPieces({ ...p, isOneOfSeveral }, own.cut, own.axis, own.places) : [p]
    }),
    faults,
    pieces,
  }
}

/** Beside its two allowances so much must be left of a piece to be sewn at all. */
const LEFT_MM = 10

function faultOf(
  panel: PanelDraft | undefined,
  asked: PanelJoins,
  axis: Axis,
  places: readonly number[],
  seamMm: number,
): JoinFault | null {
  if (!panel) return { panel: asked.panel, because: 'no-such-panel' }
  const box = boxOf(panel.finished)
  const lines = axis === 'x' ? [box.minX, ...places, box.maxX] : [box.minY, ...places, box.maxY]
  const pieceMm = Math.min(...lines.slice(1).map((to, i) => to - lines[i]!))
  const leastMm = 2 * seamMm + LEFT_MM
  if (pieceMm < leastMm) return { panel: panel.name, because: 'too-narrow', pieceMm: Math.max(0, pieceMm), leastMm }
  const slots = (panel.marks ?? [])
    .filter((m) => m.kind === 'slot')
    .flatMap((m) => m.path.slice(1).map((q, i) => [m.path[i]!, q] as const))
  return places.some((v) => slots.some(([p, q]) => Math.min(p[axis], q[axis]) < v && v < Math.max(p[axis], q[axis])))
    ? { panel: panel.name, because: 'through-opening' }
    : null
}

/** The joins of all panels; of a lining or an inner cover they belong to that. */
const joinSeams = (
  seams: readonly SeamDraft[],
  cuts: ReadonlyMap<string, { readonly cut: CutPanel }>,
): readonly SeamDraft[] =>
  [...cuts].flatMap(([id, { cut }]) => {
    const layer = seams.find((s) => s.pairs.some(({ a, b }) => a.panel === id || b.panel === id))?.layer
    return layer ? cut.seams.map((join) => ({ ...join, layer })) : cut.seams
  })

/** Smaller leftovers of a patch are a hair beside its fold. */
const LEAST_PATCH_MM2 = 1

function patchInPieces(patch: Patch, { pieces }: CutPanel, axis: Axis, places: readonly number[]): readonly Patch[] {
  return pieces.flatMap(({ id }, i) =>
    between(patch.outline, axis, places[i - 1] ?? null, places[i] ?? null)
      .filter((outline) => Math.abs(areaOf(outline)) > LEAST_PATCH_MM2)
      .map((outline) => ({ ...patch, panel: id, outline })),
  )
}

/** All of an outline between two lines, in as many parts as they leave. */
function between(outline: Outline, axis: Axis, from: number | null, to: number | null): readonly Outline[] {
  const { on, up, down } = linesOf(axis)
  const after = from === null ? [wholeOf(outline)] : islandsLeftOf(wholeOf(outline), on(from), down)
  return after.flatMap((part) => (to === null ? [part] : islandsLeftOf(part, on(to), up))).map((part) => part.outline)
}
