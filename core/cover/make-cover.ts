import type { Cloth, ClothChoice, MakeUp } from '../../contract/index.ts'
import { at, boxOf } from '../outline/index.ts'
import { ok, type Result } from '../result/index.ts'
import type { Solid } from '../seat/index.ts'
import type { LengthUnit } from '../units/index.ts'
import { entered, type Figure } from '../working/index.ts'
import type { Allowances } from './allowances.ts'
import { boxingAsCut } from './boxing-choice.ts'
import type { ClosurePlan, Cover, CoverDraft } from './cover.ts'
import { finishPanel } from './finish.ts'
import { finishedWithin, growthOf, type LearnedShares } from './growth.ts'
import { isBehind, layerDrafts, quiltLines } from './layers.ts'
import { lieOf, stripLie } from './lie.ts'
import { buildDraft } from './makeups/index.ts'
import { markNotches } from './notches.ts'
import { clothFor, givesOrShrinks, looksAlikeEveryWay, usableWidth } from './on-the-roll.ts'
import { isTopPlate, type Growth, type Mark, type Panel } from './panel.ts'
import type { PanelDraft } from './parts/index.ts'
import { readyNowhere, withReadyEdges } from './ready-edges.ts'
import { withReserves } from './reserves.ts'
import type { SewnUp } from './sewn-up.ts'
import { planPiping } from './piping/piping.ts'
import type { Refusal } from './refusal.ts'
import { onPieces, partedByPieces } from './joins/on-pieces.ts'
import { piecesOf } from './joins/pieces-of.ts'
import { withJoins, type WithJoins } from './joins/with-joins.ts'
import { lettered, type Seam } from './seam.ts'
import { planButtons, type ButtonPlan } from './trims/buttons.ts'
import { caughtAt, type Caught } from './trims/places.ts'
import { markOnSide } from './trims/side-places.ts'
import { planTrims, type TrimMark, type TrimPlan } from './trims/trims.ts'
import { zipTabs } from './trims/zip-tabs.ts'
import { ventPlace } from './trims/vent-place.ts'

export interface CoverInput {
  /** What the cover finishes at. */
  readonly solid: Solid
  readonly makeUp: MakeUp
  readonly cloth: ClothChoice
  readonly allowances: Allowances
  /** Strips are rounded up in the job's unit. */
  readonly units: LengthUnit
  /** Allowances that the job sets on single edges, by `panel/edge`. */
  readonly edges: Readonly<Record<string, number>>
  /** What covers of this kind were found to finish larger by. */
  readonly learned?: LearnedShares
}

/** From a make-up to every piece of its cover: the recipe, what is sewn on, cut sizes, letters and notches, piping. */
export function makeCover(input: CoverInput): Result<Cover, Refusal> {
  const { solid, makeUp, allowances } = input
  const { construction, closure, piping } = makeUp
  const draft = buildDraft({
    solid,
    construction: boxingAsCut(construction, input.cloth),
    closure,
    piping,
    allowances,
    longestStripMm: longestStrip(input),
  })
  if (!draft.ok) return draft
  const { drafts, trim, buttons, tiesPlaced } = withTrims(input, draft.value)
  const reserve = reserveOf(makeUp)
  const sewnUp: SewnUp = { ...draft.value, panels: drafts, solid }
  const finished = (p: PanelDraft, depthShare: number) => {
    const lies = lieOf(input.cloth, sewnUp, p)
    const growth = growthOf(input.cloth, { ...p, lies, depthShare }, input.learned)
    return finishPanel(p, input.edges, { lies, growth: withFullness(growth, p, buttons) }, reserve)
  }
  const whole = drafts.map((p) => finished(p, depthShareOf(p, draft.value)))
  // What is only folded and bonded has nothing sewn behind it.
  const isSewn = draft.value.seams.some((s) => s.pairs.length > 0)
  const layers = layerDrafts(drafts, isSewn ? makeUp.layers : []).map((p) => finished(p, 0))
  const joined = withJoins({ ...draft.value, panels: drafts }, makeUp.joins, {
    seam: allowances.seamMm,
    widestMm: (p, axis) =>
      widestPiece(
        input,
        whole.find((w) => w.id === p.id)!,
        axis,
      ),
  })
  const seams = lettered(joined.seams)
  const panels = piecesOf(joined, markNotches(whole, partedByPieces(draft.value.seams, joined.pieces)), (p, own) =>
    finishPanel(p, input.edges, own, reserve),
  )
  const piped = piping.kind === 'none' ? null : planPiping(piping, draft.value.rows, whole, allowances, input.units)
  return ok({
    ...draft.value,
    ...joined,
    solid,
    panels,
    seams,
    whole: { ...draft.value, solid, panels: whole },
    layers,
    closures: closuresOf(joined, seams),
    joinFaults: joined.faults,
    piping: piped && { ...piped, pairs: onPieces(piped.pairs, joined.pieces) },
    fittings: [...draft.value.fittings, ...trim.fittings, ...(buttons?.fittings ?? [])],
    readyNowhere: readyNowhere(draft.value.panels, makeUp.readyEdges),
    buttonsOutside: buttons?.outside ?? 0,
    tiesNowhere: trim.marks.filter((m) => m.kind === 'tie').length - tiesPlaced,
  })
}

