// @vitest-environment happy-dom
import { mount, type VueWrapper } from '@vue/test-utils'
import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import type { Job, Lay } from '../../../contract/index.ts'
import { solveLay } from '../../../core/lay/index.ts'
import { demoJobs } from '../../../core/demo/index.ts'
import { showJob } from '../../testing/show-job.ts'
import { useLay } from '../../stores/lay/index.ts'
import LayDrawing from './LayDrawing.vue'

/*
 * What is drawn of a lay, measured back from the drawing: by its own outline of the cloth, and by sums of this file.
 */

vi.mock('../../workers/lay.worker.ts?worker', () => ({
  default: class {
    postMessage() {}
    terminate() {}
  },
}))
vi.mock('../../api/jobs.ts', () => ({ openJob: () => new Promise(() => {}), saveJob: () => new Promise(() => {}) }))

type Dot = readonly [x: number, y: number]

/** Twice the signed sum over the corners, halved. */
const areaOf = (shape: readonly Dot[]): number =>
  Math.abs(
    shape.reduce((sum, [x, y], i) => {
      const [nx, ny] = shape[(i + 1) % shape.length]!
      return sum + x * ny - nx * y
    }, 0),
  ) / 2

/** By how often a ray to the right crosses the outline. */
function isWithin(shape: readonly Dot[], [px, py]: Dot): boolean {
  let crossed = 0
  for (const [i, [ax, ay]] of shape.entries()) {
    const [bx, by] = shape[(i + 1) % shape.length]!
    if (ay > py !== by > py && px < ax + ((py - ay) / (by - ay)) * (bx - ax)) crossed++
  }
  return crossed % 2 === 1
}

/** Corners drawn a little towards the middle of the shape, and the middles between them. */
function dotsWithin(shape: readonly Dot[]): readonly Dot[] {
  const middle: Dot = [0, 1].map((k) => shape.reduce((s, p) => s + p[k]!, 0) / shape.length) as unknown as Dot
  const near = ([x, y]: Dot): Dot => [x + (middle[0] - x) * 0.02, y + (middle[1] - y) * 0.02]
  return shape.flatMap((p, i) => {
    const q = shape[(i + 1) % shape.length]!
    return [near(p), near([(p[0] + q[0]) / 2, (p[1] + q[1]) / 2])]
  })
}

function drawn(job: Job): { readonly wrapper: VueWrapper; readonly lay: Lay } {
  setActivePinia(createPinia())
  showJob(job)
  const plan = useLay().chosen!
  const solved = solveLay(plan.problem, { seed: 1, budget: { steps: 2, isStopped: () => false } })
  if (!solved.ok) throw new Error(solved.error.code)
  const lay: Lay = { ...solved.value.lay, seconds: 0 }
  return { lay, wrapper: mount(LayDrawing, { props: { plan, lay, isFixed: false, marked: null } }) }
}

/** Every cut outline in mm along and across the cloth, by the drawn edge of the cloth itself. */
function measured(wrapper: VueWrapper) {
  const edge = wrapper.get('rect.edge')
  const [x, y, high] = ['x', 'y', 'height'].map((name) => Number(edge.attributes(name))) as [number, number, number]
  const widthMm = useLay().chosen!.laidOn.widthMm
  const mm = widthMm / high
  const shapes = wrapper.findAll('.piece').map((piece) => {
    const points = piece.get('polygon.cut').attributes('points')!
    return points.split(' ').map((p): Dot => {
      const [px, py] = p.split(',').map(Number) as [number, number]
      return [(px - x) * mm, (py - y) * mm]
    })
  })
  return { shapes, widthMm, mm }
}

beforeEach(() => {
  vi.stubGlobal('requestAnimationFrame', () => 1)
  vi.stubGlobal('cancelAnimationFrame', () => {})
  vi.stubGlobal('fetch', () => new Promise(() => {}))
})

const TICKETS = ['SL-02', 'SL-03', 'SL-05', 'SL-06']
describe.each(TICKETS)('the lay of %s as it is drawn', (ticket) => {
  const job = demoJobs().find((j) => j.ticket === ticket)!

  it('has every piece once, as large as it is cut', () => {
    const { wrapper, lay } = drawn(job)
    const { shapes, mm } = measured(wrapper)
    expect(shapes).toHaveLength(lay.placements.length)
    const pieces = useLay().chosen!.problem.pieces
    const wanted = pieces.flatMap((p) => Array.from({ length: p.qty }, () => areaOf(p.outline)))
    expect(wanted).toHaveLength(shapes.length)
    const found = shapes.map(areaOf).toSorted((a, b) => a - b)
    for (const [i, area] of wanted.toSorted((a, b) => a - b).entries())
      // A drawn corner is rounded to a tenth of a pixel.
      expect(Math.abs(found[i]! - area)).toBeLessThan(0.01 * area + mm * Math.sqrt(area))
  })

  it('has them on the cloth, none over another, and ends where it says', () => {
    const { wrapper, lay } = drawn(job)
    const { shapes, widthMm, mm } = measured(wrapper)
    const all = shapes.flat()
    expect(Math.min(...all.map(([, y]) => y))).toBeGreaterThan(-mm)
    expect(Math.max(...all.map(([, y]) => y))).toBeLessThan(widthMm + mm)
    expect(Math.min(...all.map(([x]) => x))).toBeGreaterThan(-mm)
    expect(Math.max(...all.map(([x]) => x))).toBeLessThan(lay.length + mm)
    const over = shapes.flatMap((shape, i) =>
      shapes.flatMap((other, k) =>
        k > i && dotsWithin(shape).some((p) => isWithin(other, p)) ? [`${i} on ${k}`] : [],
      ),
    )
    expect(over).toEqual([])
    expect(wrapper.text()).toContain('along the roll')
  })

  it('names every piece to a screen reader, and marks the one that is pointed at', async () => {
    const { wrapper } = drawn(job)
    const names = wrapper.findAll('.piece').map((p) => p.attributes('aria-label')!)
    expect(names.every((name) => name.length > 3)).toBe(true)
    await wrapper.findAll('.piece').at(-1)!.trigger('mouseenter')
    const [[marked]] = wrapper.emitted('mark') as [[string]]
    expect(wrapper.findAll('.piece.marked')).toHaveLength(0)
    await wrapper.setProps({ marked })
    // All copies of one piece are marked with it.
    const { qty } = useLay().chosen!.problem.pieces.find((p) => p.id === marked)!
    expect(wrapper.findAll('.piece.marked')).toHaveLength(qty)
  })
})
