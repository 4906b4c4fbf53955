import { phrase } from '../language/index.ts'
import type { Cloth, Job, Trim, TrimUse } from '../../contract/index.ts'
import { pipedPairs, seamLength, stretchLength, type Cover, type Fitting } from '../cover/index.ts'
import type { CuttingPlan, GroupBuy } from '../filling/index.ts'
import { beforeWash, leftByWash } from '../pattern/index.ts'
import { staysThere, type WorkedPlan } from '../planned/index.ts'
import { boardSheets } from './board-sheets.ts'
import { formatLength, formatLengthWithUnit, unitName, type LengthUnit } from '../units/index.ts'
import {
  entered,
  figure,
  given,
  over,
  plus,
  roundUp,
  times,
  unitsIn,
  type Figure,
  type Quantity,
} from '../working/index.ts'

export interface BuyLine {
  readonly what: string
  readonly amount: Figure
  readonly cost: Figure | null
  readonly from: 'foam' | 'cloth' | 'trims'
  /**
   * What it is on the shelf of trims, and how much of it all cushions take: metres, pieces, kilograms, square metres.
   */
  readonly trim: { readonly use: TrimUse; readonly needs: number } | null
}

/** A line of trims before it has a price; `count` times the amount is needed. */
interface TrimLine {
  readonly what: string
  readonly amount: Figure
  readonly use: TrimUse | null
  readonly count?: number
}

export interface BuyingList {
  readonly lines: readonly BuyLine[]
  readonly total: Figure
  /** False while the cloth is only known by its lower bound. */
  readonly hasLay: boolean
}

type MaterialLine = Pick<BuyLine, 'what' | 'amount' | 'cost'>

/** How long the lay of a cloth is: as laid, or at least its lower bound. */
export interface ClothLength {
  readonly laidMm: number | null
  readonly boundMm: number
  /** What the ticket pays of it, where others are cut from it too. */
  readonly share?: number
}

/**
 * What to buy. Cloth is bought by the length of a real lay; without one only its lower bound is known. `lengths` go
 * with the lays of the plan; trims have the prices of the shelf.
 */
export function buyingList(
  job: Pick<Job, 'units'>,
  plan: Pick<WorkedPlan, 'designs' | 'sewn' | 'cutting' | 'cloth'>,
  lengths: readonly ClothLength[],
  shelf: readonly Trim[] = [],
): BuyingList {
  const { cutting, designs, sewn } = plan
  const trims: readonly TrimLine[] = [
    ...(cutting ? supplyLines(cutting) : []),
    ...closureLines(sewn),
    ...pipingLines(job, sewn),
    ...fittingLines(sewn),
    ...boardSheets(job, sewn).map(({ what, sheets }) => ({ what, use: null, amount: sheets })),
    ...(sewn.length > 0 ? [{ what: 'Thread', use: 'thread', amount: threadLength(sewn) } as const] : []),
  ]
  const lines: BuyLine[] = [
    ...[...(cutting ? foamLines(cutting, job.units) : []), ...fibreLines(designs), ...insertLines(designs)].map(
      (l) => ({ ...l, from: 'foam' as const, trim: null }),
    ),
    ...plan.cloth.lays.map(({ cloth }, i) => ({
      ...clothLine(cloth, lengths[i] ?? { laidMm: null, boundMm: 0 }, i),
      from: 'cloth' as const,
      trim: null,
    })),
    ...trims.map((line) => trimLine(line, shelf)),
  ]
  const costs = lines.flatMap((l) => (l.cost ? [l.cost] : []))
  return {
    lines,
    total: figure({
      id: 'buy.total',
      label: 'Materials',
      quantity: 'money',
      sum: costs.length > 0 ? plus(...costs) : given(0, 'money', 'nothing to buy'),
      rule: 'what has a price',
    }),
    hasLay: plan.cloth.lays.every((_, i) => typeof lengths[i]?.laidMm === 'number'),
  }
}

/** Amounts of the shelf: metres, square metres; kilograms and pieces as they are. */
const IN_SHELF_UNITS = { length: 1000, run: 1000, area: 1e6 } as const
const UNIT_OF: Readonly<Partial<Record<Quantity, Trim['unit']>>> = {
  length: 'm',
  run: 'm',
  area: 'm2',
  mass: 'kg',
  count: 'piece',
}

/** A price where the shelf has the thing by the same unit. */
function trimLine({ what, amount, use, count = 1 }: TrimLine, shelf: readonly Trim[]): BuyLine {
  const by = amount.quantity in IN_SHELF_UNITS ? IN_SHELF_UNITS[amount.quantity as keyof typeof IN_SHELF_UNITS] : 1
  const item = shelf.find((t) => t.use === use && t.unit === UNIT_OF[amount.quantity])
  const needs = figure({
    id: `${amount.id}.needs`,
    label: phrase`${what}, in all`,
    quantity: 'plain',
    sum:
      count === 1
        ? over(amount, unitsIn(by, 'to the unit of the shelf'))
        : times(given(count, 'count', 'of them'), over(amount, unitsIn(by, 'to the unit of the shelf'))),
    rule: 'what all cushions take',
  })
  const cost = item
    ? figure({
        id: `${amount.id}.cost`,
        label: phrase`${what}, cost`,
        quantity: 'money',
        sum: times(needs, given(item.price, 'money', phrase`price of one ${item.unit}`)),
        rule: phrase`${item.name}, by what is used`,
        setBy: 'catalogue',
      })
    : null
  return { what, amount, cost, from: 'trims', trim: use && { use, needs: needs.value } }
}

