import { phrase } from '../../language/index.ts'
import { at, rectangle, type Outline } from '../../outline/index.ts'
import { err } from '../../result/index.ts'
import { entered, figure, plus, times, type Figure } from '../../working/index.ts'
import { planClosure } from '../closures/closure-plan.ts'
import { tapeFigure } from '../closures/tape.ts'
import { notABox, pillowPlace, rectanglePanel, seamEdge, type EdgeDraft, type PanelDraft } from '../parts/index.ts'
import type { Patch } from '../patch.ts'
import { drafted, type Recipe, type RecipeInput } from '../recipe.ts'
import type { SeamDraft, SeamPair } from '../seam.ts'
import { inSpace } from '../space.ts'
import { openLength } from './boxed.ts'

/**
 * Seat and back in one cover of two panels, w + t by d_seat + d_back + 2t, parted by a seam through
 * both between the two pockets. The seat is filled at its front, the back at its top.
 */
export const hingedPair: Recipe<'hinged-pair'> = (input) => {
  const { solid, construction, closure, allowances } = input
  const reason = notABox(solid)
  if (reason) return err({ construction: 'hinged-pair', reason, nearest: 'knife-edge' })
  const t = solid.thickness
  const back = entered({
    id: 'cover.backDepth',
    label: 'Back, from hinge to top',
    quantity: 'length',
    line: 'net',
    value: construction.backDepthMm,
    rule: 'measured',
    setBy: 'job',
    change: 'make-up.construction',
  })
  const width = plus(solid.width, t)
  const height = plus(solid.depth, back, times(2, t))
  const [w, h] = [solid.width.value + t.value, solid.depth.value + construction.backDepthMm + 2 * t.value]
  const hinge = solid.depth.value + t.value
  if (closure.kind === 'sewn-shut' && closure.openingMm > w + 0.5)
    return err({
      construction: 'hinged-pair',
      reason: { code: 'opening-over-edge', opening: closure.openingMm, edge: w },
      nearest: null,
    })
  const divider = figure({
    id: 'cover.divider',
    label: "Divider, from the seat's raw end",
    quantity: 'length',
    line: 'cut',
    sum: plus(solid.depth, t, allowances.seamMm),
    rule: 'depth of the seat and the thickness, and the seam allowance',
  })
  const [seatSide, underside] = [
    pairPanel(input, 'top', width, height, hinge),
    pairPanel(input, 'bottom', width, height, hinge),
  ]
  const pair = (edge: string, length: number, from = 0, to = length): SeamPair => ({
    a: { panel: 'top-plate', edge, from, to },
    b: { panel: 'bottom-plate', edge, from: length - from, to: length - to },
  })
  const margin = closure.kind === 'sewn-shut' ? Math.max(0, (w - closure.openingMm) / 2) : 0
  const opening = (edge: 'front' | 'back', which: string): SeamDraft => ({
    name: closure.kind === 'zip-seam' ? phrase`zip of the ${which}` : phrase`opening of the ${which}, sewn shut`,
    kind: closure.kind === 'zip-seam' ? 'closure' : 'final',
    pairs: [pair(edge, w, margin, w - margin)],
  })
  const openings = [opening('front', 'seat'), opening('back', 'back')]
  const rest = (['front', 'back'] as const).flatMap((edge) =>
    margin < 1e-6 ? [] : [pair(edge, w, 0, margin), pair(edge, w, w - margin, w)],
  )
  const round: SeamDraft = {
    name: 'the panels to each other',
    kind: 'plate',
    pairs: [pair('right', h), pair('left', h), ...rest],
  }
  const parted: SeamDraft = { name: 'divider, through both panels', kind: 'divider', pairs: [] }
  const length = (s: SeamDraft): Figure => openLength(Math.abs(s.pairs[0]!.a.to - s.pairs[0]!.a.from), closure)
  const perimeter = figure({
    id: 'cover.perimeter',
    label: 'Seam round the panels',
    quantity: 'length',
    line: 'net',
    sum: times(2, plus(width, height)),
    rule: 'along the sewing line',
  })
  return drafted({
    panels: [seatSide, underside],
    seams: closure.kind === 'zip-seam' ? [...openings, round, parted] : [round, parted, ...openings],
    closures: openings.map((s) => planClosure(closure, s, length(s), allowances)),
    patches: [...hingedPatches(input, 1), ...hingedPatches(input, -1)],
    surfaceMm2: 2 * w * h,
    rows: [
      {
        row: 'top',
        panel: 'top-plate',
        pairs: (['front', 'right', 'back', 'left'] as const).map((edge) =>
          pair(edge, edge === 'front' || edge === 'back' ? w : h),
        ),
        perimeter,
      },
    ],
    perimeter,
    figures: [divider],
    notes: [{ code: 'ties-in-divider' }],
  })
}

function pairPanel(
  { solid, closure, allowances }: RecipeInput<'hinged-pair'>,
  which: 'top' | 'bottom',
  width: ReturnType<typeof plus>,
  height: ReturnType<typeof plus>,
  hinge: number,
): PanelDraft {
  const opening = (name: 'front' | 'back'): EdgeDraft =>
    closure.kind === 'zip-seam'
      ? { name, treatment: 'zip', allowances: [tapeFigure(closure.tapeMm)], side: name }
      : seamEdge(name, allowances.seamMm, name)
  const [first, second] = which === 'top' ? (['right', 'left'] as const) : (['left', 'right'] as const)
  const w = solid.width.value + solid.thickness.value
  const head = {
    id: `${which}-plate`,
    name: which === 'top' ? 'Panel to the sitter' : 'Panel behind and below',
    role: 'plate',
    face: which,
    cloth: which === 'top' ? 'face' : 'second-face',
    isSeen: which === 'top',
    rule: 'width and thickness; seat, back and twice the thickness',
  } as const
  return {
    ...rectanglePanel(head, width, height, [
      opening('front'),
      seamEdge(first, allowances.seamMm, first),
      opening('back'),
      seamEdge(second, allowances.seamMm, second),
    ]),
    marks: [{ kind: 'sew', label: 'divider', path: [at(0, hinge), at(w, hinge)] }],
  }
}

/** A block rounds its cover off within this share of its thickness from the seam. */
const BLOCK_ROUND = 0.6

/** Seat lying, back standing behind it; each pocket filled by its block. */
function hingedPatches({ solid, construction }: RecipeInput<'hinged-pair'>, face: 1 | -1): readonly Patch[] {
  const [width, t] = [solid.width.value, solid.thickness.value]
  const w = width + t
  const panel = face > 0 ? 'top-plate' : 'bottom-plate'
  const pocket = (from: number, depth: number): { outline: Outline; place: Patch['place'] } => {
    const own = rectangle(w, depth + t)
    const place = pillowPlace(own, { width, depth, thickness: t, reachMm: t * BLOCK_ROUND }, face)
    return { outline: own.map((p) => at(p.x, p.y + from)), place: (p) => place(at(p.x, p.y - from)) }
  }
  const seat = pocket(0, solid.depth.value)
  const back = pocket(solid.depth.value + t, construction.backDepthMm)
  const d = solid.depth.value
  return [
    { panel, bend: 'full', ...seat },
    {
      panel,
      bend: 'full',
      outline: back.outline,
      place: (p) => {
        const { x, y, z } = back.place(p)
        // Turned up a quarter at the hinge: what faced up faces the sitter.
        return inSpace(x, d + t / 2 - z, t / 2 + y)
      },
    },
  ]
}
