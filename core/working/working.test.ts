import { describe, expect, it } from 'vitest'
import {
  entered,
  figure,
  given,
  least,
  median,
  minus,
  over,
  plus,
  roundUp,
  sayWorking,
  times,
  workingLines,
} from './index.ts'

const bench = entered({
  id: 'bench',
  label: 'Bench length',
  quantity: 'length',
  value: 2236,
  rule: 'taped',
  setBy: 'measured',
})
const gap = entered({ id: 'gap', label: 'Gap', quantity: 'length', value: -2, rule: 'squeezed', setBy: 'job' })
const width = figure({
  id: 'width',
  label: 'Cushion width',
  quantity: 'length',
  line: 'net',
  sum: over(minus(bench, times(given(2, 'count', 'meetings'), gap)), given(3, 'count', 'cushions')),
  rule: 'the bench less its gaps, shared out',
})

describe('a figure', () => {
  it('works out and shows the same sum', () => {
    expect(width.value).toBeCloseTo(746.6667, 3)
    expect(sayWorking(width, 'mm')).toBe('(2236 − 2 × (−2)) ÷ 3 = 746.7 mm net')
  })

  it('shows lengths in the unit of the job, counts as they are', () => {
    expect(sayWorking(width, 'inch-8')).toBe('(88 − 2 × (-1/8)) ÷ 3 = 29 3/8 in net'.replace('-1/8', '−1/8'))
  })

  it('unfolds into its parts, each with its own working', () => {
    const lines = workingLines(width, 'mm')
    expect(lines.map((l) => `${l.label}: ${l.amount}`)).toEqual([
      'Bench length: 2236 mm',
      'meetings: 2',
      'Gap: -2 mm',
      'cushions: 3',
    ])
    expect(lines[0]!.figure).toBe(bench)
  })

  it.each([
    ['the smaller of two', least(150, 117), 117],
    ['the median of an odd count', median([470, 468, 469]), 469],
    ['the median of an even count', median([470, 468]), 469],
    ['rounded up', roundUp(39.708, 1, 'length'), 40],
    ['rounded up, already whole but for a hair', roundUp(40.0000000001, 1, 'length'), 40],
    ['brackets kept in the value', times(2, plus(1, 2)), 6],
  ])('%s', (_name, sum, expected) =>
    expect(figure({ id: 'f', label: 'f', quantity: 'length', sum, rule: '' }).value).toBeCloseTo(expected, 9),
  )

  it.each([
    [times(2, plus(746, 468)), '2 × (746 + 468)'],
    [minus(10, plus(1, 2)), '10 − (1 + 2)'],
    [over(6, times(2, 3)), '6 ÷ (2 × 3)'],
    [plus(least(150, 117), 1), '(the smaller of 150 and 117) + 1'],
  ])('brackets where the sum needs them', (sum, said) => {
    const f = figure({ id: 'f', label: 'f', quantity: 'plain', sum, rule: '' })
    expect(sayWorking(f, 'mm').split(' = ')[0]).toBe(said)
  })
})
