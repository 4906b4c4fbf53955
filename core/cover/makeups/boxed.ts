import { phrase } from '../../language/index.ts'
import type { Closure, Side } from '../../../contract/index.ts'
import { edgeLength } from '../../outline/index.ts'
import type { CushionSize, SideName, Solid } from '../../seat/index.ts'
import { err, ok, type Result } from '../../result/index.ts'
import { entered, figure, given, least, minus, over, type Figure } from '../../working/index.ts'
import type { Allowances } from '../allowances.ts'
import { planClosure } from '../closures/closure-plan.ts'
import type { CoverDraft } from '../cover.ts'
import {
  boxFrame,
  closingPairs,
  cutAt,
  cutRun,
  frameDraft,
  ringJoins,
  runLength,
  shareWall,
  sideOrBack,
  withZipEdges,
  type BoxFrame,
} from '../parts/index.ts'
import { drafted, type Recipe, type RecipeInput } from '../recipe.ts'
import type { Refusal } from '../refusal.ts'
import { tapeFigure } from '../closures/tape.ts'
import { seamLength, type SeamDraft, type SeamPair } from '../seam.ts'

/**
 * Two plates and boxing between them. The zip stands in a gusset across one side and round both its
 * corners by k, the smaller of the shop's limit and a quarter of the depth; or in the seam of the
 * bottom plate along that side; or one side is left open and sewn shut. Sides that lean differ at a
 * corner, so each of them is a piece of its own.
 */
export const boxed: Recipe<'boxed'> = (input) => {
  const { closure } = input
  if (closure.kind === 'zip-gusset') return gussetClosed(input, closure)
  const frame = boxFrame({
    ...plainFrame(input),
    opening: null,
    side: 'side' in closure ? closure.side : 'back',
    boxing: closure.kind === 'zip-seam' ? 'one-per-side' : input.construction.boxing,
  })
  return closure.kind === 'zip-seam' ? zipInSeam(input, closure, frame) : sewnShut(input, frame)
}

/** A ring of boxing between whole plates, seam allowance everywhere. */
export const plainFrame = ({
  solid,
  construction,
  allowances,
  longestStripMm,
}: Pick<RecipeInput, 'solid' | 'allowances' | 'longestStripMm'> & {
  readonly construction: { readonly boxing: 'wrap' | 'one-per-side' }
}) =>
  ({
    solid,
    boxing: construction.boxing,
    plateEdge: [allowances.seamMm],
    boxingEdge: [allowances.seamMm],
    boxingEnd: [allowances.seamMm],
    longestMm: longestStripMm,
    pocket: [],
  }) as const

/** How far a zip along a side runs on round each of its corners, onto the neighbouring sides. */
const roundCorner = (allowances: Allowances, { width, depth }: CushionSize, side: Side): Figure =>
  figure({
    id: 'cover.zipRoundCorner',
    label: 'Zip round each corner',
    quantity: 'length',
    sum: least(
      allowances.zipRoundCornerMm,
      over(
        side === 'left' || side === 'right' ? width : depth,
        given(4, 'count', 'a quarter of the side it runs on to'),
      ),
    ),
    rule: "the smaller of the shop's limit and a quarter of the side it runs on to",
    change: 'make-up.zipRoundCornerMm',
  })

