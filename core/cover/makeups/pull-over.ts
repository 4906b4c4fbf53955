import { phrase } from '../../language/index.ts'
import {
  areaOf,
  boxOf,
  isInside,
  keepsShape,
  offsetEdges,
  perimeterOf,
  type Outline,
  type Point,
} from '../../outline/index.ts'
import { err } from '../../result/index.ts'
import { entered, figure, given, minus, over, plus, roundUp, times, type Figure } from '../../working/index.ts'
import { planClosure } from '../closures/closure-plan.ts'
import type { Fitting } from '../cover.ts'
import {
  borderedBlank,
  edgeNames,
  isLevelBox,
  perimeterFigure,
  shapedPanel,
  type EdgeDraft,
  type PanelDraft,
} from '../parts/index.ts'
import { drafted, type Recipe, type RecipeInput } from '../recipe.ts'
import type { RefusalReason } from '../refusal.ts'
import { wallArea, wallOf, type Wall } from '../wall.ts'

/**
 * One blank pulled over cushion and board and stapled underneath. Corner darts are sewn: the seam
 * runs the height t + b and halves the corner, leaves s, and the rest is cut away. The board is the
 * footprint less cover and clearance; the dust cover is 12 mm smaller than it all round, and folded in.
 */
export const pullOver: Recipe<'pull-over'> = (input) => {
  const { solid, construction, allowances } = input
  const fail = (reason: RefusalReason, nearest: 'capped' | 'boxed' | null = 'boxed') =>
    err({ construction: 'pull-over', reason, nearest } as const)
  const leaning = solid.edges.find((e) => e.leanRad !== 0)
  if (leaning) return fail({ code: 'leaning-side', edge: leaning.name }, 'capped')
  const side = figure({
    id: 'cover.side',
    label: 'Side, cushion and board',
    quantity: 'length',
    line: 'net',
    sum: plus(solid.thickness, given(construction.boardMm, 'length', 'board')),
    rule: 'the dart is sewn over this height',
  })
  const wall = wallOf({ ...solid, thickness: side })
  const blank = blankOf(input, side, wall)
  if ('code' in blank) return fail(blank)
  const board = offsetEdges(
    solid.outline,
    solid.outline.map(() => -construction.clearanceMm),
  )
  const dust = offsetEdges(
    board,
    board.map(() => -DUST_INSET_MM),
  )
  if (!keepsShape(solid.outline, board) || !keepsShape(board, dust)) return fail({ code: 'board-vanishes' }, null)
  const { width, depth } = boardSizes(input, board)
  const holes = construction.airHoles ? holesOf(board) : []
  const top: Outline = blank.patches[0]!.outline
  return drafted({
    panels: [
      { ...blank.panel, marks: [{ kind: 'fold', label: 'edge of the top', path: [...top, top[0]!] }] },
      ...(construction.dustCover ? [dustCover(input, dust)] : []),
    ],
    seams: blank.corners,
    closures: [
      planClosure(
        input.closure,
        null,
        entered({
          id: 'closure.length',
          label: 'Stapled round the board',
          quantity: 'length',
          value: perimeterOf(board),
          rule: 'along the edge of the board',
        }),
        allowances,
      ),
    ],
    patches: blank.patches,
    surfaceMm2: areaOf(wall.top) + wallArea(wall),
    perimeter: perimeterFigure(solid),
    wall,
    figures: [side, width, depth],
    board: { outline: board, thicknessMm: construction.boardMm, width, depth, holes },
    fittings: fittings(input, board, holes.length),
    notes: [
      { code: 'staple-from-middle', apartMm: construction.stapleMm },
      ...(construction.airHoles ? [{ code: 'drill-first' } as const] : []),
    ],
  })
}

/** The top with its sides, which go round cushion and board and are turned under. */
function blankOf({ solid, construction, allowances }: RecipeInput<'pull-over'>, side: Figure, wall: Wall) {
  const under = entered({
    id: 'cover.turnUnder',
    label: 'Turned under',
    quantity: 'length',
    value: construction.turnUnderMm,
    rule: 'stapled to the underside of the board',
    setBy: 'job',
    change: 'make-up.construction',
  })
  return borderedBlank({
    cornerAt: (edge) => phrase`dart at the start of the ${edge}`,
    solid,
    wall,
    head: {
      id: 'blank',
      name: 'Cover, pulled over',
      role: 'blank',
      face: 'round',
      cloth: 'face',
      isSeen: true,
      rule: 'the top, and cushion and board at each edge',
    },
    border: { treatment: 'staple', allowances: [under] },
    corner: { treatment: 'seam', allowances: [allowances.seamMm] },
    sums: { width: plus(solid.width, times(2, side)), height: plus(solid.depth, times(2, side)) },
    seam: allowances.seamMm,
  })
}

