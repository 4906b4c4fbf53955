import { expect, it } from 'vitest'
import { CLOSURES } from '../usual.ts'
import { usualMakeUp } from '../index.ts'
import { boxSolid, coverOf } from '../../testing/jobs.ts'

const solid = boxSolid(600, 500, 100)
const vents = (side: 'right' | 'back', count: number, more: object = {}) => ({
  trims: { ...usualMakeUp('boxed').trims, vents: { side, count } },
  ...more,
})
const marked = (cover: ReturnType<typeof coverOf>) =>
  cover.panels.flatMap((p) =>
    p.marks.filter((m) => m.kind === 'vent').map((m) => [p.id, Math.round(m.path[0]!.x), Math.round(m.path[0]!.y)]),
  )

it('one vent stands in the middle of the boxing at its side, half way down', () => {
  const cover = coverOf(
    solid,
    vents('right', 1, {
      construction: { kind: 'boxed', boxing: 'one-per-side' },
      closure: { ...CLOSURES['sewn-shut'].usual, side: 'left' },
    }),
  )
  const strip = cover.panels.find((p) => p.id === 'boxing-right')!
  const [width, height] = [strip.figures.finishedWidth.value, strip.figures.finishedHeight.value]
  expect([height, marked(cover)]).toEqual([100, [['boxing-right', Math.round(width / 2), 50]]])
})

it('three on the back stand on the boxing where there is any, none twice', () => {
  const cover = coverOf(
    solid,
    vents('back', 3, {
      construction: { kind: 'boxed', boxing: 'one-per-side' },
      closure: { ...CLOSURES['sewn-shut'].usual, side: 'left' },
    }),
  )
  expect(marked(cover).map(([panel, , y]) => [panel, y])).toEqual([
    ['boxing-back', 50],
    ['boxing-back', 50],
    ['boxing-back', 50],
  ])
})

it('beside a zip they stay chalked on the top plate, to be set clear of it by hand', () => {
  const cover = coverOf(solid, vents('back', 1))
  expect(marked(cover).map(([panel]) => panel)).toEqual(['top-plate'])
})