function gussetClosed(
  input: RecipeInput<'boxed'>,
  closure: Extract<RecipeInput['closure'], { kind: 'zip-gusset' }>,
): Result<CoverDraft, Refusal> {
  const { solid, allowances } = input
  const round = roundCorner(allowances, solid, sideOrBack(solid.edges, closure.side))
  const share = closure.lapped ? 0.5 - LAPPED_SHARE : 0.5
  const shows =
    (closure.showsMm ?? 0) > 0
      ? entered({
          id: 'cover.zipShows',
          label: 'Zip that shows between the folds',
          quantity: 'length',
          value: closure.showsMm!,
          rule: 'both halves together finish lower by so much',
          setBy: 'job',
          change: 'make-up.closure',
        })
      : null
  if (shows && shows.value >= solid.thickness.value)
    return err({
      construction: 'boxed',
      reason: { code: 'lap-too-wide', lap: shows.value, most: solid.thickness.value },
      nearest: null,
    })
  const rule = closure.lapped
    ? 'the upper half covers the zip; together they make the boxing height'
    : 'each half finishes at half the thickness; together they make the boxing height'
  const pocket =
    closure.pocketMm > 0
      ? [
          entered({
            id: 'cover.pocket',
            label: 'Folded over the end of the zip',
            quantity: 'length',
            value: closure.pocketMm,
            rule: 'boxing beside each zip end, folded back so that the pull hides',
            setBy: 'job',
            change: 'make-up.closure',
          }),
        ]
      : []
  const frame = boxFrame({
    ...plainFrame(input),
    side: closure.side,
    pocket,
    opening: {
      id: 'gusset',
      name: 'Gusset',
      role: 'gusset',
      face: 'round',
      cloth: 'boxing',
      edge: { treatment: 'zip', allowances: [allowances.gussetTurnMm] },
      share,
      shows,
      round,
      rule,
    },
  })
  const zip: SeamDraft = {
    name: 'zip into the gusset',
    kind: 'closure',
    pairs: closingPairs(frame.halves!),
    ...(shows ? { apartMm: shows.value } : {}),
  }
  const fold =
    closure.pocketMm > 0
      ? [
          figure({
            id: 'cover.pocketFold',
            label: 'Fold over each zip end, finished',
            quantity: 'length',
            line: 'net',
            sum: minus(given(closure.pocketMm, 'length', 'cut longer'), given(2 * ZIP_END_MM, 'length', 'seams')),
            rule: 'what is cut longer, less twice 20 mm',
          }),
        ]
      : []
  const draft = frameDraft(frame)
  return drafted({
    ...draft,
    surfaceMm2: draft.surfaceMm2 - (shows?.value ?? 0) * frame.run!.value,
    seams: [zip, ...ringJoins(frame, 'the gusset'), ...plateSeams(frame, 'boxing and gusset')],
    closures: [planClosure(closure, zip, frame.run!, allowances)],
    figures: fold,
  })
}

const LAPPED_SHARE = 0.12
const ZIP_END_MM = 20

export const plateSeams = (frame: BoxFrame, what: string): readonly SeamDraft[] => [
  { name: phrase`${what} to the bottom plate`, kind: 'plate', pairs: frame.rings.bottom },
  { name: phrase`${what} to the top plate`, kind: 'plate', pairs: frame.rings.top },
]

/**
 * The zip between boxing and bottom plate along one side and round its corners: there both are cut by the tape's own
 * allowance, so that the boxing finishes at its height.
 */
function zipInSeam(
  { solid, allowances }: RecipeInput<'boxed'>,
  closure: Extract<Closure, { kind: 'zip-seam' }>,
  frame: BoxFrame,
): Result<CoverDraft, Refusal> {
  const side = sideOrBack(solid.edges, closure.side)
  const joins = ringJoins(frame)
  const overCorner = closure.overTwoEdges ? overTheCorner(frame, solid, side, closure.startMm ?? 0, joins) : null
  const along =
    overCorner?.along ?? shareWall(frame.wall, solid.edges, side, roundCorner(allowances, solid, side).value).gusset
  const { inside, outside } = cutAt(frame, frame.rings.bottom, along)
  const zip: SeamDraft = {
    name: 'zip between boxing and bottom plate',
    kind: 'closure',
    pairs: [...inside, ...(overCorner?.join.pairs ?? [])],
  }
  const length = entered({
    id: 'closure.length',
    label: 'Zip',
    quantity: 'length',
    value: seamLength(zip),
    rule: overCorner ? 'along the end, on over its corner and up it' : 'along the side, and round its corners',
    change: 'make-up.closure',
  })
  const sewn = withZipEdges(
    {
      ...frameDraft(frame),
      seams: [
        ...joins.filter((j) => j !== overCorner?.join),
        zip,
        { name: 'boxing to the bottom plate', kind: 'plate' as const, pairs: outside },
        { name: 'boxing to the top plate', kind: 'plate' as const, pairs: frame.rings.top },
      ],
    },
    zip,
    tapeFigure(closure.tapeMm),
  )
  return drafted({ ...sewn, closures: [planClosure(closure, sewn.zip, length, allowances)] })
}

