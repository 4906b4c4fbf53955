import { phrase } from '../../language/index.ts'
import type { Closure } from '../../../contract/index.ts'
import { at, rectangle } from '../../outline/index.ts'
import { err } from '../../result/index.ts'
import { figure, given, minus, plus, times, type Figure } from '../../working/index.ts'
import { lapEdge, lapOf, planClosure } from '../closures/closure-plan.ts'
import { tapeFigure } from '../closures/tape.ts'
import { withZipEdges } from '../parts/zip-edges.ts'
import { notABox, perimeterFigure, rectanglePanel, seamEdge, type EdgeDraft, type PanelDraft } from '../parts/index.ts'
import type { Patch } from '../patch.ts'
import { drafted, type Recipe, type RecipeInput } from '../recipe.ts'
import type { SeamDraft, SeamPair } from '../seam.ts'
import { inSpace, onPlane, UP } from '../space.ts'
import { openLength } from './boxed.ts'
import { onPanel, tubeOf, type Tube } from './tube.ts'

type TubeInput = RecipeInput<'wrapped-tube'>

/**
 * One to four panels round the four long faces, sewn along as many long edges, and an end at each side. It opens along
 * one of the long seams, or at an end, there on over the corner if it is to be an L.
 */
export const wrappedTube: Recipe<'wrapped-tube'> = (input) => {
  const { solid, closure, allowances } = input
  const reason = notABox(solid)
  if (reason) return err({ construction: 'wrapped-tube', reason, nearest: 'boxed' })
  const tube = tubeOf(solid, input.construction)
  const opensAt = endThatOpens(closure)
  const ends = (['left', 'right'] as const).map((side) => ({ side, pairs: endPairs(tube, side) }))
  const panels = [
    ...tube.panels.map((p) => wrapPanel(input, tube, p, opensAt === null)),
    ...ends.map(({ side }) => endPanel(input, side)),
  ]
  const girth = figure({
    id: 'cover.endPerimeter',
    label: 'Round an end',
    quantity: 'length',
    line: 'net',
    sum: times(2, plus(solid.depth, solid.thickness)),
    rule: 'along the sewing line',
  })
  const common = {
    panels,
    patches: [
      ...tube.panels.flatMap((p) => wrapPatches(tube, p)),
      ...ends.map(({ side }) => endPatch(side, tube.w, tube.d, tube.t)),
    ],
    surfaceMm2: 2 * (tube.w * tube.d + tube.w * tube.t + tube.d * tube.t),
    rows: ends.map(({ side, pairs }, i) => ({
      row: i === 0 ? ('top' as const) : ('bottom' as const),
      panel: `end-${side}`,
      pairs: pairs.map((p) => ({ a: p.b, b: p.a })),
      perimeter: girth,
    })),
    perimeter: perimeterFigure(solid),
    notes: [{ code: 'try-on' }] as const,
  }
  const longs = tube.seams
    .filter((s) => opensAt !== null || s.edge !== tube.closing)
    .map((s): SeamDraft => ({ name: phrase`long seam at the ${words(s.edge)}`, kind: 'join', pairs: [s.pair] }))
  const whole = (side: 'left' | 'right', pairs: readonly SeamPair[]): SeamDraft => ({
    name: phrase`wrap to the ${side} end`,
    kind: 'plate',
    pairs,
  })
  if (opensAt && closure.kind === 'zip-seam') {
    const opening = endOpening(tube, closure, ends.find((e) => e.side === opensAt)!.pairs)
    const zip: SeamDraft = { name: phrase`zip at the ${opensAt} end`, kind: 'closure', pairs: opening.zip }
    const seams = [
      ...longs,
      zip,
      ...(opening.rest.length > 0
        ? [{ ...whole(opensAt, opening.rest), name: phrase`wrap to the ${opensAt} end, beside the zip` }]
        : []),
      ...ends.filter((e) => e.side !== opensAt).map((e) => whole(e.side, e.pairs)),
    ]
    const sewn = withZipEdges({ ...common, seams }, zip, tapeFigure(closure.tapeMm))
    return drafted({
      ...sewn,
      closures: [planClosure(closure, sewn.zip, endOpeningLength(input, closure), allowances)],
    })
  }
  const closing: SeamDraft = {
    name:
      closure.kind === 'zip-seam'
        ? phrase`zip along the ${words(tube.closing)}`
        : closure.kind === 'sewn-shut'
          ? phrase`the ${words(tube.closing)}, sewn shut`
          : 'the ends of the wrap, lapped',
    kind: closure.kind === 'sewn-shut' ? 'final' : 'closure',
    pairs: [tube.seams.find((s) => s.edge === tube.closing)!.pair],
  }
  const sides = ends.map((e) => whole(e.side, e.pairs))
  return drafted({
    ...common,
    seams: closing.kind === 'closure' ? [closing, ...longs, ...sides] : [...longs, ...sides, closing],
    closures: [planClosure(closure, closing, openLength(tube.w, closure), allowances)],
  })
}

const words = (edge: Tube['closing']): string => edge.replace('-', ' ')

/** The end at which it opens; null where one of the long seams does. */
const endThatOpens = (closure: Closure): 'left' | 'right' | null =>
  closure.kind === 'zip-seam' && (closure.side === 'left' || closure.side === 'right') ? closure.side : null

