import { ref, type Ref } from 'vue'
import type { Placement } from '../../../contract/index.ts'
import { nextTurn, placementKey, snapped } from '../../../core/lay/index.ts'
import { isInch } from '../../../core/units/index.ts'
import type { Scale } from '../../drawing/use-scale.ts'
import { useJob } from '../../stores/job.ts'
import { useLay } from '../../stores/lay/index.ts'
import { followPointer } from '../../ui/pointer-drag.ts'

/** Nearer than this in pixels an edge snaps to its neighbour. */
const SNAP_PX = 12

/** Moving pieces of the lay by pointer and keys. While one is dragged its drawing must hold still: `held` is true. */
export function useHand(scale: Ref<Scale>) {
  const jobs = useJob()
  const lays = useLay()
  const held = ref<string | null>(null)
  let drags = 0

  function drag(event: PointerEvent, place: Placement): void {
    if (event.button !== 0 || lays.locked.has(placementKey(place))) return
    const key = `hand-${++drags}`
    const { k } = scale.value
    followPointer(event, {
      onMove: (e, byPx) => {
        held.value = placementKey(place)
        // Across the roll is down in the drawing, along it is to the right.
        put({ ...place, x: place.x + byPx.y / k, y: place.y + byPx.x / k }, e.shiftKey ? 0 : SNAP_PX / k, key)
      },
      onEnd: (how) => {
        if (how === 'taken back' && jobs.past.at(-1)?.key === key) jobs.undo()
        held.value = null
      },
    })
  }

  const put = (place: Placement, reach: number, key: string | null) =>
    lays.move(snapped(lays.chosen!.problem, lays.current!, place, reach), 'Move a piece of the lay', key)

  /** Arrows move by a step (ten with Shift) or to the next place of the pattern, R turns, L locks. */
  function press(event: KeyboardEvent, place: Placement): void {
    const way = ARROWS[event.key]
    const isLocked = lays.locked.has(placementKey(place))
    if (event.key === 'l' || event.key === 'L') lays.toggleLock(place)
    else if (isLocked) return
    else if (event.key === 'r' || event.key === 'R') put(nextTurn(lays.chosen!.problem, place), 0, null)
    else if (way) {
      const step = (isInch(jobs.job!.units) ? 25.4 / 16 : 1) * (event.shiftKey ? 10 : 1)
      const { match } = lays.chosen!.problem.pieces.find((p) => p.id === place.id)!
      const { repeat } = lays.chosen!.problem.cloth
      const by = {
        x: (match?.across ?? null) !== null && repeat.across !== null ? repeat.across : step,
        y: (match?.along ?? null) !== null && repeat.along !== null ? repeat.along : step,
      }
      put({ ...place, x: place.x + way.x * by.x, y: place.y + way.y * by.y }, 0, `hand-${placementKey(place)}`)
    } else return
    event.preventDefault()
    event.stopPropagation()
  }

  return { held, drag, press }
}

const ARROWS: Readonly<Record<string, { readonly x: number; readonly y: number }>> = {
  ArrowLeft: { x: 0, y: -1 },
  ArrowRight: { x: 0, y: 1 },
  ArrowUp: { x: -1, y: 0 },
  ArrowDown: { x: 1, y: 0 },
}
