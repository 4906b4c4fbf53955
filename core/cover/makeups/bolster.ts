import { phrase } from '../../language/index.ts'
import { at, vertex, type Outline } from '../../outline/index.ts'
import { err } from '../../result/index.ts'
import { figure, given, times, type Figure } from '../../working/index.ts'
import { planClosure } from '../closures/closure-plan.ts'
import { tapeFigure } from '../closures/tape.ts'
import { notABox, rectanglePanel, seamEdge, shapedPanel, type EdgeDraft, type PanelDraft } from '../parts/index.ts'
import type { Patch } from '../patch.ts'
import { drafted, type Recipe } from '../recipe.ts'
import type { SeamDraft, SeamPair } from '../seam.ts'
import { inSpace, onPlane, UP } from '../space.ts'
import { openLength } from './boxed.ts'

/** A roll: a body π·D round, and a disc at each end. Its depth and its thickness are both the diameter. */
export const bolster: Recipe<'bolster'> = ({ solid, construction, closure, allowances }) => {
  const reason = notABox(solid)
  if (reason) return err({ construction: construction.kind, reason, nearest: 'boxed' })
  const [w, d, t] = [solid.width.value, solid.depth.value, solid.thickness.value]
  if (Math.abs(d - t) > 1)
    return err({
      construction: construction.kind,
      reason: { code: 'not-round', depth: d, thickness: t },
      nearest: 'boxed',
    })
  const s = allowances.seamMm
  const round = times(given(Math.PI, 'plain', 'pi'), solid.depth)
  const girth: Figure = figure({
    id: 'cover.perimeter',
    label: 'Round the roll',
    quantity: 'length',
    line: 'net',
    sum: round,
    rule: 'pi times the diameter',
  })
  const opening = (name: string): EdgeDraft =>
    closure.kind === 'zip-seam'
      ? { name, treatment: 'zip', allowances: [tapeFigure(closure.tapeMm)] }
      : seamEdge(name, s)
  const body = rectanglePanel(
    {
      id: 'body',
      name: 'Body',
      role: 'body',
      face: 'round',
      cloth: 'face',
      isSeen: true,
      rule: 'the length; once round the roll',
    },
    solid.width,
    round,
    [opening('long seam, below'), seamEdge('right', s), opening('long seam, above'), seamEdge('left', s)],
  )
  const whole = girth.value
  const closing: SeamDraft = {
    name: closure.kind === 'zip-seam' ? 'zip along the body' : 'the body, sewn shut',
    kind: closure.kind === 'zip-seam' ? 'closure' : 'final',
    pairs: [
      {
        a: { panel: 'body', edge: 'long seam, below', from: 0, to: w },
        b: { panel: 'body', edge: 'long seam, above', from: w, to: 0 },
      },
    ],
  }
  const ends = (['left', 'right'] as const).map((side): SeamDraft => ({
    name: phrase`${side} end to the body`,
    kind: 'plate',
    pairs: endPairs(side, whole),
  }))
  const openMm = closure.kind === 'sewn-shut' ? Math.min(closure.openingMm, w) : w
  return drafted({
    panels: [body, disc('left', solid.depth, s), disc('right', solid.depth, s)],
    seams: closing.kind === 'closure' ? [closing, ...ends] : [...ends, closing],
    closures: [planClosure(closure, closing, openLength(openMm, closure), allowances)],
    patches: [
      { panel: 'body', bend: 'bent', outline: body.finished, place: roundTheAxis(d) },
      discPatch('left', w, d),
      discPatch('right', w, d),
    ],
    surfaceMm2: Math.PI * d * w + (Math.PI * d * d) / 2,
    rows: ends.map(({ pairs }, i) => ({
      row: i === 0 ? ('top' as const) : ('bottom' as const),
      panel: i === 0 ? 'end-left' : 'end-right',
      pairs: pairs.map((p) => ({ a: p.b, b: p.a })),
      perimeter: girth,
    })),
    perimeter: girth,
  })
}

const QUARTERS = ['back', 'top', 'front', 'bottom'] as const

/** Four quarters, drawn from outside. */
function circle(diameter: number): Outline {
  const r = diameter / 2
  const quarter = Math.tan(Math.PI / 8)
  return [0, 1, 2, 3].map((k) =>
    vertex(at(r + r * Math.cos((k * Math.PI) / 2), r + r * Math.sin((k * Math.PI) / 2)), quarter),
  )
}

function disc(side: 'left' | 'right', diameter: Figure, seam: Figure): PanelDraft {
  const edges = QUARTERS.map((name) => seamEdge(name, seam))
  const sums = { width: diameter, height: diameter, bottom: 'bottom', right: 'back', top: 'top', left: 'front' }
  return shapedPanel(
    {
      id: `end-${side}`,
      name: side === 'left' ? 'Left end' : 'Right end',
      role: 'plate',
      face: side,
      cloth: 'boxing',
      isSeen: true,
      rule: 'a disc of the diameter',
    },
    circle(diameter.value),
    edges,
    sums,
  )
}

/**
 * Up the body from its seam at the back of the roll, over the foot, the front and the top; each end meets it once
 * round.
 */
function endPairs(side: 'left' | 'right', whole: number): readonly SeamPair[] {
  const quarter = whole / 4
  return [0, 1, 2, 3].map((k): SeamPair => {
    const [from, to] = [k * quarter, (k + 1) * quarter]
    const a = {
      panel: 'body',
      edge: side,
      from: side === 'right' ? from : whole - from,
      to: side === 'right' ? to : whole - to,
    }
    // Seen from the right the body runs clockwise from the back, seen from the left counter-clockwise.
    const edge = side === 'right' ? QUARTERS[3 - k]! : QUARTERS[k]!
    return {
      a,
      b: { panel: `end-${side}`, edge, from: side === 'right' ? quarter : 0, to: side === 'right' ? 0 : quarter },
    }
  })
}

/** The body from the back down, forward and up again; the axis lies at mid depth and mid height. */
const roundTheAxis =
  (diameter: number): Patch['place'] =>
  (p) => {
    const r = diameter / 2
    const angle = -p.y / r
    return inSpace(p.x, r + r * Math.cos(angle), r + r * Math.sin(angle))
  }

function discPatch(side: 'left' | 'right', w: number, d: number): Patch {
  const [x, way] = side === 'right' ? [w, inSpace(0, 1, 0)] : [0, inSpace(0, 1, 0)]
  // The left disc is drawn from outside, so its right is the front; turned half round it meets the body likewise.
  const place =
    side === 'right'
      ? onPlane(at(0, 0), inSpace(x, 0, 0), way, UP)
      : onPlane(at(0, 0), inSpace(x, 0, d), way, inSpace(0, 0, -1))
  return { panel: `end-${side}`, bend: 'flat', outline: circle(d), place }
}
