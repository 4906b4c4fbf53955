// @vitest-environment happy-dom
import { mount } from '@vue/test-utils'
import { createPinia, setActivePinia } from 'pinia'
import { describe, expect, it } from 'vitest'
import type { Cover } from '../../../core/cover/index.ts'
import { demoJobs } from '../../../core/demo/index.ts'
import { planJob } from '../../../core/plan/index.ts'
import { coverOf, roundSolid } from '../../../core/testing/jobs.ts'
import FlatPanels from './FlatPanels.vue'

/* The panels as they are drawn, measured back from the drawing: what is sewn together is drawn equally long. */

type Dot = readonly [x: number, y: number]
const dotsOf = (points: string): readonly Dot[] =>
  points.split(' ').map((p) => p.split(',').map(Number) as unknown as Dot)
const lengthOf = (dots: readonly Dot[]): number =>
  dots.slice(1).reduce((sum, [x, y], i) => sum + Math.hypot(x - dots[i]![0], y - dots[i]![1]), 0)

const COVERS = demoJobs().flatMap((job) => {
  const plan = planJob(job)
  return plan.kind === 'worked' ? plan.designs.map((d, i): [string, Cover] => [`${job.ticket}, ${i + 1}`, d.cover]) : []
})
COVERS.push(
  ['a boxed round', coverOf(roundSolid(400, 60))],
  ['a knife-edge round', coverOf(roundSolid(400, 50), { kind: 'knife-edge' })],
)

function drawn(cover: Cover) {
  setActivePinia(createPinia())
  const wrapper = mount(FlatPanels, { props: { cover } })
  return { wrapper, lines: wrapper.findAll('.seam .line').map((l) => dotsOf(l.attributes('points')!)) }
}

describe.each(COVERS)('the panels of %s', (_, cover) => {
  it('both sides of every seam are equally long on paper, and none is without length', () => {
    const { lines } = drawn(cover)
    const pairs = cover.seams.flatMap((seam) => seam.pairs.map(() => seam.letter))
    expect(lines).toHaveLength(2 * pairs.length)
    for (const [i, letter] of pairs.entries()) {
      const [one, other] = [lengthOf(lines[2 * i]!), lengthOf(lines[2 * i + 1]!)]
      // Sixteen chords stand for an arc, and corners are rounded to a tenth of a pixel.
      expect(Math.abs(one - other), `seam ${letter}`).toBeLessThan(1.5 + 0.01 * one)
    }
  })

  it('every panel is drawn once, within the picture; every letter stands beside a seam of its own', () => {
    const { wrapper, lines } = drawn(cover)
    expect(wrapper.findAll('path.cut')).toHaveLength(cover.panels.length)
    const svg = wrapper.get('svg')
    const [wide, high] = [Number(svg.attributes('width')), Number(svg.attributes('height'))]
    for (const [x, y] of lines.flat()) {
      expect(x).toBeGreaterThanOrEqual(-0.5)
      expect(x).toBeLessThanOrEqual(wide + 0.5)
      expect(y).toBeGreaterThanOrEqual(-0.5)
      expect(y).toBeLessThanOrEqual(high + 0.5)
    }
    for (const seam of wrapper.findAll('.seam').filter((s) => s.find('.letter').exists())) {
      const [cx, cy] = ['cx', 'cy'].map((name) => Number(seam.get('.disc').attributes(name))) as [number, number]
      const line = dotsOf(seam.get('.line').attributes('points')!)
      expect(Math.min(...line.map(([x, y]) => Math.hypot(x - cx, y - cy)))).toBeLessThan(1)
    }
  })
})
