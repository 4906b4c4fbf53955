import { useEventListener } from '@vueuse/core'
import { computed, ref, watch, type Ref } from 'vue'
import { followPointer } from '../ui/pointer-drag.ts'
import type { Scale } from './use-scale.ts'

/** As far as a drawing is enlarged. */
const MOST = 12
/** One press of a key or a button. */
export const STEP = 1.5

export interface Zoom {
  /** The scale of the drawing as it is enlarged and moved: what is drawn and dragged by it follows. */
  readonly scale: Ref<Scale>
  readonly factor: Ref<number>
  /** Nearer or farther, about the middle. */
  readonly by: (factor: number) => void
  readonly fit: () => void
  /** Moves the drawing so far that a place of it, in its pixels, is seen. */
  readonly bring: (x: number, y: number) => void
}

/**
 * Lets a drawing be enlarged and moved: wheel (with Control, where the page scrolls by it) and pinch about the pointer,
 * `+`, `-`, `0` and the arrows while it has the focus, and its empty ground dragged. Lines and letters keep their size,
 * so that there is room for more of them.
 */
export function useZoom(
  place: Ref<HTMLElement | null>,
  base: Ref<Scale>,
  { wheel = 'with-control' }: { readonly wheel?: 'plain' | 'with-control' } = {},
): Zoom {
  const factor = ref(1)
  const moved = ref({ x: 0, y: 0 })
  const scale = computed((): Scale => {
    const { k, x, y, width, height } = base.value
    const [z, by] = [factor.value, moved.value]
    return { width, height, k: k * z, x: (mm) => x(mm) * z + by.x, y: (mm) => y(mm) * z + by.y }
  })
  /** No farther than its own edges. */
  const held = (x: number, y: number) => ({
    x: Math.min(0, Math.max(base.value.width * (1 - factor.value), x)),
    y: Math.min(0, Math.max(base.value.height * (1 - factor.value), y)),
  })
  function about(px: number, py: number, by: number): void {
    const next = Math.min(MOST, Math.max(1, factor.value * by))
    const ratio = next / factor.value
    factor.value = next
    moved.value = held(px - (px - moved.value.x) * ratio, py - (py - moved.value.y) * ratio)
  }
  const by = (change: number) => about(base.value.width / 2, base.value.height / 2, change)
  const pan = (dx: number, dy: number) => (moved.value = held(moved.value.x + dx, moved.value.y + dy))
  function bring(x: number, y: number): void {
    const { width, height } = base.value
    const off = (v: number, size: number) => (v < NEAR_EDGE_PX || v > size - NEAR_EDGE_PX ? size / 2 - v : 0)
    pan(off(x, width), off(y, height))
  }
  const fit = () => {
    factor.value = 1
    moved.value = { x: 0, y: 0 }
  }
  watch(
    () => [base.value.width, base.value.height],
    () => (moved.value = held(moved.value.x, moved.value.y)),
  )

  const inPlace = (x: number, y: number) => {
    const { left, top } = place.value!.getBoundingClientRect()
    return [x - left, y - top] as const
  }
  useEventListener(
    place,
    'wheel',
    (event: WheelEvent) => {
      // Within a page that scrolls the wheel does that, and enlarges with Control, as a pinch on a pad comes.
      if (wheel === 'with-control' && !event.ctrlKey) return
      event.preventDefault()
      about(...inPlace(event.clientX, event.clientY), wheelBy(event))
    },
    { passive: false },
  )
  const fingers = new Map<number, PointerEvent>()
  useEventListener(place, 'pointerdown', (event: PointerEvent) => {
    if (event.pointerType === 'touch') fingers.set(event.pointerId, event)
    if (fingers.size > 1 || factor.value === 1 || !isGround(event)) return
    const from = moved.value
    followPointer(event, {
      onMove: (_, d) => fingers.size < 2 && (moved.value = held(from.x + d.x, from.y + d.y)),
      onEnd: (how) => how === 'taken back' && fingers.size < 2 && (moved.value = from),
    })
  })
  useEventListener(window, 'pointermove', (event: PointerEvent) => {
    if (!fingers.has(event.pointerId)) return
    const [a, b] = [...fingers.values()]
    const before = a && b ? apart(a, b) : 0
    fingers.set(event.pointerId, event)
    const [c, d] = [...fingers.values()]
    if (before > 0 && c && d)
      about(...inPlace((c.clientX + d.clientX) / 2, (c.clientY + d.clientY) / 2), apart(c, d) / before)
  })
  useEventListener(window, ['pointerup', 'pointercancel'], (event: PointerEvent) => fingers.delete(event.pointerId))
  useEventListener(place, 'keydown', (event: KeyboardEvent) => {
    // A piece that is held has its own keys.
    if (event.target !== place.value || event.ctrlKey || event.metaKey) return
    const act = KEYS[event.key]
    if (!act) return
    event.preventDefault()
    act({ by, pan, fit })
  })
  return { scale, factor, by, fit, bring }
}

/** How much nearer a turn of the wheel brings, for each of its pixels. */
export const wheelBy = (event: WheelEvent): number => Math.exp(-event.deltaY * 0.0015)
const PAN_PX = 60
const NEAR_EDGE_PX = 40
/** Keys by which any drawing is enlarged. */
export const ZOOM_KEYS: Readonly<Record<string, (on: Pick<Zoom, 'by' | 'fit'>) => void>> = {
  '+': ({ by }) => by(STEP),
  '=': ({ by }) => by(STEP),
  '-': ({ by }) => by(1 / STEP),
  '0': ({ fit }) => fit(),
}
const KEYS: Readonly<Record<string, (on: Pick<Zoom, 'by' | 'fit'> & { pan: (x: number, y: number) => void }) => void>> =
  {
    ...ZOOM_KEYS,
    ArrowLeft: ({ pan }) => pan(PAN_PX, 0),
    ArrowRight: ({ pan }) => pan(-PAN_PX, 0),
    ArrowUp: ({ pan }) => pan(0, PAN_PX),
    ArrowDown: ({ pan }) => pan(0, -PAN_PX),
  }
const apart = (a: PointerEvent, b: PointerEvent): number => Math.hypot(a.clientX - b.clientX, a.clientY - b.clientY)
/** What can be dragged or pressed by itself is no ground. */
const isGround = (event: PointerEvent): boolean => !(event.target as Element).closest('[role=button], button, a, input')
