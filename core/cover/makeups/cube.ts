import { phrase } from '../../language/index.ts'
import { at, rectangle, type Outline } from '../../outline/index.ts'
import { err } from '../../result/index.ts'
import {
  entered,
  figure,
  given,
  minus,
  over,
  plus,
  roundUp,
  times,
  type Figure,
  type Operand,
} from '../../working/index.ts'
import { lapEdge, lapOf, planClosure } from '../closures/closure-plan.ts'
import { tapeFigure } from '../closures/tape.ts'
import { notABox, perimeterFigure, rectanglePanel, seamEdge, type EdgeDraft, type PanelDraft } from '../parts/index.ts'
import type { Patch } from '../patch.ts'
import { drafted, type Recipe, type RecipeInput } from '../recipe.ts'
import type { SeamDraft, SeamPair } from '../seam.ts'
import { inSpace, onPlane } from '../space.ts'

/**
 * A hassock: a block of layers in a lined slip cover, open and hemmed at the foot, with one vertical
 * closure at the back. The lining is cut shorter by the hem. Side seams stop s from the top so that
 * the corner can open.
 */
export const cube: Recipe<'cube'> = (input) => {
  const { solid, construction, closure, allowances } = input
  const reason = notABox(solid)
  if (reason) return err({ construction: 'cube', reason, nearest: 'boxed' })
  const h = solid.thickness
  if (construction.hemMm > h.value / 2)
    return err({
      construction: 'cube',
      reason: { code: 'hem-over-height', hem: construction.hemMm, height: h.value },
      nearest: null,
    })
  const hem = entered({
    id: 'cover.hem',
    label: 'Hem at the foot',
    quantity: 'length',
    value: construction.hemMm,
    rule: 'turned up',
    setBy: 'job',
    change: 'make-up.construction',
  })
  const layers = figure({
    id: 'cover.layers',
    label: 'Layers of the block',
    quantity: 'count',
    sum: roundUp(over(h, given(construction.sheetMm, 'length', 'sheet')), 1, 'count'),
    rule: 'as many sheets as reach the height',
    change: 'make-up.construction',
  })
  const layersOver = figure({
    id: 'cover.layersOver',
    label: 'Sheets higher than the cube',
    quantity: 'length',
    sum: minus(times(layers, given(construction.sheetMm, 'length', 'sheet')), h),
    rule: 'split the last sheet to what is missing, or let the cube finish that much higher',
  })
  const lining = minus(h, hem)
  const outer = slip(input, {
    id: '',
    name: '',
    cloth: 'face',
    height: h,
    foot: { name: 'foot', treatment: 'hem', allowances: [hem] },
    opens: true,
    base: null,
  })
  const lined = slip(input, {
    id: 'lining-',
    name: 'Lining, ',
    cloth: 'lining',
    height: lining,
    foot: { name: 'foot', treatment: 'hem', allowances: [allowances.seamMm] },
    opens: false,
    base: null,
  })
  const inner = slip(input, {
    id: 'inner-',
    name: 'Inner cover, ',
    cloth: 'liner',
    height: h,
    foot: seamEdge('foot', allowances.seamMm),
    opens: false,
    base: 'base',
  })
  const wadding = figure({
    id: 'cover.wadding',
    label: 'Wadding under the slip cover',
    quantity: 'area',
    sum: plus(
      times(solid.width, solid.depth),
      times(given(2, 'count', 'pairs of sides'), plus(solid.width, solid.depth), lining),
    ),
    rule: 'the top, and four sides as high as the lining',
  })
  const opening = outer.closing
  const length = figure({
    id: 'closure.length',
    label: 'Vertical closure',
    quantity: 'length',
    sum: minus(h, allowances.seamMm),
    rule: 'the height; its seam stops s from the top so that the corner can open',
  })
  return drafted({
    panels: [...outer.panels, ...lined.panels, ...inner.panels],
    seams: [
      opening,
      ...outer.seams,
      ...lined.seams.map((s) => ({ ...s, layer: 'lining' as const })),
      ...inner.seams.map((s) => ({ ...s, layer: 'inner' as const })),
    ],
    closures: [planClosure(closure, opening, length, allowances, [hem])],
    patches: [...outer.patches, ...lined.patches, ...inner.patches],
    surfaceMm2: null,
    rows: [{ row: 'top', panel: 'top-plate', pairs: outer.ring, perimeter: perimeterFigure(solid) }],
    perimeter: perimeterFigure(solid),
    figures: [layers, layersOver],
    fittings: [
      {
        what: 'Wadding under the slip cover',
        use: 'wadding',
        amount: wadding,
        note: 'a top, and four sides shorter by the hem',
      },
    ],
    notes: [
      ...(layersOver.value > 0.5
        ? [
            {
              code: 'sheets-over',
              sheets: layers.value,
              overMm: layersOver.value,
              lastMm: construction.sheetMm - layersOver.value,
            } as const,
          ]
        : []),
      { code: 'lining-shorter' },
    ],
  })
}

interface SlipDraft {
  readonly id: string
  readonly name: string
  readonly cloth: 'face' | 'lining' | 'liner'
  readonly height: Operand
  readonly foot: EdgeDraft
  readonly opens: boolean
  /** The cloth of a bottom that shuts it; null: open at the foot. */
  readonly base: 'base' | null
}

interface Slip {
  readonly panels: readonly PanelDraft[]
  readonly patches: readonly Patch[]
  readonly closing: SeamDraft
  readonly seams: readonly SeamDraft[]
  readonly ring: readonly SeamPair[]
}

