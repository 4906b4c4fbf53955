// @vitest-environment happy-dom
import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { ref } from 'vue'
import type { Job, Lay, Placement } from '../../../contract/index.ts'
import { placementKey, solveLay } from '../../../core/lay/index.ts'
import { keepersBench } from '../../../core/demo/index.ts'
import { useJob } from '../../stores/job.ts'
import { useLay } from '../../stores/lay/index.ts'
import { useHand } from './use-hand.ts'
import { showJob } from '../../testing/show-job.ts'

vi.mock('../../workers/lay.worker.ts?worker', () => ({
  default: class {
    postMessage() {}
    terminate() {}
  },
}))
vi.mock('../../api/jobs.ts', () => ({ openJob: () => new Promise(() => {}), saveJob: () => new Promise(() => {}) }))

const PIXELS_PER_MM = 0.5
/** Where `pointer` and `key` put a piece: how far it went across and along the roll. */
let place: Placement
let hand: ReturnType<typeof useHand>
const lays = () => useLay()
const now = () => lays().current!.placements.find((p) => placementKey(p) === placementKey(place))!
const went = () => ({ x: Number((now().x - place.x).toFixed(2)), y: Number((now().y - place.y).toFixed(2)) })
const key = (name: string, more: KeyboardEventInit = {}) => {
  const event = new KeyboardEvent('keydown', { key: name, cancelable: true, ...more })
  hand.press(event, now())
  return event
}
/** The drawing has the roll lying: its length to the right, its width down. */
function drag(rightPx: number, downPx: number, more: PointerEventInit = {}): void {
  hand.drag(new PointerEvent('pointerdown', { button: 0, clientX: 100, clientY: 100 }), now())
  window.dispatchEvent(new PointerEvent('pointermove', { clientX: 100 + rightPx, clientY: 100 + downPx, ...more }))
  window.dispatchEvent(new PointerEvent('pointerup'))
}
/** The side boxing of the bench, which no pattern binds; or a plate, which its stripe binds across. */
function take(id: string): void {
  place = lays().current!.placements.find((p) => p.id === id)!
}

beforeEach(() => {
  vi.stubGlobal('requestAnimationFrame', (run: () => void) => (run(), 1))
  vi.stubGlobal('cancelAnimationFrame', () => {})
  layOut(keepersBench())
})

function layOut(job: Job): void {
  setActivePinia(createPinia())
  showJob(job)
  const { problem, key: problemKey, cloth } = useLay().chosen!
  const solved = solveLay(problem, { seed: 1, budget: { steps: 2, isStopped: () => false } })
  if (!solved.ok) throw new Error(solved.error.code)
  const lay: Lay = { ...solved.value.lay, seconds: 0 }
  useJob().edit({
    says: 'Keep the lay',
    apply: (job) => ({ ...job, lays: { [cloth.id]: { problemKey, lay, byHand: false, locked: [], joint: null } } }),
  })
  hand = useHand(ref({ width: 900, height: 400, k: PIXELS_PER_MM, x: (mm: number) => mm, y: (mm: number) => mm }))
  take('1/boxing-left')
}

describe('a piece of the lay under the pointer', () => {
  it('goes with it, true to scale, when nothing draws it', () => {
    drag(40, 15, { shiftKey: true })
    expect(went()).toEqual({ x: 30, y: 80 })
    expect(lays().byHand).toBe(true)
  })

  it('stays where it is for a click, another button, or when it is locked', () => {
    drag(2, 2)
    hand.drag(new PointerEvent('pointerdown', { button: 2 }), now())
    window.dispatchEvent(new PointerEvent('pointermove', { clientX: 900 }))
    expect(went()).toEqual({ x: 0, y: 0 })
    lays().toggleLock(now())
    drag(100, 0)
    expect(went()).toEqual({ x: 0, y: 0 })
  })

  it('one drag of many moves is undone at once', () => {
    const before = useJob().past.length
    hand.drag(new PointerEvent('pointerdown', { button: 0, clientX: 0, clientY: 0 }), now())
    for (const clientX of [20, 60, 200])
      window.dispatchEvent(new PointerEvent('pointermove', { clientX, clientY: 0, shiftKey: true }))
    expect(hand.held.value).toBe(placementKey(place))
    window.dispatchEvent(new PointerEvent('pointerup'))
    expect([hand.held.value, useJob().past.length]).toEqual([null, before + 1])
    useJob().undo()
    expect(went()).toEqual({ x: 0, y: 0 })
  })
})

describe('a piece of the lay by keys', () => {
  it('moves a millimetre, ten with Shift, in a shop of inches a sixteenth', () => {
    key('ArrowRight')
    key('ArrowDown', { shiftKey: true })
    expect(went()).toEqual({ x: 10, y: 1 })
    layOut({ ...keepersBench(), units: 'inch-8' })
    key('ArrowRight')
    expect(went().y).toBeCloseTo(25.4 / 16, 2)
  })

  it('a bound plate goes a whole repeat across, and stays in its phase', () => {
    take('2/top-plate')
    const { repeat } = lays().chosen!.problem.cloth
    key('ArrowDown')
    expect(went()).toEqual({ x: repeat.across, y: 0 })
    expect(lays().faults.filter((f) => f.code === 'out-of-phase')).toEqual([])
  })

  it('turns with R as the cloth allows, locks with L, and leaves other keys alone', () => {
    const { turns } = lays().chosen!.problem.pieces.find((p) => p.id === place.id)!
    key('r')
    expect(now().turn).toBe(turns[(turns.indexOf(place.turn) + 1) % turns.length])
    expect(key('L').defaultPrevented).toBe(true)
    expect([...lays().locked]).toEqual([placementKey(place)])
    const before = now()
    key('ArrowLeft')
    expect(now()).toEqual(before)
    expect(key('x').defaultPrevented).toBe(false)
  })
})
