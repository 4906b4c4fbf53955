import { ref, type Ref } from 'vue'
import { phrase } from '../../../core/language/index.ts'
import { setSeat } from '../../../core/job/index.ts'
import { at, distance, type Point } from '../../../core/outline/index.ts'
import type { Handle } from '../../../core/seat/index.ts'
import { isInch } from '../../../core/units/index.ts'
import type { Scale } from '../../drawing/use-scale.ts'
import { useJob } from '../../stores/job.ts'
import { followPointer } from '../../ui/pointer-drag.ts'

/** Nearer than this in pixels a corner snaps to the level of another. */
const SNAP_PX = 7

export interface Guide {
  readonly x?: number
  readonly y?: number
}

/**
 * Dragging a handle of the seat: the drawing's scale holds still, the place snaps to whole steps and to
 * other corners (not with Shift held), and the job follows frame by frame as one undoable edit.
 * `origin` is how far the drawing's own zero lies from the seat's.
 */
export function useDrag(
  svg: Ref<SVGSVGElement | null>,
  scale: Ref<Scale>,
  origin: Ref<Point>,
  corners: Ref<readonly Point[]>,
) {
  const jobs = useJob()
  const dragged = ref<string | null>(null)
  const guides = ref<readonly Guide[]>([])

  /** Starts to drag; calls `onClick` instead when the pointer is let go where it was. */
  function start(event: PointerEvent, handle: Handle, onClick: () => void): void {
    const others = corners.value.filter((c) => distance(c, handle.at) > 1)
    const [shift, before] = [origin.value, jobs.past.length]
    followPointer(event, {
      onMove: (e) => {
        dragged.value = handle.id
        const snap = snapped(toSeat(e, shift), others, e.shiftKey)
        guides.value = snap.guides
        jobs.edit(
          setSeat(phrase`${handle.label} dragged`, () => handle.drag(snap.place)),
          `drag-${handle.id}`,
        )
      },
      onEnd: (how) => {
        if (how === 'clicked') onClick()
        if (how === 'taken back' && jobs.past.length > before) jobs.undo()
        dragged.value = null
        guides.value = []
      },
    })
  }

  function toSeat(e: PointerEvent, shift: Point): Point {
    const box = svg.value!.getBoundingClientRect()
    const { x, y, k } = scale.value
    return at((e.clientX - box.left - x(0)) / k + shift.x, (y(0) - (e.clientY - box.top)) / k + shift.y)
  }

  function snapped(p: Point, others: readonly Point[], isFree: boolean): { place: Point; guides: readonly Guide[] } {
    if (isFree) return { place: p, guides: [] }
    const reach = SNAP_PX / scale.value.k
    const step = isInch(jobs.job!.units) ? 25.4 / 4 : 5
    const shift = origin.value
    const level = (value: number, key: 'x' | 'y') => others.map((o) => o[key]).find((v) => Math.abs(v - value) < reach)
    const [x, y] = [level(p.x, 'x'), level(p.y, 'y')]
    const whole = (value: number, zero: number) => Math.round((value - zero) / step) * step + zero
    return {
      place: at(x ?? whole(p.x, shift.x), y ?? whole(p.y, shift.y)),
      guides: [...(x === undefined ? [] : [{ x }]), ...(y === undefined ? [] : [{ y }])],
    }
  }

  return { dragged, guides, start }
}
