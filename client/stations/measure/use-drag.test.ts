// @vitest-environment happy-dom
import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { ref } from 'vue'
import { at, type Point } from '../../../core/outline/index.ts'
import { handlesOf, slotOf, valueOf } from '../../../core/seat/index.ts'
import { keepersBench } from '../../../core/demo/index.ts'
import { useJob } from '../../stores/job.ts'
import { useDrag } from './use-drag.ts'
import { showJob } from '../../testing/show-job.ts'

vi.mock('../../api/jobs.ts', () => ({ openJob: () => new Promise(() => {}), saveJob: () => new Promise(() => {}) }))

const K = 0.25
const FOOT_PX = 400
const size = (slot: string) => valueOf(slotOf(useJob().job!.seat, slot)!.dimension)
let dragging: ReturnType<typeof useDrag>

/** Drags the far right corner so far from where it is, in mm; y goes up. */
function drag(byX: number, byY: number, more: PointerEventInit = {}, onClick = () => {}): void {
  const handle = handlesOf(useJob().job!.seat).find((h) => h.id === 'corner far right')!
  const px = (p: Point) => ({ clientX: p.x * K, clientY: FOOT_PX - p.y * K })
  dragging.start(new PointerEvent('pointerdown', px(handle.at)), handle, onClick)
  window.dispatchEvent(new PointerEvent('pointermove', { ...px(at(handle.at.x + byX, handle.at.y + byY)), ...more }))
}
const letGo = () => window.dispatchEvent(new PointerEvent('pointerup'))

beforeEach(() => {
  setActivePinia(createPinia())
  vi.stubGlobal('requestAnimationFrame', (run: () => void) => (run(), 1))
  vi.stubGlobal('cancelAnimationFrame', () => {})
  showJob(keepersBench())
  const svg = document.createElementNS('http://www.w3.org/2000/svg', 'svg')
  dragging = useDrag(
    ref(svg),
    ref({ width: 800, height: FOOT_PX, k: K, x: (mm: number) => mm * K, y: (mm: number) => FOOT_PX - mm * K }),
    ref(at(0, 0)),
    ref([at(0, 0), at(2240, 0), at(0, 470)]),
  )
})

describe('a corner of the seat under the pointer', () => {
  it('changes both sizes, in steps of 5 mm', () => {
    drag(-301, 133)
    expect([size('width'), size('depth')].map((mm) => mm % 5)).toEqual([0, 0])
    expect(
      Math.abs(size('width') - (valueOf(slotOf(keepersBench().parts[0]!.seat, 'width')!.dimension) - 301)),
    ).toBeLessThanOrEqual(2.5)
    letGo()
  })

  it('in steps of a quarter inch in a shop of inches, freely with Shift', () => {
    useJob().edit({ says: 'units', apply: (job) => ({ ...job, units: 'inch-8' }) })
    drag(-301, 133)
    expect((size('width') / 25.4) % 0.25).toBeCloseTo(0, 2)
    letGo()
    const before = size('width')
    drag(-33.3, 0, { shiftKey: true })
    expect(size('width')).toBeCloseTo(before - 33.3, 0)
    letGo()
  })

  it('snaps to the level of another corner, and shows the line it snapped to', () => {
    drag(2240 - size('width') + 9, 300)
    expect(size('width')).toBe(2240)
    expect(dragging.guides.value).toEqual([{ x: 2240 }])
    letGo()
    expect([dragging.guides.value, dragging.dragged.value]).toEqual([[], null])
  })

  it('a drag is one step of undo; a click changes nothing and is told', () => {
    const [was, before] = [size('width'), useJob().past.length]
    drag(-100, 0)
    drag(-200, 0)
    letGo()
    expect(useJob().past.length).toBe(before + 1)
    useJob().undo()
    expect(size('width')).toBe(was)
    const onClick = vi.fn()
    drag(2, 2, {}, onClick)
    letGo()
    expect([onClick.mock.calls.length, size('width')]).toEqual([1, was])
  })
})
