import { err } from '../../../result/index.ts'
import { figure, plus, type Expression } from '../../../working/index.ts'
import { planClosure } from '../../closures/closure-plan.ts'
import { notABox, perimeterFigure } from '../../parts/index.ts'
import { drafted, type Recipe, type RecipeInput } from '../../recipe.ts'
import type { RefusalReason } from '../../refusal.ts'
import type { SeamDraft } from '../../seam.ts'
import { band, bandPatch } from './bands.ts'
import { upThePlate, type Front } from './front.ts'
import { backPatch, gussetEnds, gussetHalf, gussetSeam, zipSeam } from './gusset.ts'
import { bodyPatches, plate, plateLength, sideSeams, tuckSeams } from './plate.ts'

/**
 * One long plate runs top, front and bottom; a band closes each side, its front end rounded, and a
 * gusset in two halves with the zip stands across the back. A rounded front saves (4 − π)·r of the
 * length; on a square front tucks at each corner take twice their depth.
 */
export const waterfall: Recipe<'waterfall'> = (input) => {
  const { solid, closure, allowances } = input
  const reason = notABox(solid)
  if (reason) return err({ construction: 'waterfall', reason, nearest: 'boxed' })
  const front = frontOf(input)
  const tooMuch = frontFault(front)
  if (tooMuch) return err({ construction: 'waterfall', reason: tooMuch, nearest: null })
  const [w, { d, t, r, tuck }] = [solid.width.value, front]
  const up = upThePlate(front)
  const length = plateLength(input, front)
  const zip = zipSeam(w)
  const sides = sideSeams(up)
  return drafted({
    panels: [
      plate(input, front, length),
      band('left', input),
      band('right', input),
      gussetHalf('upper', input),
      gussetHalf('lower', input),
    ],
    seams: [
      zip,
      ...tuckSeams(up, tuck),
      { name: 'gusset to both bands', kind: 'join', pairs: gussetEnds(t) },
      ...sides,
      gussetSeam(w),
    ],
    closures: [planClosure(closure, zip, zipLength(input), allowances)],
    patches: [
      ...bodyPatches(w, front, up.runs),
      bandPatch('left', w, d, t, r),
      bandPatch('right', w, d, t, r),
      backPatch('lower', w, d, t),
      backPatch('upper', w, d, t),
    ],
    surfaceMm2: w * (up.whole + t) + 2 * (d * t - ((4 - Math.PI) / 2) * r * r),
    rows: sides.map((seam, i) => bandRow(seam, i, length)),
    perimeter: perimeterFigure(solid),
  })
}

/** A round front has nothing to tuck. */
const frontOf = ({ solid, construction }: RecipeInput<'waterfall'>): Front => ({
  d: solid.depth.value,
  t: solid.thickness.value,
  r: construction.frontRadiusMm,
  tuck: construction.frontRadiusMm > 0 ? 0 : construction.tuckMm,
  tucks: construction.tucks,
  tuckFromMm: construction.tuckFromMm,
})

function frontFault({ d, t, r, tuck, tucks, tuckFromMm }: Front): RefusalReason | null {
  if (r > t / 2 + 1e-6 || r > d / 2) return { code: 'radius-over-half', radius: r, most: Math.min(t, d) / 2 }
  return tuck > 0 && tucks * tuckFromMm > d / 2
    ? { code: 'tucks-over-half', reach: tucks * tuckFromMm, most: d / 2 }
    : null
}

const zipLength = ({ solid }: RecipeInput<'waterfall'>) =>
  figure({ id: 'closure.length', label: 'Zip', quantity: 'length', sum: plus(solid.width), rule: 'across the back' })

/** Piping runs along the seams of the bands: the left one is the top row, the right one the bottom row. */
const bandRow = ({ pairs }: SeamDraft, i: number, length: Expression) => ({
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
})
