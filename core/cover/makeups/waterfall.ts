import { phrase } from '../../language/index.ts'
import { at, type Outline, type Point, type Vertex, vertex } from '../../outline/index.ts'
import { err } from '../../result/index.ts'
import { figure, given, minus, over, plus, times } from '../../working/index.ts'
import { planClosure } from '../closures/closure-plan.ts'
import {
  notABox,
  perimeterFigure,
  rectanglePanel,
  seamEdge,
  shapedPanel,
  type EdgeDraft,
  type PanelDraft,
} from '../parts/index.ts'
import type { Patch } from '../patch.ts'
import { drafted, type Recipe, type RecipeInput } from '../recipe.ts'
import type { SeamDraft, SeamPair, Stretch } from '../seam.ts'
import { inSpace, onPlane, type Space } from '../space.ts'

/**
 * One long plate runs top, front and bottom; a band closes each side, its front end rounded, and a
 * gusset in two halves with the zip stands across the back. A rounded front saves (4 − π)·r of the
 * length; on a square front tucks at each corner take twice their depth.
 */
export const waterfall: Recipe<'waterfall'> = (input) => {
  const { solid, construction, closure, allowances } = input
  const reason = notABox(solid)
  if (reason) return err({ construction: 'waterfall', reason, nearest: 'boxed' })
  const [w, d, t, r] = [solid.width.value, solid.depth.value, solid.thickness.value, construction.frontRadiusMm]
  if (r > t / 2 + 1e-6 || r > d / 2)
    return err({
      construction: 'waterfall',
      reason: { code: 'radius-over-half', radius: r, most: Math.min(t, d) / 2 },
      nearest: null,
    })
  const tuck = r > 0 ? 0 : construction.tuckMm
  const tucked = construction.tucks * construction.tuckFromMm
  if (tuck > 0 && tucked > d / 2)
    return err({
      construction: 'waterfall',
      reason: { code: 'tucks-over-half', reach: tucked, most: d / 2 },
      nearest: null,
    })
  const front: Front = { d, t, r, tuck, tucks: construction.tucks, tuckFromMm: construction.tuckFromMm }
  const { runs, tuckStarts, whole } = upThePlate(front)
  const s = allowances.seamMm
  const wraps = plus(times(2, solid.depth), solid.thickness)
  const length =
    r > 0
      ? minus(wraps, times(minus(4, given(Math.PI, 'plain', 'pi')), given(r, 'length', 'front radius')))
      : tuck > 0
        ? plus(wraps, times(given(4 * construction.tucks, 'count', 'times'), given(tuck, 'length', 'tuck')))
        : wraps
  const body = rectanglePanel(
    {
      id: 'body',
      name: 'Top, front and bottom',
      role: 'body',
      face: 'round',
      cloth: 'face',
      isSeen: true,
      rule:
        r > 0
          ? 'twice the depth and the thickness, less what the round front saves'
          : 'twice the depth and the thickness, and the tucks',
    },
    solid.width,
    length,
    [seamEdge('bottom back', s), seamEdge('right', s), seamEdge('top back', s), seamEdge('left', s)],
  )
  const half = over(solid.thickness, given(2, 'count', 'halves'))
  const gusset = (which: 'lower' | 'upper'): PanelDraft => {
    const zip: EdgeDraft = { name: 'zip', treatment: 'zip', allowances: [allowances.gussetTurnMm] }
    const edges =
      which === 'lower'
        ? [seamEdge('bottom', s), seamEdge('end', s), zip, seamEdge('start', s)]
        : [zip, seamEdge('end', s), seamEdge('top', s), seamEdge('start', s)]
    return rectanglePanel(
      {
        id: `gusset-${which}`,
        name: phrase`Gusset, ${which} half`,
        role: 'gusset',
        face: 'back',
        cloth: 'boxing',
        isSeen: false,
        rule: 'each half finishes at half the thickness; together they make the boxing height',
      },
      solid.width,
      half,
      edges,
    )
  }
  const zip: SeamDraft = {
    name: 'zip into the gusset',
    kind: 'closure',
    pairs: [
      {
        a: { panel: 'gusset-upper', edge: 'zip', from: 0, to: w },
        b: { panel: 'gusset-lower', edge: 'zip', from: w, to: 0 },
      },
    ],
  }
  const tucks: readonly SeamDraft[] =
    tuck > 0
      ? [
          {
            name: 'tucks at the front corners, folded towards the middle of the front',
            kind: 'tuck',
            pairs: (['left', 'right'] as const).flatMap((side) => tuckPairs(side, tuckStarts, tuck, whole)),
          },
        ]
      : []
  const sides = (['left', 'right'] as const).map((side): SeamDraft => ({
    name: phrase`plate to the ${side} band`,
    kind: 'plate',
    pairs: sidePairs(side, runs, whole),
  }))
  return drafted({
    panels: [body, band('left', input), band('right', input), gusset('upper'), gusset('lower')],
    seams: [
      zip,
      ...tucks,
      { name: 'gusset to both bands', kind: 'join', pairs: gussetEnds(t) },
      ...sides,
      {
        name: 'plate to the gusset, bottom and top',
        kind: 'plate',
        pairs: [
          {
            a: { panel: 'body', edge: 'bottom back', from: 0, to: w },
            b: { panel: 'gusset-lower', edge: 'bottom', from: w, to: 0 },
          },
          {
            a: { panel: 'body', edge: 'top back', from: 0, to: w },
            b: { panel: 'gusset-upper', edge: 'top', from: w, to: 0 },
          },
        ],
      },
    ],
    closures: [
      planClosure(
        closure,
        zip,
        figure({
          id: 'closure.length',
          label: 'Zip',
          quantity: 'length',
          sum: plus(solid.width),
          rule: 'across the back',
        }),
        allowances,
      ),
    ],
    patches: [
      ...bodyPatches(w, front, runs),
      ...(['left', 'right'] as const).map((side): Patch => ({
        panel: `band-${side}`,
        bend: 'flat',
        outline: bandOutline(side, d, t, r),
        place:
          side === 'right'
            ? onPlane(at(0, 0), inSpace(w, 0, 0), inSpace(0, 1, 0), UP)
            : onPlane(at(d, 0), inSpace(0, 0, 0), inSpace(0, -1, 0), UP),
      })),
      backPatch('lower', w, d, t),
      backPatch('upper', w, d, t),
    ],
    surfaceMm2: w * (whole + t) + 2 * (d * t - ((4 - Math.PI) / 2) * r * r),
    rows: sides.map(({ pairs }, i) => ({
      row: i === 0 ? ('top' as const) : ('bottom' as const),
      panel: i === 0 ? 'band-left' : 'band-right',
      pairs: pairs.map((p) => ({ a: p.b, b: p.a })),
      perimeter: figure({
        id: 'cover.bandRun',
        label: 'Round a band',
        quantity: 'length',
        line: 'net',
        sum: length,
        rule: 'top, front and bottom of a band',
      }),
    })),
    perimeter: perimeterFigure(solid),
  })
}

