import type { Finishing } from '../../contract/index.ts'

/** The least seam allowance a way of finishing the raw edges needs, mm. Rules of the trade. */
export const leastAllowance = (finishing: Finishing): number => LEAST[finishing]

const LEAST: Readonly<Record<Finishing, number>> = {
  none: 0,
  'overlocked-together': 6,
  'overlocked-each': 6,
  zigzag: 8,
  bound: 10,
  'hot-knife': 0,
}

export const finishingWords: Readonly<Record<Finishing, string>> = {
  none: 'left raw',
  'overlocked-together': 'overlocked together',
  'overlocked-each': 'each edge overlocked first',
  zigzag: 'zigzag',
  bound: 'bound',
  'hot-knife': 'sealed with a hot knife',
}
