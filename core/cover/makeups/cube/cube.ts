import { err } from '../../../result/index.ts'
import { entered, figure, given, minus, over, plus, roundUp, times, type Figure } from '../../../working/index.ts'
import { planClosure } from '../../closures/closure-plan.ts'
import { notABox, perimeterFigure, seamEdge } from '../../parts/index.ts'
import { drafted, type Recipe, type RecipeInput } from '../../recipe.ts'
import { slip } from './slip.ts'

type Input = RecipeInput<'cube'>

/**
 * A hassock: a block of layers in a lined slip cover, open and hemmed at the foot, with one vertical
 * closure at the back. The lining is cut shorter by the hem. Side seams stop s from the top so that
 * the corner can open.
 */
export const cube: Recipe<'cube'> = (input) => {
  const { solid, construction, closure, allowances } = input
  const reason = notABox(solid)
  if (reason) return err({ construction: 'cube', reason, nearest: 'boxed' })
  const height = solid.thickness.value
  if (construction.hemMm > height / 2)
    return err({
      construction: 'cube',
      reason: { code: 'hem-over-height', hem: construction.hemMm, height },
      nearest: null,
    })
  const hem = hemOf(input)
  const { outer, lined, inner } = slipsOf(input, hem)
  const { layers, layersOver } = layersOf(input)
  return drafted({
    panels: [...outer.panels, ...lined.panels, ...inner.panels],
    seams: [
      outer.closing,
      ...outer.seams,
      ...lined.seams.map((s) => ({ ...s, layer: 'lining' as const })),
      ...inner.seams.map((s) => ({ ...s, layer: 'inner' as const })),
    ],
    closures: [planClosure(closure, outer.closing, openingLength(input), allowances, [hem])],
    patches: [...outer.patches, ...lined.patches, ...inner.patches],
    surfaceMm2: null,
    rows: [{ row: 'top', panel: 'top-plate', pairs: outer.ring, perimeter: perimeterFigure(solid) }],
    perimeter: perimeterFigure(solid),
    figures: [layers, layersOver],
    fittings: [
      {
        what: 'Wadding under the slip cover',
        use: 'wadding',
        amount: waddingOf(input, hem),
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

const hemOf = ({ construction }: Input): Figure =>
  entered({
    id: 'cover.hem',
    label: 'Hem at the foot',
    quantity: 'length',
    value: construction.hemMm,
    rule: 'turned up',
    setBy: 'job',
    change: 'make-up.construction',
  })

const liningHeight = ({ solid }: Input, hem: Figure) => minus(solid.thickness, hem)

/** The slip cover, its lining, and the cover of the block inside them. */
function slipsOf(input: Input, hem: Figure) {
  const { seamMm } = input.allowances
  return {
    outer: slip(input, {
      id: '',
      name: '',
      cloth: 'face',
      height: input.solid.thickness,
      foot: { name: 'foot', treatment: 'hem', allowances: [hem] },
      opens: true,
      base: null,
    }),
    lined: slip(input, {
      id: 'lining-',
      name: 'Lining, ',
      cloth: 'lining',
      height: liningHeight(input, hem),
      foot: { name: 'foot', treatment: 'hem', allowances: [seamMm] },
      opens: false,
      base: null,
    }),
    inner: slip(input, {
      id: 'inner-',
      name: 'Inner cover, ',
      cloth: 'liner',
      height: input.solid.thickness,
      foot: seamEdge('foot', seamMm),
      opens: false,
      base: 'base',
    }),
  }
}

/** How many sheets reach the height, and how far they stand over it. */
function layersOf({ solid, construction }: Input): { readonly layers: Figure; readonly layersOver: Figure } {
  const sheet = given(construction.sheetMm, 'length', 'sheet')
  const layers = figure({
    id: 'cover.layers',
    label: 'Layers of the block',
    quantity: 'count',
    sum: roundUp(over(solid.thickness, sheet), 1, 'count'),
    rule: 'as many sheets as reach the height',
    change: 'make-up.construction',
  })
  const layersOver = figure({
    id: 'cover.layersOver',
    label: 'Sheets higher than the cube',
    quantity: 'length',
    sum: minus(times(layers, sheet), solid.thickness),
    rule: 'split the last sheet to what is missing, or let the cube finish that much higher',
  })
  return { layers, layersOver }
}

const waddingOf = (input: Input, hem: Figure): Figure => {
  const { width, depth } = input.solid
  return figure({
    id: 'cover.wadding',
    label: 'Wadding under the slip cover',
    quantity: 'area',
    sum: plus(
      times(width, depth),
      times(given(2, 'count', 'pairs of sides'), plus(width, depth), liningHeight(input, hem)),
    ),
    rule: 'the top, and four sides as high as the lining',
  })
}

const openingLength = ({ solid, allowances }: Input): Figure =>
  figure({
    id: 'closure.length',
    label: 'Vertical closure',
    quantity: 'length',
    sum: minus(solid.thickness, allowances.seamMm),
    rule: 'the height; its seam stops s from the top so that the corner can open',
  })