function wrapPanel(
  { closure, allowances, solid }: TubeInput,
  tube: Tube,
  panel: Tube['panels'][number],
  opensLong: boolean,
): PanelDraft {
  const lap = lapOf(closure, allowances)
  const s = allowances.seamMm
  const long = (edge: Tube['closing'], name: string): EdgeDraft => {
    if (!opensLong || edge !== tube.closing) return seamEdge(name, s)
    if (closure.kind === 'zip-seam') return { name, treatment: 'zip', allowances: [tapeFigure(closure.tapeMm)] }
    return lap ? { name, treatment: 'lap', allowances: lapEdge(lap, allowances, closure) } : seamEdge(name, s)
  }
  return rectanglePanel(
    {
      id: panel.id,
      name: panel.name,
      role: 'body',
      face: panel.faces.length === 1 ? panel.faces[0]! : 'round',
      cloth: panel.faces.every((f) => f === 'bottom' || f === 'back') ? 'second-face' : 'face',
      isSeen: true,
      rule:
        tube.panels.length === 1
          ? 'the width; once round top, front, bottom and back'
          : phrase`the width; over the ${panel.faces.join(' and the ')}`,
    },
    solid.width,
    panel.height,
    [long(panel.from, panel.names.from), seamEdge('right', s), long(panel.to, panel.names.to), seamEdge('left', s)],
  )
}

function endPanel({ solid, allowances }: TubeInput, side: 'left' | 'right'): PanelDraft {
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
    along.map((n) => seamEdge(n, allowances.seamMm)),
  )
}

/** Up the wrap from the lower back, face by face, each on the panel that holds it. */
function endPairs(tube: Tube, side: 'left' | 'right'): readonly SeamPair[] {
  // Ends are drawn from outside: on the right one the front lies at the left.
  return tube.faces.map(({ face, mm }): SeamPair => {
    const [from, to] = side === 'right' ? [mm, 0] : [0, mm]
    return { a: onPanel(tube, face, side), b: { panel: `end-${side}`, edge: face, from, to } }
  })
}

/**
 * The seam of an end parted into what the zip takes and the rest: its lower edge from where it starts to the back, and
 * where it is an L all of the back edge as well.
 */
function endOpening(
  tube: Tube,
  { overTwoEdges, startMm = 0 }: Extract<Closure, { kind: 'zip-seam' }>,
  pairs: readonly SeamPair[],
) {
  const [bottom, front, top, back] = pairs as [SeamPair, SeamPair, SeamPair, SeamPair]
  const share = Math.max(0, (tube.d - startMm) / tube.d)
  const start = share < 1 ? [partOf(bottom, share, 1)] : []
  return {
    zip: [...(share > 0 ? [partOf(bottom, 0, share)] : []), ...(overTwoEdges ? [back] : [])],
    rest: [...start, front, top, ...(overTwoEdges ? [] : [back])],
  }
}

function partOf({ a, b }: SeamPair, from: number, to: number): SeamPair {
  const part = (s: SeamPair['a']) => ({
    ...s,
    from: s.from + (s.to - s.from) * from,
    to: s.from + (s.to - s.from) * to,
  })
  return { a: part(a), b: part(b) }
}

/** Both edges of an L to their corner, which costs nothing, less where it starts. */
function endOpeningLength(
  { solid }: TubeInput,
  { overTwoEdges, startMm = 0 }: Extract<Closure, { kind: 'zip-seam' }>,
): Figure {
  const run = overTwoEdges ? plus(solid.depth, solid.thickness) : plus(solid.depth)
  return figure({
    id: 'closure.length',
    label: 'Opening',
    quantity: 'length',
    sum: startMm > 0 ? minus(run, given(startMm, 'length', 'from the far corner')) : run,
    rule: overTwoEdges
      ? 'along the long edge of the end, on over the corner and up the short one'
      : 'along the long edge of the end',
    change: 'make-up.closure',
  })
}

function wrapPatches(tube: Tube, panel: Tube['panels'][number]): readonly Patch[] {
  const right = inSpace(1, 0, 0)
  const { w, d, t } = tube
  const lies = {
    bottom: [inSpace(0, d, 0), inSpace(0, -1, 0)],
    front: [inSpace(0, 0, 0), UP],
    top: [inSpace(0, 0, t), inSpace(0, 1, 0)],
    back: [inSpace(0, d, t), inSpace(0, 0, -1)],
  } as const
  return tube.faces
    .filter((f) => f.panel === panel.id)
    .map(({ face, fromMm, mm }): Patch => ({
      panel: panel.id,
      bend: 'flat',
      outline: [at(0, fromMm), at(w, fromMm), at(w, fromMm + mm), at(0, fromMm + mm)],
      place: onPlane(at(0, fromMm), lies[face][0], right, lies[face][1]),
    }))
}

/** An end as it stands: drawn from outside. */
export const endPatch = (side: 'left' | 'right', w: number, d: number, t: number): Patch => ({
  panel: `end-${side}`,
  bend: 'flat',
  outline: rectangle(d, t),
  place:
    side === 'right'
      ? onPlane(at(0, 0), inSpace(w, 0, 0), inSpace(0, 1, 0), UP)
      : onPlane(at(d, 0), inSpace(0, 0, 0), inSpace(0, -1, 0), UP),
})
