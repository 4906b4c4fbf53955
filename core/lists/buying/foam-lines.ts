import { phrase } from '../../language/index.ts'
import type { CuttingPlan, GroupBuy } from '../../filling/index.ts'
import type { WorkedPlan } from '../../planned/index.ts'
import { formatLength, unitName, type LengthUnit } from '../../units/index.ts'
import { entered, figure, given, plus, times } from '../../working/index.ts'
import type { MaterialLine } from './buy-line.ts'

/** Sheets of each grade and thickness, or the parts cut to size. */
export function foamLines({ groups, order, cost, cutting }: CuttingPlan, units: LengthUnit): readonly MaterialLine[] {
  const say = (mm: number) => formatLength(mm, units)
  const pieces = figure({
    id: 'buy.cutToSize',
    label: 'Parts cut to size',
    quantity: 'count',
    sum: given(
      order.reduce((sum, l) => sum + l.count, 0),
      'count',
      'parts',
    ),
    rule: 'as on the order list',
  })
  if (groups.length === 0) return []
  return cutting.supply === 'cut-to-size'
    ? [{ what: 'Foam, cut to size', amount: pieces, cost }]
    : groups.flatMap((g) =>
        g.buy
          ? [
              {
                what: phrase`${g.group.grade.name}, sheets ${sheetSize(g.buy.sheet, g.group.thicknessMm, units)}`,
                amount: g.buy.sheets,
                cost: g.buy.cost,
              },
            ]
          : fromStock(g, say),
      )
}

function fromStock({ group, nest }: GroupBuy, say: (mm: number) => string): readonly MaterialLine[] {
  if (nest.length === 0) return []
  return [
    {
      what: phrase`${group.grade.name} ${say(group.thicknessMm)}, from stock`,
      amount: entered({
        id: `buy.stock.${group.id}`,
        label: 'Pieces of stock',
        quantity: 'count',
        value: nest.length,
        rule: 'as nested',
      }),
      cost: null,
    },
  ]
}

/** Loose filling by its kind, weighed over all cushions. */
export function fibreLines(designs: WorkedPlan['designs']): readonly MaterialLine[] {
  const filled = designs.flatMap(({ part: { filling, work }, design, filling: { mass } }) =>
    filling.kind === 'loose-fibre' && work.kind !== 'cover-only' && mass
      ? [
          {
            of: filling.of,
            price: filling.pricePerKg,
            mass: times(given(design.count, 'count', phrase`cushions ${design.id}`), mass),
          },
        ]
      : [],
  )
  if (filled.length === 0) return []
  const masses = filled.map((f) => f.mass)
  const mass = figure({
    id: 'buy.fibre',
    label: 'Loose fibre',
    quantity: 'mass',
    sum: masses.length === 1 ? masses[0]! : plus(...masses),
    rule: 'fill of every cushion',
  })
  const prices = filled.map((f) => f.price)
  const isOnePrice = prices.every((p) => p === prices[0])
  return [
    {
      what: 'Loose fibre',
      amount: mass,
      cost: figure({
        id: 'buy.fibreCost',
        label: 'Fibre cost',
        quantity: 'money',
        sum: isOnePrice
          ? times(mass, given(prices[0]!, 'money', 'price of a kg'))
          : plus(...filled.map((f) => times(f.mass, given(f.price, 'money', 'price of a kg')))),
        rule: 'by mass',
      }),
    },
  ]
}

/** Ready-made inserts, by name. */
export const insertLines = (designs: WorkedPlan['designs']): readonly MaterialLine[] =>
  designs.flatMap(({ part: { filling, work }, design }) => {
    if (filling.kind !== 'insert' || work.kind === 'cover-only') return []
    const amount = entered({
      id: `buy.insert.${design.id}`,
      label: 'Inserts',
      quantity: 'count',
      value: design.count,
      rule: 'one for each cushion',
    })
    return [
      {
        what: filling.name || 'Ready-made insert',
        amount,
        cost: figure({
          id: `buy.insertCost.${design.id}`,
          label: 'Inserts, cost',
          quantity: 'money',
          sum: times(amount, given(filling.price, 'money', 'price of one')),
          rule: 'by the piece',
        }),
      },
    ]
  })

/** Length, width and thickness of a sheet: `2000 x 1200 x 75 mm`. */
export function sheetSize(
  sheet: { readonly lengthMm: number; readonly widthMm: number },
  thicknessMm: number,
  units: LengthUnit,
): string {
  const say = (mm: number) => formatLength(mm, units)
  return phrase`${say(sheet.lengthMm)} x ${say(sheet.widthMm)} x ${say(thicknessMm)} ${unitName(units)}`
}
