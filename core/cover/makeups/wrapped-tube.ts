import { at, rectangle } from '../../outline/index.ts'
import { err } from '../../result/index.ts'
import { figure, plus, times } from '../../working/index.ts'
import { lapEdge, lapOf, planClosure } from '../closures/closure-plan.ts'
import { tapeFigure } from '../closures/tape.ts'
import { notABox, perimeterFigure, rectanglePanel, seamEdge, type EdgeDraft, type PanelDraft } from '../parts/index.ts'
import type { Patch } from '../patch.ts'
import { drafted, type Recipe } from '../recipe.ts'
import type { SeamDraft, SeamPair } from '../seam.ts'
import { inSpace, onPlane } from '../space.ts'
import { openLength } from './boxed.ts'

/** One panel round the four long faces, closed along the lower back, and an end at each side. */
export const wrappedTube: Recipe<'wrapped-tube'> = (input) => {
  const { solid, closure, allowances } = input
  const reason = notABox(solid)
  if (reason) return err({ construction: 'wrapped-tube', reason, nearest: 'boxed' })
  const [w, d, t] = [solid.width.value, solid.depth.value, solid.thickness.value]
  const s = allowances.seamMm
  const lap = lapOf(closure, allowances)
  const opening = (name: string): EdgeDraft => {
    if (closure.kind === 'zip-seam') return { name, treatment: 'zip', allowances: [tapeFigure(closure.tapeMm)] }
    return lap ? { name, treatment: 'lap', allowances: lapEdge(lap, allowances) } : seamEdge(name, s)
  }
  const girth = times(2, plus(solid.depth, solid.thickness))
  const body = rectanglePanel(
    {
      id: 'body',
      name: 'Wrap',
      role: 'body',
      face: 'round',
      cloth: 'face',
      isSeen: true,
      rule: 'the width; once round top, front, bottom and back',
    },
    solid.width,
    girth,
    [opening('lower back'), seamEdge('right', s), opening('upper back'), seamEdge('left', s)],
  )
  const end = (side: 'left' | 'right'): PanelDraft => {
    const along =
      side === 'right' ? (['bottom', 'back', 'top', 'front'] as const) : (['bottom', 'front', 'top', 'back'] as const)
    return rectanglePanel(
      {
        id: `end-${side}`,
        name: side === 'left' ? 'Left end' : 'Right end',
        role: 'band',
        face: side,
        cloth: 'boxing',
        isSeen: true,
        rule: 'depth by thickness',
      },
      solid.depth,
      solid.thickness,
      along.map((n) => seamEdge(n, s)),
    )
  }
  const closing: SeamDraft = {
    name:
      closure.kind === 'zip-seam'
        ? 'zip along the lower back'
        : closure.kind === 'sewn-shut'
          ? 'the lower back, sewn shut'
          : 'the ends of the wrap, lapped',
    kind: closure.kind === 'sewn-shut' ? 'final' : 'closure',
    pairs: [
      {
        a: { panel: 'body', edge: 'lower back', from: 0, to: w },
        b: { panel: 'body', edge: 'upper back', from: w, to: 0 },
      },
    ],
  }
  const ends = (['left', 'right'] as const).map((side): SeamDraft => ({
    name: `wrap to the ${side} end`,
    kind: 'plate',
    pairs: endPairs(side, d, t),
  }))
  return drafted({
    panels: [body, end('left'), end('right')],
    seams: closing.kind === 'closure' ? [closing, ...ends] : [...ends, closing],
    closures: [planClosure(closure, closing, openLength(w, closure), allowances)],
    patches: [...bodyPatches(w, d, t), endPatch('left', w, d, t), endPatch('right', w, d, t)],
    surfaceMm2: 2 * (w * d + w * t + d * t),
    rows: ends.map(({ pairs }, i) => ({
      row: i === 0 ? ('top' as const) : ('bottom' as const),
      panel: i === 0 ? 'end-left' : 'end-right',
      pairs: pairs.map((p) => ({ a: p.b, b: p.a })),
      perimeter: figure({
        id: 'cover.endPerimeter',
        label: 'Round an end',
        quantity: 'length',
        line: 'net',
        sum: times(2, plus(solid.depth, solid.thickness)),
        rule: 'along the sewing line',
      }),
    })),
    perimeter: perimeterFigure(solid),
    notes: [{ code: 'try-on' }],
  })
}

/** Up the wrap from the lower back: bottom d, front t, top d, back t. */
function endPairs(side: 'left' | 'right', d: number, t: number): readonly SeamPair[] {
  const whole = 2 * (d + t)
  const on = (from: number, to: number) => ({
    panel: 'body',
    edge: side,
    from: side === 'right' ? from : whole - from,
    to: side === 'right' ? to : whole - to,
  })
  // Ends are drawn from outside: on the right one the front lies at the left.
  const [back, forth] =
    side === 'right'
      ? ([
          [d, 0],
          [t, 0],
        ] as const)
      : ([
          [0, d],
          [0, t],
        ] as const)
  const edge = (name: string, [from, to]: readonly [number, number]) => ({ panel: `end-${side}`, edge: name, from, to })
  return [
    { a: on(0, d), b: edge('bottom', back) },
    { a: on(d, d + t), b: edge('front', forth) },
    { a: on(d + t, 2 * d + t), b: edge('top', back) },
    { a: on(2 * d + t, whole), b: edge('back', forth) },
  ]
}

function bodyPatches(w: number, d: number, t: number): readonly Patch[] {
  const right = inSpace(1, 0, 0)
  const strip = (
    from: number,
    to: number,
    start: ReturnType<typeof inSpace>,
    up: ReturnType<typeof inSpace>,
  ): Patch => ({
    panel: 'body',
    bend: 'flat',
    outline: [at(0, from), at(w, from), at(w, to), at(0, to)],
    place: onPlane(at(0, from), start, right, up),
  })
  return [
    strip(0, d, inSpace(0, d, 0), inSpace(0, -1, 0)),
    strip(d, d + t, inSpace(0, 0, 0), inSpace(0, 0, 1)),
    strip(d + t, 2 * d + t, inSpace(0, 0, t), inSpace(0, 1, 0)),
    strip(2 * d + t, 2 * (d + t), inSpace(0, d, t), inSpace(0, 0, -1)),
  ]
}

/** An end as it stands: drawn from outside. */
export const endPatch = (side: 'left' | 'right', w: number, d: number, t: number): Patch => ({
  panel: `end-${side}`,
  bend: 'flat',
  outline: rectangle(d, t),
  place:
    side === 'right'
      ? onPlane(at(0, 0), inSpace(w, 0, 0), inSpace(0, 1, 0), inSpace(0, 0, 1))
      : onPlane(at(d, 0), inSpace(0, 0, 0), inSpace(0, -1, 0), inSpace(0, 0, 1)),
})
