import { phrase } from '../../language/index.ts'
import { at, edgeLength, type Outline } from '../../outline/index.ts'
import { err } from '../../result/index.ts'
import { entered, plus, times, type Figure } from '../../working/index.ts'
import { halfLap, lapOf, planClosure } from '../closures/closure-plan.ts'
import {
  borderedBlank,
  boxSurface,
  notABox,
  perimeterFigure,
  plateOf,
  shapedPanel,
  splitPlate,
  type EdgeDraft,
} from '../parts/index.ts'
import type { Patch } from '../patch.ts'
import { drafted, type Recipe, type RecipeInput } from '../recipe.ts'
import type { RefusalReason } from '../refusal.ts'
import { stretchLength, type SeamDraft, type SeamPair } from '../seam.ts'
import { inSpace, onPlane, UP } from '../space.ts'
import { wallOf } from '../wall.ts'

/**
 * One panel wrapped round and its corners boxed by a seam across: mark a square of t/2 from the seam
 * lines at each corner and sew across at right angles to the side seam; that seam is as long as the
 * cushion is thick. Or three panels: the top carries its full sides, the bottom is two lapped plates.
 */
export const pinchCorner: Recipe<'pinch-corner'> = (input) =>
  input.construction.panels === 'one' ? oneBlank(input) : threePanels(input)

const fail = (reason: RefusalReason, nearest: 'boxed' | 'knife-edge' = 'boxed') =>
  err({ construction: 'pinch-corner', reason, nearest } as const)

const slitLength = (value: number): Figure =>
  entered({ id: 'closure.length', label: 'Slit', quantity: 'length', value, rule: 'across the bottom' })

function threePanels(input: RecipeInput<'pinch-corner'>): ReturnType<typeof pinchCorner> {
  const { solid, construction, allowances, closure } = input
  const wall = wallOf(solid)
  const seam = { treatment: 'seam', allowances: [allowances.seamMm] } as const
  const blank = borderedBlank({
    cornerAt: (edge) => phrase`corner at the start of the ${edge}`,
    solid,
    wall,
    head: {
      id: 'blank',
      name: 'Top and sides',
      role: 'blank',
      face: 'round',
      cloth: 'face',
      isSeen: true,
      rule: 'the top, and the thickness at each edge',
    },
    border: seam,
    corner: seam,
    sums: { width: plus(solid.width, times(2, solid.thickness)), height: plus(solid.depth, times(2, solid.thickness)) },
    seam: allowances.seamMm,
  })
  if ('code' in blank) return fail(blank)
  const base = plateOf(solid, {
    which: 'bottom',
    outline: wall.foot,
    heightMm: 0,
    cloth: 'second-face',
    allowances: [allowances.seamMm],
  })
  const split = splitPlate({ solid, whole: base.panel, ...construction })
  if (!split) return fail({ code: 'slit-outside', share: construction.share })
  const ring = split.ring(
    wall.foot.map((_, i): SeamPair => {
      const length = edgeLength(wall.foot, i)
      return { a: base.stretch(i, 0, length), b: blank.stretch(i, 0, length) }
    }),
  )
  const slit: SeamDraft = {
    name: 'the two parts of the bottom, lapped and tacked at the ends',
    kind: 'closure',
    pairs: [split.slit],
  }
  return drafted({
    panels: [blank.panel, ...split.panels],
    seams: [slit, ...blank.corners, { name: 'sides to the bottom, over both its parts', kind: 'plate', pairs: ring }],
    closures: [planClosure(closure, slit, slitLength(stretchLength(split.slit.a)), allowances)],
    figures: split.figures,
    patches: [...blank.patches, ...split.patches],
    surfaceMm2: boxSurface(wall),
    perimeter: perimeterFigure(solid),
    wall,
    notes: [{ code: 'pile-runs-over' }],
  })
}