/** Cloth that is washed first is bought longer by what washing takes. */
function clothLine(cloth: Cloth, clothLength: ClothLength, i: number): MaterialLine {
  if (cloth.supply.kind !== 'to-buy') return inHandLine(cloth, clothLength, i)
  const { laidMm, boundMm, share = 1 } = clothLength
  const id = i === 0 ? 'buy' : `buy.${cloth.id}`
  const used = entered({
    id: `${id}.used`,
    label: laidMm === null ? 'Cloth, at least (lower bound)' : 'Length of the lay',
    quantity: 'run',
    value: laidMm ?? boundMm,
    rule: laidMm === null ? 'no lay yet: only the lower bound is known' : 'as laid',
    change: 'lay.plan',
  })
  const left = leftByWash(cloth, 'along')
  const unwashed =
    left < 1
      ? figure({
          id: `${id}.unwashed`,
          label: 'Before washing',
          quantity: 'run',
          sum: over(used, given(left, 'share', 'left after washing')),
          rule: 'washed before it is cut',
        })
      : used
  const whole = figure({
    id: share < 1 ? `${id}.joint` : `${id}.cloth`,
    label: phrase`${cloth.name}, to buy${share < 1 ? ' for all tickets cut from it' : ''}`,
    quantity: 'run',
    sum: roundUp(unwashed, cloth.buyingStepMm, 'run'),
    rule: phrase`sold by the ${cloth.buyingStepMm} mm`,
    setBy: 'catalogue',
  })
  const length =
    share < 1
      ? figure({
          id: `${id}.cloth`,
          label: phrase`${cloth.name}, this ticket's share`,
          quantity: 'run',
          sum: times(whole, given(share, 'share', 'share of the joint lay')),
          rule: 'cut with other tickets: shared as each would take by itself',
        })
      : whole
  const cost = figure({
    id: `${id}.clothCost`,
    label: 'Cloth cost',
    quantity: 'money',
    sum: times(over(length, unitsIn(1000, 'mm in a metre')), given(cloth.pricePerMetre, 'money', 'price of a metre')),
    rule: 'length bought, not length used',
    setBy: 'catalogue',
  })
  return { what: cloth.name, amount: length, cost }
}

/** What lies in the shop is used, not bought; without a lay nobody knows whether it is enough. */
function inHandLine(cloth: Cloth, { laidMm, boundMm, share = 1 }: ClothLength, i: number): MaterialLine {
  const usedMm = beforeWash(cloth, laidMm ?? boundMm) * share
  const amount = entered({
    id: i === 0 ? 'buy.cloth' : `buy.${cloth.id}.cloth`,
    label: phrase`${cloth.name}, from the shelf`,
    quantity: 'run',
    value: usedMm,
    rule: laidMm === null ? 'in hand, and no lay on it: at least so much is needed' : 'in hand: nothing to buy',
    change: 'lay.plan',
  })
  return {
    what:
      laidMm === null ? phrase`${cloth.name}, in hand: not enough as far as is known` : phrase`${cloth.name}, in hand`,
    amount,
    cost: null,
  }
}

/** Zips and tapes of one length are one line with their number; snaps and buttons are counted over all cushions. */
function closureLines(designs: WorkedPlan['designs']): readonly TrimLine[] {
  const found = designs.flatMap(({ design, cover, part }) =>
    cover.closures.flatMap((c) =>
      c.fittings
        .filter((fitting) => fitting.use !== 'zip' || !staysThere(part, 'zip'))
        .map((fitting) => ({ fitting, count: design.count })),
    ),
  )
  const lengths = new Map<string, { count: number; fitting: Fitting }>()
  for (const { fitting, count } of found.filter((f) => f.fitting.amount.quantity === 'length')) {
    const key = `${fitting.what} ${fitting.amount.value.toFixed(0)}`
    lengths.set(key, { fitting, count: (lengths.get(key)?.count ?? 0) + count })
  }
  const zips = found.filter((f) => f.fitting.use === 'zip').reduce((sum, f) => sum + f.count, 0)
  return [
    ...[...lengths.values()].map(({ count, fitting }) => ({
      what: phrase`${fitting.what}, ${count} of`,
      use: fitting.use,
      amount: fitting.amount,
      count,
    })),
    ...(zips > 0
      ? [
          {
            what: 'Sliders',
            use: 'slider' as const,
            amount: figure({
              id: 'buy.sliders',
              label: 'Sliders',
              quantity: 'count',
              sum: times(given(zips, 'count', 'zips'), given(1, 'count', 'slider a zip')),
              rule: 'one for each zip',
            }),
          },
        ]
      : []),
    ...counted(found.filter((f) => f.fitting.amount.quantity === 'count')),
  ]
}

