import { phrase } from '../../language/index.ts'
import {
  at,
  boxOf,
  dressCorners,
  edgeLength,
  flatten,
  keepsShape,
  offsetEdges,
  stretchOf,
  vertex,
  type Outline,
  type Point,
} from '../../outline/index.ts'
import { err, ok, type Result } from '../../result/index.ts'
import type { Solid } from '../../seat/index.ts'
import { entered, figure, minus, plus, times, type Figure } from '../../working/index.ts'
import { planClosure } from '../closures/closure-plan.ts'
import { tapeFigure } from '../closures/tape.ts'
import type { Mark } from '../panel.ts'
import {
  borderedBlank,
  boxSurface,
  longestFlatRun,
  perimeterFigure,
  plateOf,
  sideOrBack,
  withZipEdges,
} from '../parts/index.ts'
import { drafted, type Recipe, type RecipeInput } from '../recipe.ts'
import type { RefusalReason } from '../refusal.ts'
import { seamLength, type SeamDraft, type SeamPair } from '../seam.ts'
import { wallOf } from '../wall.ts'
import { openLength } from './boxed.ts'

/**
 * Top and sides in one blank with the square corners taken out, and a base. Drawn to the thickness
 * the border takes its bottom seam out of t, so it finishes t − s and the cushion plumper; at full
 * depth it finishes t. The base has a slot of its own for the zip, or the zip lies in its seam.
 */
export const capped: Recipe<'capped'> = (input) => {
  const { solid, construction, closure, allowances } = input
  const fail = (reason: RefusalReason) => err({ construction: 'capped', reason, nearest: 'boxed' } as const)
  const t = solid.thickness
  const border =
    construction.school === 'full-depth'
      ? t
      : figure({
          id: 'cover.border',
          label: 'Border finishes',
          quantity: 'length',
          line: 'net',
          sum: minus(t, allowances.seamMm),
          rule: 'drawn to the thickness, the bottom seam taken out of it: a plumper cushion',
          change: 'make-up.construction',
        })
  if (border.value < 5) return fail({ code: 'too-thin-to-border', left: border.value })
  const wall = wallOf({ ...solid, thickness: border })
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
      rule: 'the top, and the border at each edge',
    },
    border: seam,
    corner: seam,
    sums: { width: plus(solid.width, times(2, border)), height: plus(solid.depth, times(2, border)) },
    seam: allowances.seamMm,
  })
  if ('code' in blank) return fail(blank)
  const base = plateOf(solid, {
    which: 'bottom',
    called: { id: 'base', name: 'Base', role: 'base' },
    outline: wall.foot,
    heightMm: 0,
    cloth: 'base',
    allowances: [allowances.seamMm],
  })
  const ring = wall.foot.map((_, i): SeamPair => {
    const length = edgeLength(wall.foot, i)
    return { a: base.stretch(i, 0, length), b: blank.stretch(i, 0, length) }
  })
  const opened = closing(input, wall.foot, ring)
  if (!opened.ok) return fail(opened.error)
  const { closed, rest, slot, length } = opened.value
  const top: Outline = blank.patches[0]!.outline
  const perimeter = perimeterFigure(solid)
  const marks = slot
    ? [{ kind: 'slot' as const, label: 'slot for the zip', path: slot.map((p) => onBase(p, wall.foot)) }]
    : []
  const draft = {
    panels: [
      { ...blank.panel, marks: [{ kind: 'fold', label: 'edge of the top', path: [...top, top[0]!] }] satisfies Mark[] },
      { ...base.panel, marks },
    ],
    seams: [
      ...(closed?.kind === 'closure' ? [closed] : []),
      ...blank.corners,
      { name: 'border to the base', kind: 'plate' as const, pairs: rest },
      ...(closed?.kind === 'final' ? [closed] : []),
    ],
    patches: [...blank.patches, base.patch],
    surfaceMm2: boxSurface(wall),
    rows: [{ row: 'bottom' as const, panel: base.panel.id, pairs: ring, perimeter }],
    perimeter,
    wall,
    figures: [border],
    notes: [{ code: 'pile-runs-over' as const }],
  }
  if (closure.kind !== 'zip-seam' || !closed)
    return drafted({ ...draft, closures: [planClosure(closure, closed, length, allowances)] })
  const sewn = withZipEdges(draft, closed, tapeFigure(closure.tapeMm))
  return drafted({ ...sewn, closures: [planClosure(closure, sewn.zip, length, allowances)] })
}

