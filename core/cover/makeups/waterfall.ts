import { at, type Outline, type Vertex, vertex } from '../../outline/index.ts'
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
 * length; on a square front a tuck at each corner takes twice its depth.
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
  const s = allowances.seamMm
  const wraps = plus(times(2, solid.depth), solid.thickness)
  const length =
    r > 0
      ? minus(wraps, times(minus(4, given(Math.PI, 'plain', 'pi')), given(r, 'length', 'front radius')))
      : tuck > 0
        ? plus(wraps, times(given(4, 'count', 'times'), given(tuck, 'length', 'tuck')))
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
        name: `Gusset, ${which} half`,
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
            pairs: (['left', 'right'] as const).flatMap((side) => tuckPairs(side, { d, t, tuck })),
          },
        ]
      : []
  const sides = (['left', 'right'] as const).map((side): SeamDraft => ({
    name: `plate to the ${side} band`,
    kind: 'plate',
    pairs: sidePairs(side, { d, t, r, tuck }),
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
      ...bodyPatches(w, d, t, r, tuck),
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
    surfaceMm2: w * (2 * d + 2 * t - (4 - Math.PI) * r + 4 * tuck) + 2 * (d * t - ((4 - Math.PI) / 2) * r * r),
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
}

/** Up the plate from the bottom back: bottom, round, front, round, top; tucks lie beside the front corners. */
function sidePairs(side: 'left' | 'right', { d, t, r, tuck }: Front): readonly SeamPair[] {
  const arc = (Math.PI / 2) * r
  const names = ['bottom', ...bandEdgeNames('right', t, r).slice(3).toReversed(), 'top']
  const lengths = names.map((n) => (n === 'bottom' || n === 'top' ? d - r : n === 'front' ? t - 2 * r : arc))
  const whole = 2 * (d - r) + (t - 2 * r) + 2 * arc + 4 * tuck
  let at = 0
  return names.map((name, k): SeamPair => {
    const length = lengths[k]!
    // A tuck of twice its depth lies before the front and after it.
    if (tuck > 0 && (name === 'front' || name === 'top')) at += 2 * tuck
    const [from, to] = [at, at + length]
    at = to
    const a: Stretch = {
      panel: 'body',
      edge: side,
      from: side === 'right' ? from : whole - from,
      to: side === 'right' ? to : whole - to,
    }
    // From the back to the front along the bottom: on the right band that is backwards, on the left forwards.
    return {
      a,
      b: { panel: `band-${side}`, edge: name, from: side === 'right' ? length : 0, to: side === 'right' ? 0 : length },
    }
  })
}

function tuckPairs(
  side: 'left' | 'right',
  { d, t, tuck }: { d: number; t: number; tuck: number },
): readonly SeamPair[] {
  const whole = 2 * d + t + 4 * tuck
  const on = (from: number, to: number): Stretch => ({
    panel: 'body',
    edge: side,
    from: side === 'right' ? from : whole - from,
    to: side === 'right' ? to : whole - to,
  })
  return [d, d + 2 * tuck + t].map((start) => ({ a: on(start, start + tuck), b: on(start + 2 * tuck, start + tuck) }))
}

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

function bodyPatches(w: number, d: number, t: number, r: number, tuck: number): readonly Patch[] {
  const right = inSpace(1, 0, 0)
  const arc = (Math.PI / 2) * r
  const box = (from: number, to: number): Outline => [at(0, from), at(w, from), at(w, to), at(0, to)]
  const flat = (from: number, to: number, start: Space, way: Space): Patch => ({
    panel: 'body',
    bend: 'flat',
    outline: box(from, to),
    place: onPlane(at(0, from), start, right, way),
  })
  /** A quarter round about an axis along the front edge. */
  const bent = (from: number, z: number, start: number): Patch => ({
    panel: 'body',
    bend: 'bent',
    outline: box(from, from + arc),
    place: (p) => {
      const angle = start - (p.y - from) / r
      return inSpace(p.x, r + r * Math.cos(angle), z + r * Math.sin(angle))
    },
  })
  const y = [0, d - r, d - r + arc + 2 * tuck, d - r + arc + t - 2 * r + 2 * tuck, 0]
  const top = y[3]! + arc + 2 * tuck
  return [
    flat(0, y[1]!, inSpace(0, d, 0), inSpace(0, -1, 0)),
    ...(r > 0 ? [bent(y[1]!, r, -Math.PI / 2)] : []),
    ...(t - 2 * r > 1e-6 ? [flat(y[2]!, y[3]!, inSpace(0, 0, r), UP)] : []),
    ...(r > 0 ? [bent(y[3]!, t - r, Math.PI)] : []),
    flat(top, top + d - r, inSpace(0, r, t), inSpace(0, 1, 0)),
  ]
}
