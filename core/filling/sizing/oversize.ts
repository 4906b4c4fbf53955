import { phrase } from '../../language/index.ts'
import { figure, given, least, most, times, type Figure } from '../../working/index.ts'
import { OVERSIZE_SHARE, type Firmness } from '../firmness.ts'

/** How much larger than its cover a full block is; a foam that nobody knows is taken as medium, and it is said. */
export function oversize(of: Figure, known: Firmness | null): Figure {
  const firmness = known ?? 'medium'
  return figure({
    id: `${of.id}.oversize`,
    label: known ? phrase`Oversize, ${firmness} foam` : 'Oversize, as for medium foam: this one is not known',
    quantity: 'length',
    sum: least(
      given(25, 'length', 'at most'),
      most(
        given(6, 'length', 'at least'),
        times(of, given(OVERSIZE_SHARE[firmness], 'share', phrase`for ${firmness} foam`)),
      ),
    ),
    rule: 'soft 3 %, medium 2 %, firm 1 %, at least 6 and at most 25 mm over all',
    change: 'filling.layers',
  })
}