function oneBlank(input: RecipeInput<'pinch-corner'>): ReturnType<typeof pinchCorner> {
  const { solid, construction, allowances, closure } = input
  const reason = notABox(solid)
  if (reason) return fail(reason)
  const [w, d, t] = [solid.width.value, solid.depth.value, solid.thickness.value]
  if (t <= 2 * allowances.seamMm.value) return fail({ code: 'borders-collide' }, 'knife-edge')
  const [front, back] = [construction.share * d, (1 - construction.share) * d]
  // Up the blank: bottom in front of the slit, front, top, back, bottom behind it.
  const y = [0, front, front + t, front + t + d, front + 2 * t + d, front + 2 * t + d + back] as const
  const closed: SeamDraft = {
    name: 'the ends of the wrap, lapped and tacked',
    kind: 'closure',
    pairs: [
      {
        a: { panel: 'blank', edge: 'slit in front', from: 0, to: w + t },
        b: { panel: 'blank', edge: 'slit behind', from: w + t, to: 0 },
      },
    ],
  }
  return drafted({
    panels: [wrapPanel(input, wrapOutline(w, t, y))],
    seams: [
      closed,
      sideSeam('right', { d, front, back }),
      sideSeam('left', { d, front, back }),
      ...(['right', 'left'] as const).flatMap((side) => [pinch(side, 'front', t), pinch(side, 'back', t)]),
    ],
    closures: [planClosure(closure, closed, slitLength(w), allowances)],
    patches: wrapPatches(w, d, t, y),
    surfaceMm2: 2 * (w * d + w * t + d * t),
    perimeter: perimeterFigure(solid),
    notes: [{ code: 'check-pinch' }],
  })
}

/** Where the faces of the cushion begin and end, up the blank. */
type Heights = readonly [number, number, number, number, number, number]

/** As wide as the cushion and half its thickness at each end; at front and back the corners stand in by that half. */
function wrapOutline(w: number, t: number, y: Heights): Outline {
  const out = t / 2
  const rightHalf: readonly [number, number][] = [
    [out, y[0]],
    [out, y[1]],
    [0, y[1]],
    [0, y[2]],
    [out, y[2]],
    [out, y[3]],
    [0, y[3]],
    [0, y[4]],
    [out, y[4]],
    [out, y[5]],
  ]
  return [...rightHalf.map(([x, h]) => at(w + x + out, h)), ...rightHalf.toReversed().map(([x, h]) => at(out - x, h))]
}

function wrapPanel({ solid, construction, allowances, closure }: RecipeInput<'pinch-corner'>, outline: Outline) {
  const lap =
    lapOf(closure, allowances) ?? turned('cover.slitLap', 'Lap', construction.lapMm, 'the ends lap by so much')
  const hem = turned('cover.slitHem', 'Hem of the lap', construction.hemMm, 'turned in along the lap')
  const seam = (name: string): EdgeDraft => ({ name, treatment: 'seam', allowances: [allowances.seamMm] })
  const slit = (name: string): EdgeDraft => ({ name, treatment: 'lap', allowances: [halfLap(lap), hem] })
  return shapedPanel(
    {
      id: 'blank',
      name: 'Wrap',
      role: 'blank',
      face: 'round',
      cloth: 'face',
      isSeen: true,
      rule: 'the width and half the thickness at each end; once round the cushion',
    },
    outline,
    [
      ...sideEdgeNames('right').map(seam),
      slit('slit behind'),
      ...sideEdgeNames('left').toReversed().map(seam),
      slit('slit in front'),
    ],
    {
      width: plus(solid.width, solid.thickness),
      height: times(2, plus(solid.depth, solid.thickness)),
      bottom: 'slit in front',
      right: 'right, top',
      top: 'slit behind',
      left: 'left, top',
    },
  )
}

const turned = (id: string, label: string, value: number, rule: string) =>
  entered({ id, label, quantity: 'length', value, rule, setBy: 'job', change: 'make-up.construction' })

const sideEdgeNames = (side: 'right' | 'left'): readonly string[] => [
  `${side}, bottom front`,
  `${side} front pinch, low`,
  `${side} of the front`,
  `${side} front pinch, high`,
  `${side}, top`,
  `${side} back pinch, high`,
  `${side} of the back`,
  `${side} back pinch, low`,
  `${side}, bottom back`,
]

