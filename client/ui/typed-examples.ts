import { unitName, type LengthUnit } from '../../core/units/index.ts'

/** Lines that begin a ticket, as one would say them in the units of the shop; the last is in other ones. */
export const typedExamples = (unit: LengthUnit): readonly [string, ...string[]] => EXAMPLES[unitName(unit)]

/** A change of an open ticket in its units. */
export const typedChange = (unit: LengthUnit): string =>
  ({ mm: 'depth 470 469, sa 12', cm: 'depth 47 46.9, sa 1.2', in: 'depth 18 1/2, sa 1/2' })[unitName(unit)]

const EXAMPLES = {
  mm: [
    'bench 2236 x 468 x 75 in 3',
    '4 chairs 450 x 430 x 60',
    'round stool 350, 70 thick',
    'ring 1870 x 520 x 90 wall 3640 in 5',
    'berth 1860 x 640 x 215 x 100 hull 24 pair',
    'bench 88 x 18 1/2 x 3 in 3',
  ],
  cm: [
    'bench 223.6 x 46.8 x 7.5 in 3',
    '4 chairs 45 x 43 x 6',
    'round stool 35, 7 thick',
    'ring 187 x 52 x 9 wall 364 in 5',
    'berth 186 x 64 x 21.5 x 10 hull 24 pair',
    'bench 2236mm x 468mm x 75mm in 3',
  ],
  in: [
    'bench 88 x 18 1/2 x 3 in 3',
    '4 chairs 17 1/2 x 17 x 2 1/2',
    'round stool 14, 2 3/4 thick',
    'ring 74 x 20 1/2 x 3 1/2 wall 143 in 5',
    'berth 73 x 25 x 8 1/2 x 4 hull 24 pair',
    'bench 2236mm x 468mm x 75mm in 3',
  ],
} as const
