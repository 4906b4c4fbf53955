import { at, type Outline } from '../../outline/index.ts'
import { err } from '../../result/index.ts'
import { entered, figure, plus, times } from '../../working/index.ts'
import { planClosure } from '../closures/closure-plan.ts'
import { notABox, perimeterFigure, rectanglePanel, type EdgeDraft } from '../parts/index.ts'
import type { Patch } from '../patch.ts'
import { drafted, type Recipe } from '../recipe.ts'
import { inSpace, onPlane } from '../space.ts'

/** A block wrapped like a parcel, in film and then in cloth, its ends folded, bonded or pinned: not washable. */
export const noSewWrap: Recipe<'no-sew-wrap'> = ({ solid, construction, closure, allowances }) => {
  const reason = notABox(solid)
  if (reason) return err({ construction: 'no-sew-wrap', reason, nearest: 'boxed' })
  const [w, d, t] = [solid.width.value, solid.depth.value, solid.thickness.value]
  const lap = entered({
    id: 'cover.wrapLap',
    label: 'Lap',
    quantity: 'length',
    value: construction.lapMm,
    rule: 'folded over and fastened',
    setBy: 'job',
    change: 'make-up.construction',
  })
  const none = entered({
    id: 'cover.noLap',
    label: 'No lap',
    quantity: 'length',
    value: 0,
    rule: 'the other end lies under the lap',
  })
  const bond = (name: string, allowance: typeof lap): EdgeDraft => ({
    name,
    treatment: 'bond',
    allowances: [allowance],
  })
  const width = plus(solid.width, times(2, solid.thickness))
  const girth = times(2, plus(solid.depth, solid.thickness))
  const blank = rectanglePanel(
    {
      id: 'blank',
      name: 'Wrap',
      role: 'blank',
      face: 'round',
      cloth: 'face',
      isSeen: true,
      rule: 'along the block and over both ends; once round it',
    },
    width,
    girth,
    [bond('first end', none), bond('right', lap), bond('last end', lap), bond('left', lap)],
  )
  const film = figure({
    id: 'cover.film',
    label: 'Film',
    quantity: 'area',
    sum: times(plus(width, times(2, lap)), plus(girth, lap)),
    rule: 'as large as the cloth',
  })
  const right = inSpace(1, 0, 0)
  const box = (x0: number, y0: number, x1: number, y1: number): Outline => [
    at(x0, y0),
    at(x1, y0),
    at(x1, y1),
    at(x0, y1),
  ]
  const length = (
    from: number,
    to: number,
    start: ReturnType<typeof inSpace>,
    up: ReturnType<typeof inSpace>,
  ): Patch => ({
    panel: 'blank',
    bend: 'flat',
    outline: box(t, from, t + w, to),
    place: onPlane(at(t, from), start, right, up),
  })
  const [up, down] = [inSpace(0, 0, 1), inSpace(0, 0, -1)]
  const end = (isRight: boolean): Patch => ({
    panel: 'blank',
    bend: 'flat',
    outline: isRight ? box(t + w, d + t, 2 * t + w, 2 * d + t) : box(0, d + t, t, 2 * d + t),
    place: onPlane(
      at(isRight ? t + w : t, d + t),
      inSpace(isRight ? w : 0, 0, t),
      isRight ? down : up,
      inSpace(0, 1, 0),
    ),
  })
  return drafted({
    panels: [blank],
    seams: [],
    closures: [
      planClosure(
        closure,
        null,
        entered({
          id: 'closure.length',
          label: construction.fastening === 'bonded' ? 'Bonded along the lap' : 'Pinned along the lap',
          quantity: 'length',
          value: w,
          rule: 'under the cushion',
        }),
        allowances,
      ),
    ],
    patches: [
      length(0, d, inSpace(0, d, 0), inSpace(0, -1, 0)),
      length(d, d + t, inSpace(0, 0, 0), up),
      length(d + t, 2 * d + t, inSpace(0, 0, t), inSpace(0, 1, 0)),
      length(2 * d + t, 2 * (d + t), inSpace(0, d, t), down),
      end(true),
      end(false),
    ],
    surfaceMm2: null,
    perimeter: perimeterFigure(solid),
    fittings: construction.film
      ? [
          {
            what: 'Film under the cloth',
            use: 'film' as const,
            amount: film,
            note: 'keep it away from children: suffocation',
          },
        ]
      : [],
    notes: [{ code: construction.fastening }],
  })
}