/** The side seam at mid height, from the front to the back; the left edges are drawn downwards. */
function sideSeam(side: 'right' | 'left', { d, front, back }: { d: number; front: number; back: number }): SeamDraft {
  const on = (edge: string, length: number, from: number, to: number) =>
    side === 'right'
      ? { panel: 'blank', edge: `${side}, ${edge}`, from, to }
      : { panel: 'blank', edge: `${side}, ${edge}`, from: length - from, to: length - to }
  return {
    name: phrase`${side} side seam`,
    kind: 'join',
    pairs: [
      { a: on('top', d, 0, front), b: on('bottom front', front, front, 0) },
      { a: on('top', d, front, d), b: on('bottom back', back, back, 0) },
    ],
  }
}

function pinch(side: 'right' | 'left', end: 'front' | 'back', t: number): SeamDraft {
  const half = t / 2
  const face = `${side} of the ${end}`
  const [before, after] = end === 'front' ? ['low', 'high'] : ['high', 'low']
  // Along the face as drawn: on the right upwards, on the left downwards.
  const [first, last] = side === 'right' ? [before, after] : [after, before]
  return {
    name: phrase`across the ${end} ${side} corner`,
    kind: 'corner',
    pairs: [
      {
        a: { panel: 'blank', edge: face, from: 0, to: half },
        b: { panel: 'blank', edge: `${side} ${end} pinch, ${first}`, from: half, to: 0 },
      },
      {
        a: { panel: 'blank', edge: face, from: t, to: half },
        b: { panel: 'blank', edge: `${side} ${end} pinch, ${last}`, from: 0, to: half },
      },
    ],
  }
}

/** The five lengths of the wrap and the four flaps that make its ends. */
function wrapPatches(
  w: number,
  d: number,
  t: number,
  y: readonly [number, number, number, number, number, number],
): readonly Patch[] {
  const out = t / 2
  const box = (x0: number, y0: number, x1: number, y1: number): Outline => [
    at(x0, y0),
    at(x1, y0),
    at(x1, y1),
    at(x0, y1),
  ]
  const [right, back, up, down, forward] = [
    inSpace(1, 0, 0),
    inSpace(0, 1, 0),
    UP,
    inSpace(0, 0, -1),
    inSpace(0, -1, 0),
  ]
  const patch = (
    outline: Outline,
    from: readonly [number, number],
    to: ReturnType<typeof inSpace>,
    x: typeof right,
    yWay: typeof right,
  ): Patch => ({ panel: 'blank', bend: 'flat', outline, place: onPlane(at(...from), to, x, yWay) })
  const x0 = out
  const lengths = [
    patch(box(x0, y[0], x0 + w, y[1]), [x0, y[1]], inSpace(0, 0, 0), right, forward),
    patch(box(x0, y[1], x0 + w, y[2]), [x0, y[1]], inSpace(0, 0, 0), right, up),
    patch(box(x0, y[2], x0 + w, y[3]), [x0, y[2]], inSpace(0, 0, t), right, back),
    patch(box(x0, y[3], x0 + w, y[4]), [x0, y[3]], inSpace(0, d, t), right, down),
    patch(box(x0, y[4], x0 + w, y[5]), [x0, y[4]], inSpace(0, d, 0), right, forward),
  ]
  // Flaps of the top hang down, those of the bottom stand up; they meet at mid height.
  const flap = (
    y0: number,
    y1: number,
    start: ReturnType<typeof inSpace>,
    way: typeof right,
    x: typeof right,
    isRight: boolean,
  ): Patch => {
    const from = isRight ? x0 + w : x0
    return patch(isRight ? box(from, y0, from + out, y1) : box(0, y0, from, y1), [from, y0], start, x, way)
  }
  const flaps = [true, false].flatMap((isRight) => {
    const x = isRight ? w : 0
    const [hang, stand] = isRight ? [down, up] : [up, down]
    return [
      flap(y[2], y[3], inSpace(x, 0, t), back, hang, isRight),
      flap(y[0], y[1], inSpace(x, y[1] - y[0], 0), forward, stand, isRight),
      flap(y[4], y[5], inSpace(x, d, 0), forward, stand, isRight),
    ]
  })
  return [...lengths, ...flaps]
}