/** A top and four sides; the sides are walked from the back's right end: back, left, front, right. */
function slip(
  { solid, closure, allowances }: RecipeInput<'cube'>,
  { id, name, cloth, height, foot, opens, base }: SlipDraft,
): Slip {
  const s = allowances.seamMm
  const [w, d] = [solid.width.value, solid.depth.value]
  const sides = [
    { side: 'back', length: solid.width },
    { side: 'left', length: solid.depth },
    { side: 'front', length: solid.width },
    { side: 'right', length: solid.depth },
  ] as const
  const panelId = (side: string) => `${id}side-${side}`
  const opening = (edge: 'start' | 'end'): EdgeDraft =>
    opens ? openingEdge(edge, closure, allowances, s) : seamEdge(edge, s)
  const panels = sides.map(({ side, length }): PanelDraft =>
    rectanglePanel(
      {
        id: panelId(side),
        name: phrase`${name}${name ? side : side[0]!.toUpperCase() + side.slice(1)} side`,
        role: 'boxing',
        face: cloth === 'face' ? side : 'inside',
        cloth,
        isSeen: cloth === 'face',
        rule: cloth === 'lining' ? 'the height, less the hem' : 'the height',
      },
      length,
      height,
      [
        foot,
        side === 'right' ? opening('end') : seamEdge('end', s),
        seamEdge('top', s),
        side === 'back' ? opening('start') : seamEdge('start', s),
      ],
    ),
  )
  const h = (panels[0]!.finished[2] as { y: number }).y
  const top = rectanglePanel(
    {
      id: `${id}top-plate`,
      name: name ? `${name}top` : 'Top plate',
      role: 'plate',
      face: cloth === 'face' ? 'top' : 'inside',
      cloth,
      isSeen: cloth === 'face',
      rule: 'the plate finishes at the cover size',
    },
    solid.width,
    solid.depth,
    (['front', 'right', 'back', 'left'] as const).map((side) => seamEdge(side, s, side)),
  )
  const join = (before: string, after: string): SeamDraft => ({
    name: phrase`${name}${before} side to ${after} side`,
    kind: 'join',
    pairs: [
      {
        a: { panel: panelId(before), edge: 'end', from: 0, to: h },
        b: { panel: panelId(after), edge: 'start', from: h, to: 0 },
      },
    ],
  })
  const ring = sides.map(({ side, length }): SeamPair => ({
    a: { panel: top.id, edge: side, from: 0, to: length.value },
    b: { panel: panelId(side), edge: 'top', from: length.value, to: 0 },
  }))
  const closing = join('right', 'back')
  const z = solid.thickness.value
  const place = (side: string): Patch['place'] => {
    const up = inSpace(0, 0, 1)
    const from = z - h
    if (side === 'back') return onPlane(at(0, 0), inSpace(w, d, from), inSpace(-1, 0, 0), up)
    if (side === 'left') return onPlane(at(0, 0), inSpace(0, d, from), inSpace(0, -1, 0), up)
    return side === 'front'
      ? onPlane(at(0, 0), inSpace(0, 0, from), inSpace(1, 0, 0), up)
      : onPlane(at(0, 0), inSpace(w, 0, from), inSpace(0, 1, 0), up)
  }
  const flat = (panel: string, outline: Outline, where: Patch['place']): Patch => ({
    panel,
    bend: 'flat',
    outline,
    place: where,
  })
  const bottom =
    base &&
    rectanglePanel(
      {
        id: `${id}base`,
        name: phrase`${name}non-slip base`,
        role: 'base',
        face: 'inside',
        cloth: base,
        isSeen: false,
        rule: 'as the top',
      },
      solid.width,
      solid.depth,
      (['front', 'left', 'back', 'right'] as const).map((side) => seamEdge(side, s, side)),
    )
  const shut: SeamDraft = {
    name: phrase`${name}base to the sides, when the block is in`,
    kind: 'final',
    pairs: sides.map(({ side, length }): SeamPair => ({
      a: { panel: `${id}base`, edge: side, from: 0, to: length.value },
      b: { panel: panelId(side), edge: foot.name, from: length.value, to: 0 },
    })),
  }
  return {
    panels: [top, ...panels, ...(bottom ? [bottom] : [])],
    patches: [
      ...(bottom ? [flat(bottom.id, rectangle(w, d), (p) => inSpace(w - p.x, p.y, 0))] : []),
      flat(top.id, rectangle(w, d), (p) => inSpace(p.x, p.y, z)),
      ...sides.map(({ side, length }) => flat(panelId(side), rectangle(length.value, h), place(side))),
    ],
    closing: opens ? { ...closing, name: 'the vertical closure at the back right corner', kind: 'closure' } : closing,
    seams: [
      join('back', 'left'),
      join('left', 'front'),
      join('front', 'right'),
      ...(opens ? [] : [closing]),
      { name: phrase`${name}sides to the top`, kind: 'plate', pairs: ring },
      ...(base ? [shut] : []),
    ],
    ring,
  }
}

function openingEdge(
  name: 'start' | 'end',
  closure: RecipeInput['closure'],
  allowances: RecipeInput['allowances'],
  s: Figure,
): EdgeDraft {
  if (closure.kind === 'zip-seam') return { name, treatment: 'zip', allowances: [tapeFigure(closure.tapeMm)] }
  const lap = lapOf(closure, allowances)
  return lap ? { name, treatment: 'lap', allowances: lapEdge(lap, allowances, closure) } : seamEdge(name, s)
}
