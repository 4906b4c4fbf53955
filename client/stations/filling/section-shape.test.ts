import { describe, expect, it } from 'vitest'
import { loadCaseOf, supportOf, USUAL_LOAD } from '../../../core/filling/index.ts'
import { DEMO_GRADES } from '../../../core/demo/index.ts'
import { foamColour } from './foam-colour.ts'
import { restOf, sectionWidthMm } from './foam/section-shape.ts'
import { FILLING_PAGES, pageOf } from './pages.ts'

const named = (name: string) => DEMO_GRADES.find((g) => g.name === name)!
const load = loadCaseOf(USUAL_LOAD)
const layers = [
  { grade: named('Gannet 36/180'), thicknessMm: 75 },
  { grade: named('Eider 50/60'), thicknessMm: 25 },
]
const lowest = (line: readonly (readonly [number, number])[]) => Math.min(...line.map(([, y]) => y))

describe('a sitter at rest, cut through', () => {
  it('lies as deep as the model says, new and aged', () => {
    const support = supportOf(layers, load)
    for (const which of [0, 1, 2] as const) {
      const rest = restOf(layers, load, which)
      expect(lowest(rest.boundaries.at(-1)!)).toBeCloseTo(support.fresh.sinks[which].leftMm, 1)
      expect(lowest(rest.aged)).toBeCloseTo(support.aged.sinks[which].leftMm, 1)
      expect(lowest(rest.body)).toBeCloseTo(support.fresh.sinks[which].leftMm, 1)
    }
  })

  it('the body is a piece of a circle, and the foam touches it where it is in touch', () => {
    const { body, boundaries } = restOf(layers, load, 1)
    const foot = lowest(body)
    for (const [x, y] of body) expect(Math.hypot(x, y - foot - 500)).toBeCloseTo(500, 3)
    const surface = new Map(boundaries.at(-1)!.map(([x, y]) => [x, y]))
    for (const [x, y] of body) if (y < 100) expect(surface.get(x)).toBeCloseTo(y, 1)
  })

  it('leaves the foam beside it as thick as it was, and its layers in order everywhere', () => {
    const { boundaries } = restOf(layers, load, 2)
    expect(boundaries.map((line) => line[0]![1])).toEqual([75, 100])
    boundaries[0]!.forEach(([, y], i) => expect(y).toBeLessThan(boundaries[1]![i]![1]))
  })

  it('is as wide as its section to scale, and even on both sides', () => {
    const surface = restOf(layers, load, 1).boundaries.at(-1)!
    expect(surface.at(-1)![0] - surface[0]![0]).toBeCloseTo(sectionWidthMm(load), 6)
    surface.forEach(([x, y], i) => {
      const [other, same] = surface[surface.length - 1 - i]!
      expect(other).toBeCloseTo(-x, 6)
      expect(same).toBeCloseTo(y, 6)
    })
  })
})

describe('foam is drawn as it looks', () => {
  it('firmer is darker, wadding white, closed cells grey', () => {
    const light = (colour: string) => Number(/([\d.]+)%\)$/.exec(colour)![1])
    expect(light(foamColour(named('Eider 50/60')))).toBeGreaterThan(light(foamColour(named('Rook 80/350'))))
    expect(foamColour({ ...named('Eider 50/60'), family: 'wadding' })).toBe('#f7f4ec')
    expect(foamColour(named('Auk 33/400'))).toMatch(/^hsl\(40 8%/)
  })
})

describe('the pages of the filling', () => {
  it('lead a figure to the page that has its field, and each field to one page', () => {
    expect(pageOf('filling.board')).toBe('carries')
    expect(pageOf('filling.measured')).toBe('sizing')
    expect(pageOf('lay.plan')).toBeNull()
    expect(pageOf(null)).toBeNull()
    const all = FILLING_PAGES.flatMap((p) => p.has)
    expect(new Set(all).size).toBe(all.length)
  })
})
