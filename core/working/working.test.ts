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
  unitsIn,
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

  it('a price is of what the shop buys by: a metre or a yard, a cubic metre or a board foot', () => {
    const cloth = figure({
      id: 'f',
      label: 'Cloth cost',
      quantity: 'money',
      // Two yards at 24 a yard: 1828.8 mm at 26.2467 a metre.
      sum: times(
        over(given(1828.8, 'run', 'length'), unitsIn(1000, 'mm in a metre')),
        given(24 / 0.9144, 'metre-price', 'price of the cloth'),
      ),
      rule: '',
    })
    expect(sayWorking(cloth, 'inch-8')).toBe('2 yd × 24.00 = 48.00')
    expect(sayWorking(cloth, 'mm')).toBe('1.8288 m × 26.2467 = 48.00')
    expect(workingLines(cloth, 'inch-8').map((l) => l.amount)).toEqual(['2 yd', '24.00 a yard'])
    // A sheet of 80 x 48 x 4 in is 106 2/3 board feet.
    const foam = figure({
      id: 'f',
      label: 'Foam cost',
      quantity: 'money',
      sum: times(
        over(
          times(given(2032, 'length', 'length'), given(1219.2, 'length', 'width'), given(101.6, 'length', 'thickness')),
          unitsIn(1e9, 'mm³ in a m³'),
        ),
        given(1.1 * (1e9 / (144 * 25.4 ** 3)), 'volume-price', 'price of the foam'),
      ),
      rule: '',
    })
    expect(foam.value).toBeCloseTo((106 + 2 / 3) * 1.1, 9)
    expect(sayWorking(foam, 'inch-8')).toBe('80 × 48 × 4 × 1.10 ÷ 144 = 117.33')
    expect(workingLines(foam, 'inch-8').at(-1)!.amount).toBe('1.10 a board foot')
  })
})
