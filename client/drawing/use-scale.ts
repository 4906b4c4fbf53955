import { useElementSize } from '@vueuse/core'
import { computed, type Ref } from 'vue'
import type { Box, Point } from '../../core/outline/index.ts'

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

export function useScale(place: Ref<HTMLElement | null>, box: Ref<Box>, margins: Margins): Ref<Scale> {
  const { width, height } = useElementSize(place, { width: 700, height: 460 })
  return computed(() => {
    const { minX, minY, maxX, maxY } = box.value
    const freeW = Math.max(50, width.value - margins.left - margins.right)
    const freeH = Math.max(50, height.value - margins.top - margins.bottom)
    const k = Math.min(freeW / Math.max(1, maxX - minX), freeH / Math.max(1, maxY - minY))
    const left = margins.left + (freeW - k * (maxX - minX)) / 2
    const top = margins.top + (freeH - k * (maxY - minY)) / 2
    return { width: width.value, height: height.value, k, x: (mm) => left + (mm - minX) * k, y: (mm) => top + (maxY - mm) * k }
  })
}

/** An outline as the `points` of an SVG polygon. */
export const svgPoints = (outline: readonly Point[], scale: Pick<Scale, 'x' | 'y'>): string => outline.map((p) => `${scale.x(p.x).toFixed(2)},${scale.y(p.y).toFixed(2)}`).join(' ')
