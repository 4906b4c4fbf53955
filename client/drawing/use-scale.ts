import { useElementSize } from '@vueuse/core'
import { computed, type Ref } from 'vue'
import { arcBetween, edgeOf, isStraight, type Box, type Outline, type Point } from '../../core/outline/index.ts'

/** From millimetres (y up) to the pixels of a drawing that fills its place, true to scale both ways. */
export interface Scale {
  readonly width: number
  readonly height: number
  /** Pixels for a millimetre. */
  readonly k: number
  readonly x: (mm: number) => number
  readonly y: (mm: number) => number
}

export interface Margins {
  readonly left: number
  readonly right: number
  readonly top: number
  readonly bottom: number
}

/** The scale at which a box of so many millimetres fills a place on the page, margins (px) left free; follows both. */
export function useScale(place: Ref<HTMLElement | null>, box: Ref<Box>, margins: Margins): Ref<Scale> {
  const { width, height } = useElementSize(place, { width: 700, height: 460 })
  return computed(() =>
    scaleWithin(
      {
        width: Math.max(width.value, LEAST_PX + margins.left + margins.right),
        height: Math.max(height.value, LEAST_PX + margins.top + margins.bottom),
      },
      box.value,
      margins,
    ),
  )
}

/** A drawing that has less room than this runs over it rather than vanish. */
const LEAST_PX = 50

/** The scale of a drawing of a given size, as of one on paper. */
export function scaleWithin(
  { width, height }: { readonly width: number; readonly height: number },
  { minX, minY, maxX, maxY }: Box,
  margins: Margins,
): Scale {
  const freeW = Math.max(1, width - margins.left - margins.right)
  const freeH = Math.max(1, height - margins.top - margins.bottom)
  const k = Math.min(freeW / Math.max(1, maxX - minX), freeH / Math.max(1, maxY - minY))
  const left = margins.left + (freeW - k * (maxX - minX)) / 2
  const top = margins.top + (freeH - k * (maxY - minY)) / 2
  return { width, height, k, x: (mm) => left + (mm - minX) * k, y: (mm) => top + (maxY - mm) * k }
}

/** An outline, arcs and all, as the `d` of an SVG path. */
export function svgPath(outline: Outline, scale: Pick<Scale, 'x' | 'y' | 'k'>): string {
  const at = (p: Point) => `${scale.x(p.x).toFixed(2)} ${scale.y(p.y).toFixed(2)}`
  const steps = outline.map((v, i) => {
    const next = edgeOf(outline, i)[1]
    if (isStraight(v.bulge)) return `L ${at(next)}`
    const { radius, sweep } = arcBetween(v, next, v.bulge!)
    const r = (Math.abs(radius) * scale.k).toFixed(2)
    // The drawing's y runs down: what turns left in millimetres turns the other way for SVG.
    return `A ${r} ${r} 0 ${Math.abs(sweep) > Math.PI ? 1 : 0} ${sweep > 0 ? 0 : 1} ${at(next)}`
  })
  return outline.length === 0 ? '' : `M ${at(outline[0]!)} ${steps.join(' ')} Z`
}

/** One edge of an outline as the `d` of an SVG path. */
export const edgePath = (outline: Outline, i: number, scale: Pick<Scale, 'x' | 'y' | 'k'>): string => {
  const [a, b] = edgeOf(outline, i)
  return svgPath([a, { x: b.x, y: b.y }], scale).replace(/ L [^LAZ]* Z$/, '')
}

/** An outline of straight edges as the `points` of an SVG polygon. */
export const svgPoints = (outline: readonly Point[], scale: Pick<Scale, 'x' | 'y'>): string =>
  outline.map((p) => `${scale.x(p.x).toFixed(2)},${scale.y(p.y).toFixed(2)}`).join(' ')