function boardSizes({ solid, construction }: RecipeInput<'pull-over'>, board: Outline) {
  const box = boxOf(board)
  const size = (way: 'width' | 'depth', value: number) =>
    figure({
      id: `cover.board.${way}`,
      label: phrase`Board ${way}`,
      quantity: 'length',
      line: 'cut',
      sum: isLevelBox(solid)
        ? minus(solid[way], times(2, given(construction.clearanceMm, 'length', 'cover and clearance')))
        : given(value, 'length', 'over all'),
      rule: 'footprint less cover and clearance',
      change: 'make-up.construction',
    })
  return { width: size('width', box.maxX - box.minX), depth: size('depth', box.maxY - box.minY) }
}

const DUST_INSET_MM = 12
const DUST_FOLD_MM = 15
/** Wide enough for the air, too narrow for a finger. */
export const AIR_HOLE_MM = 12
const AIR_HOLE_EVERY_MM = 150
/** A hole nearer to the edge than this lies under the staples. */
const AIR_HOLE_CLEAR_MM = 40

/** Middles of even fields over the board, those that lie within it and clear of its edge. */
function holesOf(board: Outline): readonly Point[] {
  const clear = offsetEdges(
    board,
    board.map(() => -AIR_HOLE_CLEAR_MM),
  )
  if (!keepsShape(board, clear)) return []
  const box = boxOf(board)
  const fields = (from: number, to: number) => {
    const n = Math.max(1, Math.ceil((to - from) / AIR_HOLE_EVERY_MM))
    return Array.from({ length: n }, (_, i) => from + ((to - from) * (i + 0.5)) / n)
  }
  return fields(box.minX, box.maxX).flatMap((x) =>
    fields(box.minY, box.maxY).flatMap((y) => (isInside(clear, { x, y }) ? [{ x, y }] : [])),
  )
}

function dustCover({ solid }: RecipeInput<'pull-over'>, outline: Outline): PanelDraft {
  const fold = entered({
    id: 'cover.dustFold',
    label: 'Fold of the dust cover',
    quantity: 'length',
    value: DUST_FOLD_MM,
    rule: 'turned in at each edge',
  })
  const names = edgeNames(solid.edges)
  const edges = outline.map((_, i): EdgeDraft => ({
    name: names[i]!,
    treatment: 'staple',
    allowances: [fold],
    side: solid.edges[i]!.side,
  }))
  return shapedPanel(
    {
      id: 'dust-cover',
      name: 'Dust cover',
      role: 'base',
      face: 'loose',
      cloth: 'base',
      isSeen: false,
      rule: 'the board, less 12 mm all round',
    },
    outline,
    edges,
  )
}

/** Staples by the edge of the board, and holes that let air in and water out. */
function fittings({ construction }: RecipeInput<'pull-over'>, board: Outline, holeCount: number): readonly Fitting[] {
  const round = given(perimeterOf(board), 'length', 'round the board')
  const rows = given(construction.stapleRows, 'count', 'rows')
  const staples = figure({
    id: 'cover.staples',
    label: 'Staples',
    quantity: 'count',
    sum: times(rows, roundUp(over(round, given(construction.stapleMm, 'length', 'apart')), 1, 'count')),
    rule: 'by their distance along the edge',
    change: 'make-up.construction',
  })
  const dust = construction.dustCover
    ? [
        {
          what: 'Staples for the dust cover',
          use: 'staples' as const,
          amount: figure({
            id: 'cover.dustStaples',
            label: 'Staples for the dust cover',
            quantity: 'count' as const,
            sum: roundUp(over(round, given(construction.stapleMm, 'length', 'apart')), 1, 'count'),
            rule: 'one row',
          }),
          note: '',
        },
      ]
    : []
  const holes = construction.airHoles
    ? [
        {
          what: 'Air holes in the board',
          use: null,
          amount: figure({
            id: 'cover.airHoles',
            label: 'Air holes',
            quantity: 'count' as const,
            sum: times(given(holeCount, 'count', 'places')),
            rule: 'every 150 mm or less each way, clear of the edge',
          }),
          note: 'edges broken',
        },
      ]
    : []
  return [
    { what: 'Staples', use: 'staples', amount: staples, note: 'no longer than the board is thick' },
    ...dust,
    ...holes,
  ]
}