const reserveOf = ({ trims }: MakeUp): Figure | null =>
  trims.trimReserveMm > 0
    ? entered({
        id: 'cover.reserve',
        label: 'Left to trim',
        quantity: 'length',
        value: trims.trimReserveMm,
        rule: 'on one end of each strip',
        setBy: 'job',
        change: 'make-up.reserve',
      })
    : null

interface Trimmed {
  readonly drafts: readonly PanelDraft[]
  readonly trim: TrimPlan
  readonly buttons: ButtonPlan | null
  readonly tiesPlaced: number
}

/** The panels of a draft with marks for all that is sewn on or through them; the panels of that follow. */
function withTrims({ solid, makeUp, allowances }: CoverInput, draft: CoverDraft): Trimmed {
  const { closure, trims } = makeUp
  const trim = planTrims(trims, solid, allowances)
  const top = draft.panels.find((p) => isTopPlate(p) || p.role === 'blank' || p.role === 'body')
  const topPatch = draft.patches.find((p) => p.panel === top?.id)
  const buttons = trims.buttons && topPatch ? planButtons(trims.buttons, topPatch.outline, solid.thickness) : null
  const sewnOn = placed(trim, draft, solid)
  const bare = draft.panels.map((p) => withReadyEdges(withReserves(p, makeUp.reserves), makeUp.readyEdges))
  const zips = draft.closures.filter((c) => c.fittings.some((f) => f.use === 'zip')).length
  const tabs = zipTabs(closure, zips, allowances)
  const drafts = [...bare, ...trim.panels, ...tabs, ...(buttons?.panels ?? [])].map((p) => ({
    ...p,
    marks: [
      ...(p.marks ?? []),
      ...makeUp.layers.flatMap((l) => (l.quilt && isBehind(p, l) ? quiltLines(p, l.quilt.spacingMm) : [])),
      ...sewnOn.flatMap((m) => (m.panel === p.id ? [m.mark] : [])),
      ...(buttons && p.id === top?.id ? buttons.marks : []),
    ],
  }))
  return { drafts, trim, buttons, tiesPlaced: sewnOn.filter((m) => m.mark.kind === 'tie').length }
}

/**
 * Boxing that lies across the roll is no longer than the cloth is wide; where it may be turned it can run along the
 * roll.
 */
function longestStrip({ cloth: choice, allowances }: CoverInput): number | null {
  const cloth = clothFor(choice, 'boxing')
  const mayTurn = looksAlikeEveryWay(cloth) && !givesOrShrinks(cloth)
  return mayTurn || stripLie(choice, { role: 'boxing', cloth: 'boxing' }) === 'along'
    ? null
    : widestAcross(cloth, allowances)
}

/** What lies across the roll between the selvedges, sewing line to sewing line. */
const widestAcross = (cloth: Cloth, { seamMm }: Allowances): number =>
  Math.max(1, finishedWithin(cloth, 'across', usableWidth(cloth), 2 * seamMm.value))

/** The widest piece of a panel that its cloth gives, where its joins part it across the roll. */
function widestPiece({ cloth: choice, allowances }: CoverInput, panel: Panel, axis: 'x' | 'y'): number | null {
  const cloth = clothFor(choice, panel.cloth)
  const isAcross = (panel.lies === 'across') === (axis === 'x')
  return isAcross ? widestAcross(cloth, allowances) : null
}

/** How much of a strip's length runs front to back, by the walls it stands on. */
function depthShareOf(panel: PanelDraft, { patches }: CoverDraft): number {
  const runs = patches
    .filter((p) => p.panel === panel.id)
    .map(({ outline, place }) => {
      const { minX, maxX, minY } = boxOf(outline)
      const [a, b] = [place(at(minX, minY)), place(at(maxX, minY))]
      return { across: Math.abs(b.x - a.x), deep: Math.abs(b.y - a.y) }
    })
  const [across, deep] = [runs.reduce((sum, r) => sum + r.across, 0), runs.reduce((sum, r) => sum + r.deep, 0)]
  return across + deep === 0 ? 0 : deep / (across + deep)
}

function closuresOf(draft: Pick<WithJoins, 'closures' | 'seams'>, seams: readonly Seam[]): readonly ClosurePlan[] {
  return draft.closures.map((c) => ({ ...c, seam: c.seam ? seams[draft.seams.indexOf(c.seam)]!.letter : null }))
}

/**
 * Each tie and handle is marked once, where it is caught; each vent on the boxing, or on the plate where a zip runs in
 * that.
 */
const placed = (
  trim: TrimPlan,
  draft: CoverDraft,
  solid: Solid,
): readonly { readonly panel: string; readonly mark: Mark }[] =>
  trim.marks.flatMap((wanted) => {
    const found = wanted.kind === 'vent' ? ventAt(draft, wanted) : caughtAt(draft, solid, wanted.place)
    return found ? [{ panel: found.panel, mark: { kind: wanted.kind, label: wanted.label, path: [found.at] } }] : []
  })

function ventAt(draft: CoverDraft, { place }: TrimMark): Caught | null {
  if (place.on !== 'edge') return null
  const { side, share } = place
  const panel = draft.panels.find((p) => p.edges.some((e) => e.side === side))
  const onEdge = panel && markOnSide(panel, side, share)
  return ventPlace(draft, side, share) ?? (onEdge ? { panel: panel.id, at: onEdge } : null)
}

function withFullness(growth: Growth, panel: PanelDraft, buttons: ButtonPlan | null): Growth {
  return buttons && panel.role === 'plate' ? { ...growth, fullness: buttons.fullness } : growth
}