const UP = inSpace(0, 0, 1)

/** Drawn from outside: the front of the right band lies at the left, of the left band at the right. */
function bandOutline(side: 'left' | 'right', d: number, t: number, r: number): Outline {
  const quarter = Math.tan(Math.PI / 8)
  const straight = t - 2 * r
  const right: readonly (Vertex | null)[] = [
    at(r, 0),
    at(d, 0),
    at(d, t),
    r > 0 ? vertex(at(r, t), quarter) : null,
    r > 0 && straight > 1e-6 ? at(0, t - r) : r > 0 ? null : at(0, t),
    r > 0 ? vertex(at(0, straight > 1e-6 ? r : t / 2), quarter) : null,
  ]
  const outline = right.filter((v): v is Vertex => v !== null)
  if (r === 0)
    return side === 'right' ? [at(0, 0), at(d, 0), at(d, t), at(0, t)] : [at(0, 0), at(d, 0), at(d, t), at(0, t)]
  return side === 'right' ? outline : mirrorBand(outline, d)
}

/** Mirrored in the middle of the band and walked from its lower back corner on. */
function mirrorBand(outline: Outline, d: number): Outline {
  const n = outline.length
  return Array.from({ length: n }, (_, i) => {
    const k = (2 * n + 1 - i) % n
    const corner = outline[k]!
    return vertex(at(d - corner.x, corner.y), outline[(k + n - 1) % n]!.bulge ?? 0)
  })
}