interface Opened {
  readonly closed: SeamDraft | null
  readonly rest: readonly SeamPair[]
  readonly slot: readonly Point[] | null
  readonly length: Figure
}

/** A slot within the base, or a side of its seam that is a zip or sewn shut last. */
function closing(
  { solid, closure }: RecipeInput<'capped'>,
  foot: Outline,
  ring: readonly SeamPair[],
): Result<Opened, RefusalReason> {
  if (closure.kind === 'horseshoe') {
    const slot = slotPath(solid, closure)
    if (!slot) return err({ code: 'slot-outside', inset: closure.insetMm })
    const value = slot.slice(1).reduce((sum, p, i) => sum + Math.hypot(p.x - slot[i]!.x, p.y - slot[i]!.y), 0)
    return ok({
      closed: null,
      rest: ring,
      slot,
      length: entered({
        id: 'closure.length',
        label: 'Zip in the base',
        quantity: 'length',
        value,
        rule: closure.shape === 'u' ? 'along three sides of the slot, its corners rounded' : 'across the base',
        change: 'make-up.closure',
      }),
    })
  }
  const run = longestFlatRun(
    wallOf(solid),
    solid.edges,
    'side' in closure ? sideOrBack(solid.edges, closure.side) : 'back',
  )
  if (closure.kind !== 'sewn-shut') {
    const closed: SeamDraft = { name: 'zip between border and base', kind: 'closure', pairs: run.map((i) => ring[i]!) }
    return ok({
      closed,
      rest: ring.filter((_, i) => !run.includes(i)),
      slot: null,
      length: openLength(seamLength(closed), closure),
    })
  }
  const longest = run.reduce((best, i) => (edgeLength(foot, i) > edgeLength(foot, best) ? i : best))
  const whole = edgeLength(foot, longest)
  if (closure.openingMm > whole + 0.5)
    return err({ code: 'opening-over-edge', opening: closure.openingMm, edge: whole })
  const margin = Math.max(0, (whole - closure.openingMm) / 2)
  const { a, b } = ring[longest]!
  const part = (from: number, to: number): SeamPair => ({
    a: { ...a, from: a.from + (from / whole) * (a.to - a.from), to: a.from + (to / whole) * (a.to - a.from) },
    b: { ...b, from, to },
  })
  const closed: SeamDraft = { name: 'the opening, sewn shut', kind: 'final', pairs: [part(margin, whole - margin)] }
  const rest = ring.flatMap((pair, i) =>
    i !== longest ? [pair] : margin < 1e-6 ? [] : [part(0, margin), part(whole - margin, whole)],
  )
  return ok({ closed, rest, slot: null, length: openLength(seamLength(closed), closure) })
}

/**
 * A U set in from right, back and left, its corners rounded, or a straight slot; null where the base has no room for
 * it.
 */
function slotPath(
  { outline, edges }: Solid,
  { shape, insetMm, radiusMm }: Extract<RecipeInput['closure'], { kind: 'horseshoe' }>,
): readonly Point[] | null {
  const inner = offsetEdges(
    outline,
    outline.map(() => -insetMm),
  )
  if (!keepsShape(outline, inner)) return null
  if (shape === 'straight') {
    const { minX, maxX, minY, maxY } = boxOf(inner)
    return [at(minX, (minY + maxY) / 2), at(maxX, (minY + maxY) / 2)]
  }
  const dressed = dressCorners(
    inner,
    inner.map((_, i) =>
      edges[i]!.side === 'front' || edges[(i + inner.length - 1) % inner.length]!.side === 'front'
        ? { kind: 'square' }
        : { kind: 'round', radiusMm },
    ),
  )
  if (!('outline' in dressed)) return null
  const sideOf = (k: number) => {
    const source = dressed.sources[k]!
    return source.kind === 'edge' ? edges[source.edge]!.side : 'back'
  }
  const n = dressed.outline.length
  const first = dressed.outline.findIndex((_, k) => sideOf(k) !== 'front' && sideOf((k + n - 1) % n) === 'front')
  const open = Array.from({ length: n }, (_, k) => (Math.max(0, first) + k) % n).filter((k) => sideOf(k) !== 'front')
  const last = open.at(-1)!
  const stretches = open.map((k) => stretchOf(dressed.outline, k, 0, 1))
  return flatten([...stretches, vertex(dressed.outline[(last + 1) % n]!)], 0.05)
}

/** The base lies mirrored, its right side down. */
const onBase = (p: Point, foot: Outline): Point => at(boxOf(foot).maxX - p.x, p.y - boxOf(foot).minY)