function pipingLines({ units }: Pick<Job, 'units'>, designs: WorkedPlan['designs']): readonly TrimLine[] {
  const piped = designs.flatMap(({ design, cover }) => {
    const { choice, cord } = cover.piping ?? {}
    return choice && cord && choice.kind !== 'flat'
      ? [
          {
            what: phrase`${choice.kind === 'corded' ? 'Piping cord' : 'Ready-made piping'} ${formatLengthWithUnit(choice.cordMm, units)}`,
            use: choice.kind === 'corded' ? ('cord' as const) : ('ready-made-piping' as const),
            metres: times(given(design.count, 'count', 'cushions'), cord),
          },
        ]
      : []
  })
  return [...new Set(piped.map((p) => p.what))].map((what, i) => {
    const own = piped.filter((p) => p.what === what)
    const terms = own.map((p) => p.metres)
    return {
      what,
      use: own[0]!.use,
      amount: figure({
        id: i === 0 ? 'buy.cord' : `buy.cord.${i + 1}`,
        label: 'Piping cord',
        quantity: 'run',
        sum: terms.length === 1 ? terms[0]! : plus(...terms),
        rule: 'cord of one cushion for each',
      }),
    }
  })
}

/** Staples, buttons, vents: of one cushion for each. */
const fittingLines = (designs: WorkedPlan['designs']): readonly TrimLine[] =>
  counted(designs.flatMap(({ design, cover }) => cover.fittings.map((fitting) => ({ fitting, count: design.count }))))

function counted(found: readonly { readonly fitting: Fitting; readonly count: number }[]): readonly TrimLine[] {
  const names = [...new Set(found.map((f) => f.fitting.what))]
  return names.map((what) => {
    const own = found.filter((f) => f.fitting.what === what)
    const { amount, use } = own[0]!.fitting
    const quantity = amount.quantity === 'length' ? 'run' : amount.quantity
    const terms = own.map((f) => times(given(f.count, 'count', 'cushions'), f.fitting.amount))
    return {
      what,
      use,
      amount: figure({
        id: `buy.${amount.id}`,
        label: what,
        quantity,
        sum: terms.length === 1 ? terms[0]! : plus(...terms),
        rule: 'of one cushion, for each',
      }),
    }
  })
}

/**
 * Thread is three times the seam length in every row and a tenth more: a zip is sewn in along both its tapes, piping is
 * basted before it is sewn.
 */
function threadLength(designs: WorkedPlan['designs']): Figure {
  const seamOf = (cover: Cover) => {
    const zips = new Set(cover.closures.flatMap((c) => (c.fittings.some((f) => f.use === 'zip') ? [c.seam] : [])))
    const inBase = cover.closures.reduce(
      (sum, c) => sum + (c.seam === null && zips.has(null) ? 2 * c.lengthMm.value : 0),
      0,
    )
    return (
      inBase +
      cover.seams.reduce((sum, s) => sum + seamLength(s) * (zips.has(s.letter) ? 2 : 1), 0) +
      pipedPairs(cover).reduce((sum, { a }) => sum + stretchLength(a), 0)
    )
  }
  const perDesign = designs.map(({ design, cover, liner }) => {
    const label = designs.length === 1 ? 'Seams of one cushion' : phrase`Seams of one cushion ${design.id}`
    const seams = entered({
      id: `buy.seamLength.${design.id}`,
      label,
      quantity: 'run',
      value: seamOf(cover) + (liner ? seamOf(liner) : 0),
      rule: 'every row: zips along both tapes, piping basted and sewn',
    })
    return times(seams, given(design.count, 'count', designs.length === 1 ? 'cushions' : phrase`cushions ${design.id}`))
  })
  const all = perDesign.length === 1 ? perDesign[0]! : plus(...perDesign)
  return figure({
    id: 'buy.thread',
    label: 'Thread',
    quantity: 'run',
    sum: times(given(3, 'plain', 'thread to seam'), all, plus(1, given(0.1, 'share', 'spare'))),
    rule: 'three times the rows, and a tenth',
  })
}

/** Sheets of each grade and thickness, or the parts cut to size. */
function foamLines({ groups, order, cost, cutting }: CuttingPlan, units: LengthUnit): readonly MaterialLine[] {
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

/** Glue, wadding and film for all blocks. */
function supplyLines({ supplies }: CuttingPlan): readonly TrimLine[] {
  const lines = [
    ['Foam glue', 'foam-glue', supplies.glue],
    ['Wadding', 'wadding', supplies.waddingM2],
    ['Film', 'film', supplies.filmM2],
  ] as const
  return lines.flatMap(([what, use, amount]) => (amount ? [{ what, use, amount }] : []))
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

function fibreLines(designs: WorkedPlan['designs']): readonly MaterialLine[] {
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
const insertLines = (designs: WorkedPlan['designs']): readonly MaterialLine[] =>
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