const bandEdgeNames = (side: 'left' | 'right', t: number, r: number): readonly string[] => {
  const front =
    r === 0
      ? ['front']
      : t - 2 * r > 1e-6
        ? ['front, upper round', 'front', 'front, lower round']
        : ['front, upper round', 'front, lower round']
  return side === 'right' ? ['bottom', 'back', 'top', ...front] : ['bottom', ...front.toReversed(), 'top', 'back']
}

function band(side: 'left' | 'right', { solid, construction, allowances }: RecipeInput<'waterfall'>): PanelDraft {
  const [d, t, r] = [solid.depth.value, solid.thickness.value, construction.frontRadiusMm]
  const edges = bandEdgeNames(side, t, r).map((name) => seamEdge(name, allowances.seamMm))
  const outline = bandOutline(side, d, t, r)
  const sums = {
    width: solid.depth,
    height: solid.thickness,
    bottom: 'bottom',
    top: 'top',
    left: 'back',
    right: 'back',
  }
  return shapedPanel(
    {
      id: `band-${side}`,
      name: side === 'left' ? 'Left band' : 'Right band',
      role: 'band',
      face: side,
      cloth: 'boxing',
      isSeen: true,
      rule: 'depth by thickness, the front end rounded',
    },
    outline,
    edges,
    sums,
  )
}

interface Front {
  readonly d: number
  readonly t: number
  readonly r: number
  readonly tuck: number
  readonly tucks: number
  readonly tuckFromMm: number
}

/** A stretch of the plate's side that lies against an edge of the right band, or part of one. */
interface Run {
  readonly edge: string
  /** Where it begins on the plate, from the bottom back. */
  readonly start: number
  /** What of the way along that edge, walked as the plate is. */
  readonly from: number
  readonly to: number
  readonly edgeMm: number
}

/**
 * Up the plate from the bottom back: bottom, round, front, round, top. Tucks of twice their depth lie at the front
 * corners, or so far before the lower one and beyond the upper one.
 */
function upThePlate({ d, t, r, tuck, tucks, tuckFromMm }: Front): {
  readonly runs: readonly Run[]
  readonly tuckStarts: readonly number[]
  readonly whole: number
} {
  const arc = (Math.PI / 2) * r
  const names = ['bottom', ...bandEdgeNames('right', t, r).slice(3).toReversed(), 'top']
  const fromCorner = tuck > 0 ? Array.from({ length: tucks }, (_, k) => (k + 1) * tuckFromMm) : []
  const runs: Run[] = []
  const tuckStarts: number[] = []
  let start = 0
  for (const edge of names) {
    const edgeMm = edge === 'bottom' || edge === 'top' ? d - r : edge === 'front' ? t - 2 * r : arc
    const places = edge === 'bottom' ? fromCorner.map((v) => edgeMm - v).toReversed() : edge === 'top' ? fromCorner : []
    let from = 0
    const run = (to: number) => {
      if (to - from > 1e-9) runs.push({ edge, start, from, to, edgeMm })
      start += to - from
      from = to
    }
    for (const place of places) {
      run(place)
      tuckStarts.push(start)
      start += 2 * tuck
    }
    run(edgeMm)
  }
  return { runs, tuckStarts, whole: start }
}