/**
 * An end opened over two of its edges: along the bottom, and up the join of the boxing at its back corner. Null where
 * the boxing has no join there.
 */
function overTheCorner(
  frame: BoxFrame,
  { edges }: Solid,
  side: SideName,
  startMm: number,
  joins: readonly SeamDraft[],
) {
  if (side !== 'left' && side !== 'right') return null
  const { wall, strips } = frame
  const own = edges.flatMap((e, i) => (e.side === side ? [i] : []))
  const i = own.reduce((best, k) => (edgeLength(wall.foot, k) > edgeLength(wall.foot, best) ? k : best), own[0]!)
  const length = edgeLength(wall.foot, i)
  // Counter-clockwise the left side runs from the back to the front, the right one to the back.
  const s = strips.findIndex(({ parts }) =>
    side === 'left'
      ? parts[0]!.part.edge === i && parts[0]!.part.from < HAIR_MM
      : parts.at(-1)!.part.edge === i && parts.at(-1)!.part.to > length - HAIR_MM,
  )
  const join = s < 0 ? undefined : joins.at(side === 'left' ? s - 1 : s)
  const [from, to] = side === 'left' ? [0, length - startMm] : [startMm, length]
  return join && to - from > HAIR_MM ? { join, along: [{ edge: i, from, to }] } : null
}

const HAIR_MM = 1e-6

/** One side of the bottom seam stays open for the filling and is sewn shut by hand. */
function sewnShut(input: RecipeInput<'boxed'>, frame: BoxFrame): Result<CoverDraft, Refusal> {
  const opening = openingOf(input, frame)
  if (!opening.ok) return opening
  const { final, rest } = opening.value
  return drafted({
    ...frameDraft(frame),
    seams: [
      ...ringJoins(frame),
      { name: 'boxing to the top plate', kind: 'plate', pairs: frame.rings.top },
      { name: 'boxing to the bottom plate, but for the opening', kind: 'plate', pairs: rest },
      final,
    ],
    closures: [planClosure(input.closure, final, openLength(seamLength(final), input.closure), input.allowances)],
  })
}

/** As much of what a recipe is given as an opening needs. */
export type Opening = Pick<RecipeInput, 'closure' | 'solid'> & {
  readonly construction: Pick<RecipeInput['construction'], 'kind'>
}

/** The opening in the middle of one side of the bottom seam, at most as long as that side. */
export function openingOf(
  { closure, construction, solid }: Opening,
  frame: BoxFrame,
): Result<{ final: SeamDraft; rest: readonly SeamPair[] }, Refusal> {
  const side = 'side' in closure ? sideOrBack(solid.edges, closure.side) : 'back'
  const wanted = closure.kind === 'sewn-shut' ? closure.openingMm : Infinity
  const run = shareWall(frame.wall, solid.edges, side, 0).gusset
  const length = runLength(run)
  if (wanted < Infinity && wanted > length + 0.5)
    return err({
      construction: construction.kind,
      reason: { code: 'opening-over-edge', opening: wanted, edge: length },
      nearest: null,
    })
  const margin = Math.max(0, (length - wanted) / 2)
  const { inside, outside } = cutAt(frame, frame.rings.bottom, cutRun(run, margin, length - margin))
  return ok({ final: { name: 'the opening, sewn shut', kind: 'final', pairs: inside }, rest: outside })
}

export const openLength = (value: number, closure: RecipeInput['closure']): Figure =>
  entered({
    id: 'closure.length',
    label: 'Opening',
    quantity: 'length',
    value,
    rule: 'left open to turn and fill it',
    setBy: closure.kind === 'sewn-shut' ? 'job' : 'rule',
    change: 'make-up.closure',
  })
