import { figure, given, minus, over, plus, roundUp, times, type Figure } from '../../working/index.ts'

/** One way of getting bias strips out of a cloth. */
export interface BiasYield {
  readonly method: 'cross-strips' | 'tube'
  readonly strips: Figure
  readonly joins: Figure
  /** Along the roll. */
  readonly roll: Figure
  /** Share of the cloth taken that does not become piping. */
  readonly wasteShare: number
}

export interface BiasWays {
  /** Length of a strip from selvedge to selvedge at 45°. */
  readonly diagonal: Figure
  /** Along the roll from one strip to the next. */
  readonly every: Figure
  readonly ways: readonly BiasYield[]
  readonly best: BiasYield
}

/**
 * Bias strips of width b for so much piping from a cloth of width W. Cross strips: W·√2 long each,
 * taken every b·√2 along the roll, ends cut on the grain, a join loses 2√2·s. Continuous tube: a
 * rectangle W x B gives about W·B/b, less the seam that makes it a tube and the offset at each end.
 */
export function biasWays(lengthMm: number, stripMm: number, clothMm: number, seamMm: number): BiasWays {
  const [b, W, s] = [
    given(stripMm, 'length', 'strip width'),
    given(clothMm, 'length', 'usable width'),
    given(seamMm, 'length', 'seam allowance'),
  ]
  const wanted = given(lengthMm, 'length', 'piping wanted')
  const root = given(Math.SQRT2, 'plain', 'root of 2')
  const diagonal = figure({
    id: 'bias.diagonal',
    label: 'Each strip, selvedge to selvedge',
    quantity: 'length',
    line: 'cut',
    sum: times(W, root),
    rule: 'the width by the root of 2',
  })
  const every = figure({
    id: 'bias.every',
    label: 'A strip takes, along the roll',
    quantity: 'length',
    line: 'cut',
    sum: times(b, root),
    rule: 'its width by the root of 2',
  })
  const loss = times(given(2, 'plain', 'twice'), root, s)
  const count = figure({
    id: 'bias.strips',
    label: 'Strips',
    quantity: 'count',
    sum: roundUp(over(minus(wanted, loss), minus(diagonal, loss)), 1, 'count'),
    rule: 'each join loses 2√2 of the seam allowance',
  })
  const crossRoll = figure({
    id: 'bias.crossRoll',
    label: 'Along the roll',
    quantity: 'length',
    sum: plus(times(count, every), W),
    rule: 'the strips side by side, and the corner that the slant leaves',
  })
  const tubeRoll = figure({
    id: 'bias.tubeRoll',
    label: 'Along the roll',
    quantity: 'length',
    sum: plus(over(times(wanted, b), minus(W, times(2, s))), times(2, s), b),
    rule: 'length by strip width over the usable width, and the seam and the offset of the tube',
  })
  const turns = figure({
    id: 'bias.tubeTurns',
    label: 'Turns of the tube',
    quantity: 'count',
    sum: roundUp(over(tubeRoll, every), 1, 'count'),
    rule: 'one join line, crossed once a turn',
  })
  const waste = (roll: Figure) => 1 - (lengthMm * stripMm) / (roll.value * clothMm)
  const ways: readonly BiasYield[] = [
    {
      method: 'cross-strips',
      strips: count,
      joins: figure({
        id: 'bias.joins',
        label: 'Joins',
        quantity: 'count',
        sum: minus(count, given(1, 'count', 'the first')),
        rule: 'between the strips',
      }),
      roll: crossRoll,
      wasteShare: waste(crossRoll),
    },
    {
      method: 'tube',
      strips: figure({
        id: 'bias.one',
        label: 'Strips',
        quantity: 'count',
        sum: given(1, 'count', 'one'),
        rule: 'one endless strip',
      }),
      joins: turns,
      roll: tubeRoll,
      wasteShare: waste(tubeRoll),
    },
  ]
  return { diagonal, every, ways, best: ways.reduce((a, w) => (w.wasteShare < a.wasteShare ? w : a)) }
}