/** On the body's side edge: upwards on the right, downwards on the left. */
const onBody = (side: 'left' | 'right', from: number, to: number, whole: number): Stretch => ({
  panel: 'body',
  edge: side,
  from: side === 'right' ? from : whole - from,
  to: side === 'right' ? to : whole - to,
})

/** From the back to the front along the bottom: on the right band that is backwards, on the left forwards. */
const sidePairs = (side: 'left' | 'right', runs: readonly Run[], whole: number): readonly SeamPair[] =>
  runs.map(({ edge, start, from, to, edgeMm }) => ({
    a: onBody(side, start, start + to - from, whole),
    b: {
      panel: `band-${side}`,
      edge,
      from: side === 'right' ? edgeMm - from : from,
      to: side === 'right' ? edgeMm - to : to,
    },
  }))

/** Each tuck is an edge folded on itself about its middle. */
const tuckPairs = (
  side: 'left' | 'right',
  starts: readonly number[],
  tuck: number,
  whole: number,
): readonly SeamPair[] =>
  starts.map((start) => ({
    a: onBody(side, start, start + tuck, whole),
    b: onBody(side, start + 2 * tuck, start + tuck, whole),
  }))

/** The gusset is drawn from behind: its start lies at the right end of the cushion. */
function gussetEnds(t: number): readonly SeamPair[] {
  const half = t / 2
  const up = (panel: string, edge: 'start' | 'end'): Stretch => ({
    panel,
    edge,
    from: edge === 'end' ? 0 : half,
    to: edge === 'end' ? half : 0,
  })
  const backOf = (side: 'left' | 'right', from: number, to: number): Stretch => ({
    panel: `band-${side}`,
    edge: 'back',
    from: side === 'right' ? from : t - from,
    to: side === 'right' ? to : t - to,
  })
  return [
    { a: backOf('right', 0, half), b: up('gusset-lower', 'start') },
    { a: backOf('right', half, t), b: up('gusset-upper', 'start') },
    { a: backOf('left', 0, half), b: up('gusset-lower', 'end') },
    { a: backOf('left', half, t), b: up('gusset-upper', 'end') },
  ]
}

const backPatch = (which: 'lower' | 'upper', w: number, d: number, t: number): Patch => ({
  panel: `gusset-${which}`,
  bend: 'flat',
  outline: [at(0, 0), at(w, 0), at(w, t / 2), at(0, t / 2)],
  place: onPlane(at(0, 0), inSpace(w, d, which === 'lower' ? 0 : t / 2), inSpace(-1, 0, 0), UP),
})

function bodyPatches(w: number, { d, t, r }: Front, runs: readonly Run[]): readonly Patch[] {
  const right = inSpace(1, 0, 0)
  /** A quarter round about an axis along the front edge. */
  const bent = (y: number, z: number, start: number) => (p: Point) => {
    const angle = start - (p.y - y) / r
    return inSpace(p.x, r + r * Math.cos(angle), z + r * Math.sin(angle))
  }
  return runs.map(({ edge, start, from, to }): Patch => {
    const outline = [at(0, start), at(w, start), at(w, start + to - from), at(0, start + to - from)]
    const flat = (corner: Space, way: Space): Patch => ({
      panel: 'body',
      bend: 'flat',
      outline,
      place: onPlane(at(0, start), corner, right, way),
    })
    switch (edge) {
      case 'bottom':
        return flat(inSpace(0, d - from, 0), inSpace(0, -1, 0))
      case 'front':
        return flat(inSpace(0, 0, r), UP)
      case 'top':
        return flat(inSpace(0, r + from, t), inSpace(0, 1, 0))
      case 'front, lower round':
        return { panel: 'body', bend: 'bent', outline, place: bent(start, r, -Math.PI / 2) }
      default:
        return { panel: 'body', bend: 'bent', outline, place: bent(start, t - r, Math.PI) }
    }
  })
}
