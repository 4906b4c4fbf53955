import { phrase } from '../../language/index.ts'
import { areaOf } from '../../outline/index.ts'
import { firmnessOf, type FillingPlan } from '../../filling/index.ts'
import { figure, given, over, plus, times, type Expression } from '../../working/index.ts'
import type { Work } from '../step.ts'

/** A cushion of so many litres takes twice the minutes of a very small one. */
const FILL_LITRES = 50

interface Filled {
  readonly id: string
  readonly count: number
  readonly plan: FillingPlan
}

/** How many plain fillings these come to. */
export function fillsOf(id: string, filled: readonly Filled[]): Work {
  const terms = filled.map(termOf)
  return {
    kind: 'fill',
    amount: figure({
      id,
      label: 'Fillings, by size and firmness',
      quantity: 'plain',
      sum: terms.length === 1 ? terms[0]! : plus(...terms),
      rule: phrase`a cushion counts one and one more for each ${FILL_LITRES} litres; firm foam a fifth more`,
    }),
  }
}

function termOf({ id, count, plan }: Filled): Expression {
  const { outline, thickness } = plan.sizing.cover
  const litres = given((areaOf(outline) * thickness.value) / 1e6, 'plain', phrase`litres of a cushion ${id}`)
  return times(
    given(count, 'count', 'cushions'),
    plus(1, over(litres, given(FILL_LITRES, 'plain', 'litres'))),
    given(
      plan.kind === 'foam' && plan.hardnessN !== null ? fillFactor(plan.hardnessN) : 1,
      'plain',
      'for its firmness',
    ),
  )
}

/** How the firmness of a block slows its filling. */
const fillFactor = (hardnessN: number): number =>
  ({ soft: 1, medium: 1, firm: 1.2, 'extra firm': 1.4 })[firmnessOf(hardnessN)]
