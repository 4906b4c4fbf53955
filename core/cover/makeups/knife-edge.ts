import {
  areaOf,
  boxOf,
  edgeLength,
  isStraight,
  offsetEdges,
  perimeterOf,
  turnAt,
  arcBetween,
  edgeOf,
  type Outline,
} from '../../outline/index.ts'
import { err, ok, type Result } from '../../result/index.ts'
import type { SideName, Solid } from '../../seat/index.ts'
import { entered, plus } from '../../working/index.ts'
import { planClosure } from '../closures/closure-plan.ts'
import { tapeFigure } from '../closures/tape.ts'
import {
  easeCorners,
  edgeNames,
  frontFirst,
  mirroredOrder,
  pillowPlace,
  shapedPanel,
  sideOrBack,
  type Eased,
  type EdgeDraft,
  type PanelDraft,
  type SizeSums,
} from '../parts/index.ts'
import { drafted, type Recipe, type RecipeInput } from '../recipe.ts'
import type { Refusal } from '../refusal.ts'
import { seamLength, type SeamDraft, type SeamPair, type Stretch } from '../seam.ts'
import { openLength, type Opening } from './boxed.ts'

/**
 * Two plates and no boxing: the thickness is shared between them, so each finishes (w + t) x (d + t)
 * and they meet at mid height. Corners are eased by one template, or they stand up as ears.
 */
export const knifeEdge: Recipe<'knife-edge'> = (input) => {
  const { solid, construction, closure } = input
  const leaning = solid.edges.find((e) => e.leanRad !== 0)
  if (leaning)
    return err({ construction: 'knife-edge', reason: { code: 'leaning-side', edge: leaning.name }, nearest: 'boxed' })
  const t = solid.thickness.value
  const grown = offsetEdges(
    solid.outline,
    solid.outline.map(() => t / 2),
  )
  const eased = easeCorners(grown, construction.corners, t)
  const edges = eased.sources.map((s) => solid.edges[s]!)
  const names = edgeNames(edges)
  const opening = openingOnEdge(
    input,
    eased.outline,
    edges.map((e) => e.side),
  )
  if (!opening.ok) return opening
  const { edge: open, from, to } = opening.value
  const plate = (which: 'top' | 'bottom'): PanelDraft =>
    plateDraft(
      input,
      which,
      eased,
      names,
      edges.map((e) => e.side),
      open,
    )
  const [top, bottom] = [plate('top'), plate('bottom')]
  const pair = (i: number, a: number, b: number): SeamPair => {
    const length = edgeLength(eased.outline, i)
    const on = (panel: string, start: number, end: number): Stretch => ({
      panel,
      edge: names[i]!,
      from: start,
      to: end,
    })
    return { a: on(top.id, a, b), b: on(bottom.id, length - a, length - b) }
  }
  const closed: SeamDraft = {
    name: closure.kind === 'zip-seam' ? 'zip between the plates' : 'the opening, sewn shut',
    kind: closure.kind === 'zip-seam' ? 'closure' : 'final',
    pairs: [pair(open, from, to)],
  }
  const rest = eased.outline.flatMap((_, i) => {
    const length = edgeLength(eased.outline, i)
    return (
      i === open
        ? [
            [0, from],
            [to, length],
          ]
        : [[0, length]]
    )
      .filter(([a, b]) => b! - a! > 1e-6)
      .map(([a, b]) => pair(i, a!, b!))
  })
  const round: SeamDraft = { name: 'the plates to each other', kind: 'plate', pairs: rest }
  const box = { width: solid.width.value, depth: solid.depth.value, thickness: t }
  const girth = perimeterOf(eased.outline)
  const perimeter = entered({
    id: 'cover.perimeter',
    label: 'Seam round the plates',
    quantity: 'length',
    line: 'net',
    value: girth,
    rule: 'along the sewing line, corners eased',
  })
  return drafted({
    panels: [top, bottom],
    seams: closed.kind === 'closure' ? [closed, round] : [round, closed],
    closures: [planClosure(closure, closed, openLength(seamLength(closed), closure), input.allowances)],
    patches: [
      { panel: top.id, bend: 'full', outline: top.finished, place: pillowPlace(top.finished, box, 1) },
      { panel: bottom.id, bend: 'full', outline: bottom.finished, place: pillowPlace(bottom.finished, box, -1) },
    ],
    surfaceMm2: 2 * (steiner(solid.outline, t / 2) - (areaOf(grown) - areaOf(eased.outline))),
    rows: [
      {
        row: 'top',
        panel: top.id,
        pairs: eased.outline.map((_, i) => pair(i, 0, edgeLength(eased.outline, i))),
        perimeter,
      },
    ],
    perimeter,
  })
}

