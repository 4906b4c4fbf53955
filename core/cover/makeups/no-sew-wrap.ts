import { at, type Outline } from '../../outline/index.ts'
import { err } from '../../result/index.ts'
import { entered, figure, plus, times, type Figure } from '../../working/index.ts'
import { planClosure } from '../closures/closure-plan.ts'
import { notABox, perimeterFigure, rectanglePanel, type EdgeDraft, type PanelDraft } from '../parts/index.ts'
import type { Patch } from '../patch.ts'
import { drafted, type Recipe, type RecipeInput } from '../recipe.ts'
import { inSpace, onPlane, UP, type Space } from '../space.ts'

type Input = RecipeInput<'no-sew-wrap'>

/** A block wrapped like a parcel, in film and then in cloth, its ends folded, bonded or pinned: not washable. */
export const noSewWrap: Recipe<'no-sew-wrap'> = (input) => {
  const { solid, construction, closure, allowances } = input
  const reason = notABox(solid)
  if (reason) return err({ construction: 'no-sew-wrap', reason, nearest: 'boxed' })
  const lap = lapOf(input)
  return drafted({
    panels: [blank(input, lap)],
    seams: [],
    closures: [planClosure(closure, null, fastened(input), allowances)],
    patches: patchesOf(solid.width.value, solid.depth.value, solid.thickness.value),
    surfaceMm2: null,
    perimeter: perimeterFigure(solid),
    fittings: construction.film
      ? [
          {
            what: 'Film under the cloth',
            use: 'film' as const,
            amount: film(input, lap),
            note: 'keep it away from children: suffocation',
          },
        ]
      : [],
    notes: [{ code: construction.fastening }],
  })
}

const lapOf = ({ construction }: Input): Figure =>
  entered({
    id: 'cover.wrapLap',
    label: 'Lap',
    quantity: 'length',
    value: construction.lapMm,
    rule: 'folded over and fastened',
    setBy: 'job',
    change: 'make-up.construction',
  })

/** Along the block and over both its ends; once round it. */
const alongIt = ({ solid }: Input) => plus(solid.width, times(2, solid.thickness))
const roundIt = ({ solid }: Input) => times(2, plus(solid.depth, solid.thickness))

function blank(input: Input, lap: Figure): PanelDraft {
  const none = entered({
    id: 'cover.noLap',
    label: 'No lap',
    quantity: 'length',
    value: 0,
    rule: 'the other end lies under the lap',
  })
  const bond = (name: string, allowance: Figure): EdgeDraft => ({ name, treatment: 'bond', allowances: [allowance] })
  return rectanglePanel(
    {
      id: 'blank',
      name: 'Wrap',
      role: 'blank',
      face: 'round',
      cloth: 'face',
      isSeen: true,
      rule: 'along the block and over both ends; once round it',
    },
    alongIt(input),
    roundIt(input),
    [bond('first end', none), bond('right', lap), bond('last end', lap), bond('left', lap)],
  )
}

const film = (input: Input, lap: Figure): Figure =>
  figure({
    id: 'cover.film',
    label: 'Film',
    quantity: 'area',
    sum: times(plus(alongIt(input), times(2, lap)), plus(roundIt(input), lap)),
    rule: 'as large as the cloth',
  })

const fastened = ({ solid, construction }: Input): Figure =>
  entered({
    id: 'closure.length',
    label: construction.fastening === 'bonded' ? 'Bonded along the lap' : 'Pinned along the lap',
    quantity: 'length',
    value: solid.width.value,
    rule: 'under the cushion',
  })

/** Once round the block from its lower back edge, and a flap over each end. */
function patchesOf(w: number, d: number, t: number): readonly Patch[] {
  const down = inSpace(0, 0, -1)
  const face = (from: number, to: number, start: Space, way: Space): Patch => ({
    panel: 'blank',
    bend: 'flat',
    outline: box(t, from, t + w, to),
    place: onPlane(at(t, from), start, inSpace(1, 0, 0), way),
  })
  const end = (isRight: boolean): Patch => ({
    panel: 'blank',
    bend: 'flat',
    outline: isRight ? box(t + w, d + t, 2 * t + w, 2 * d + t) : box(0, d + t, t, 2 * d + t),
    place: onPlane(
      at(isRight ? t + w : t, d + t),
      inSpace(isRight ? w : 0, 0, t),
      isRight ? down : UP,
      inSpace(0, 1, 0),
    ),
  })
  return [
    face(0, d, inSpace(0, d, 0), inSpace(0, -1, 0)),
    face(d, d + t, inSpace(0, 0, 0), UP),
    face(d + t, 2 * d + t, inSpace(0, 0, t), inSpace(0, 1, 0)),
    face(2 * d + t, 2 * (d + t), inSpace(0, d, t), down),
    end(true),
    end(false),
  ]
}

const box = (x0: number, y0: number, x1: number, y1: number): Outline => [
  at(x0, y0),
  at(x1, y0),
  at(x1, y1),
  at(x0, y1),
]
