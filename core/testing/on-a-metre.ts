import type { Cloth, MakeUp, PartJob } from '../../contract/index.ts'
import { DEMO_CLOTHS, keepersBenchPart } from '../demo/index.ts'
import { newSeat } from '../job/index.ts'

/** Plain cloth 1000 wide between its selvedges at 20 a metre, with a pile that allows no turn. */
export const METRE_WIDE: Cloth = {
  ...DEMO_CLOTHS.find((c) => c.id === 'house-calico')!,
  id: 'plain',
  widthMm: 1020,
  selvedgeMm: [10, 10],
  pricePerMetre: 20,
  nap: 'one-way',
}

/** Cushions of 600 by 500 by 80 from such cloth, whose sums are easily done by hand. */
export function onAMetre(count: number, makeUp: Partial<MakeUp>, cloth: Partial<Cloth> = {}): PartJob {
  const bench = keepersBenchPart()
  return {
    ...bench,
    seat: { ...newSeat('singles', 600, 500, 80, count), clearanceMm: 0 },
    makeUp: { ...bench.makeUp, ...makeUp },
    cloth: {
      ...bench.cloth,
      cloth: { ...METRE_WIDE, ...cloth },
      direction: 'up-the-roll',
      match: { kind: 'none' },
      others: {},
    },
  }
}