function plateDraft(
  { solid, construction, allowances, closure }: RecipeInput<'knife-edge'>,
  which: 'top' | 'bottom',
  { outline, sources }: Eased,
  names: readonly string[],
  sides: readonly SideName[],
  open: number,
): PanelDraft {
  const order = which === 'top' ? outline.map((_, i) => i) : mirroredOrder(outline.length)
  const tape = closure.kind === 'zip-seam' ? [tapeFigure(closure.tapeMm)] : [allowances.seamMm]
  // The tapers beside a zip run on from its edge in almost one line: their raw edge goes on with it.
  const runsOn = (i: number) => construction.corners.kind === 'tapered' && sources[i] === sources[open]
  const edges = order.map((i): EdgeDraft => ({
    name: names[i]!,
    treatment: i === open && closure.kind === 'zip-seam' ? 'zip' : 'seam',
    allowances: i === open || runsOn(i) ? tape : [allowances.seamMm],
    side: sides[i]!,
  }))
  const head = {
    id: `${which}-plate`,
    name: which === 'top' ? 'Top plate' : 'Bottom plate',
    role: 'plate',
    face: which,
    cloth: which === 'top' ? 'face' : 'second-face',
    isSeen: which === 'top',
    rule: 'the cushion and half its thickness at each edge',
  } as const
  const finished = which === 'top' ? outline : frontFirst(outline)
  return shapedPanel(head, finished, edges, sharedSizes(solid, outline, names, sides))
}

/** Width and depth with the thickness shared, where the plate's box is that of the cushion. */
function sharedSizes(
  solid: Solid,
  outline: Outline,
  names: readonly string[],
  sides: readonly SideName[],
): SizeSums | null {
  const { minX, minY, maxX, maxY } = boxOf(outline)
  const t = solid.thickness
  const isShared =
    Math.abs(maxX - minX - solid.width.value - t.value) < 0.01 &&
    Math.abs(maxY - minY - solid.depth.value - t.value) < 0.01
  // Eased corners belong to a side too; its size ends at its own, longest edge.
  const of = (side: SideName) => names[longestOf(outline, sides, side)]
  const [bottom, right, top, left] = [of('front'), of('right'), of('back'), of('left')]
  return isShared && bottom && right && top && left
    ? { width: plus(solid.width, t), height: plus(solid.depth, t), bottom, right, top, left }
    : null
}

/** The longest edge of a side; −1 where no edge belongs to it. */
const longestOf = (outline: Outline, sides: readonly SideName[], side: SideName): number =>
  sides.reduce(
    (best, s, i) => (s === side && (best < 0 || edgeLength(outline, i) > edgeLength(outline, best)) ? i : best),
    -1,
  )

/** Stitches as short as this beside an opening are not sewn: it takes the whole edge. */
const LEAST_BESIDE_MM = 2

/** The opening in the middle of the longest edge of a side; a zip takes the whole edge. */
export function openingOnEdge(
  { closure, construction }: Opening,
  outline: Outline,
  sides: readonly SideName[],
): Result<{ edge: number; from: number; to: number }, Refusal> {
  const wanted =
    'side' in closure
      ? sideOrBack(
          sides.map((side) => ({ side })),
          closure.side,
        )
      : 'back'
  const length = (i: number) => edgeLength(outline, i)
  const i = Math.max(0, longestOf(outline, sides, wanted))
  if (closure.kind !== 'sewn-shut') return ok({ edge: i, from: 0, to: length(i) })
  const free = length(i) - closure.openingMm
  if (free < -0.5)
    return err({
      construction: construction.kind,
      reason: { code: 'opening-over-edge', opening: closure.openingMm, edge: length(i) },
      nearest: null,
    })
  const beside = free < LEAST_BESIDE_MM ? 0 : free / 2
  return ok({ edge: i, from: beside, to: length(i) - beside })
}

/**
 * Area of an outline grown by h on every edge: A + P·h + h²·(Σ tan(turn/2) at corners + Σ sweep/2 of arcs). After
 * Steiner.
 */
function steiner(outline: Outline, h: number): number {
  const corners = outline.reduce((sum, _, i) => sum + Math.tan(turnAt(outline, i) / 2), 0)
  const arcs = outline.reduce(
    (sum, v, i) => (isStraight(v.bulge) ? sum : sum + arcBetween(...edgeOf(outline, i), v.bulge!).sweep / 2),
    0,
  )
  return areaOf(outline) + perimeterOf(outline) * h + h * h * (corners + arcs)
}
