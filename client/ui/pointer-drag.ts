/** Less than this in pixels is a click. */
const CLICK_PX = 4

export interface DragListener {
  /** Where the pointer is now and how far from where it was pressed, at most once a frame; a click never moves. */
  readonly onMove: (event: PointerEvent, byPx: { readonly x: number; readonly y: number }) => void
  /** Once. Taken back by Escape, or by the browser, which took the pointer for scrolling. */
  readonly onEnd: (how: 'dropped' | 'clicked' | 'taken back') => void
}

/** Follows one pointer from where it was pressed until it is let go. A move that waits for its frame then is dropped. */
export function followPointer(pressed: PointerEvent, { onMove, onEnd }: DragListener): void {
  let hasMoved = false
  let frame = 0
  const listening = new AbortController()
  const isOther = (event: PointerEvent) => event.pointerId !== pressed.pointerId
  const end = (how: 'dropped' | 'clicked' | 'taken back'): void => {
    cancelAnimationFrame(frame)
    listening.abort()
    onEnd(how)
  }
  const on = <K extends 'pointermove' | 'pointerup' | 'pointercancel' | 'keydown'>(
    name: K,
    hear: (event: WindowEventMap[K]) => void,
  ) => window.addEventListener(name, hear, { signal: listening.signal, capture: true })

  on('pointermove', (event) => {
    if (isOther(event)) return
    const byPx = { x: event.clientX - pressed.clientX, y: event.clientY - pressed.clientY }
    if (!hasMoved && Math.hypot(byPx.x, byPx.y) < CLICK_PX) return
    hasMoved = true
    cancelAnimationFrame(frame)
    frame = requestAnimationFrame(() => onMove(event, byPx))
  })
  on('pointerup', (event) => isOther(event) || end(hasMoved ? 'dropped' : 'clicked'))
  on('pointercancel', (event) => isOther(event) || end('taken back'))
  on('keydown', (event) => {
    if (event.key !== 'Escape') return
    event.stopPropagation()
    end('taken back')
  })
}
