import { useEventListener } from '@vueuse/core'
import { ref, type Ref } from 'vue'
import { wheelBy, ZOOM_KEYS, type Zoom } from './use-zoom.ts'

/** As far as a drawing is enlarged that scrolls. */
const MOST = 6

/**
 * Lets a drawing be enlarged that scrolls within its place: buttons, `+`, `-` and `0` while the place has the focus, the
 * wheel with Control and a pinch on a pad. What is drawn multiplies its size by the factor.
 */
export function useEnlarged(place: Ref<HTMLElement | null>): Pick<Zoom, 'factor' | 'by' | 'fit'> {
  const factor = ref(1)
  const by = (change: number): void => void (factor.value = Math.min(MOST, Math.max(1, factor.value * change)))
  const fit = (): void => void (factor.value = 1)
  useEventListener(
    place,
    'wheel',
    (event: WheelEvent) => {
      if (!event.ctrlKey) return
      event.preventDefault()
      by(wheelBy(event))
    },
    { passive: false },
  )
  useEventListener(place, 'keydown', (event: KeyboardEvent) => {
    if (event.ctrlKey || event.metaKey || (event.target as HTMLElement).closest('input, select, textarea')) return
    ZOOM_KEYS[event.key]?.({ by, fit })
  })
  return { factor, by, fit }
}
