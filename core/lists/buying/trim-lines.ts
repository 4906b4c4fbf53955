import { phrase } from '../../language/index.ts'
import type { Job, Trim } from '../../../contract/index.ts'
import { pipedPairs, seamLength, stretchLength, type Cover, type Fitting } from '../../cover/index.ts'
import type { CuttingPlan } from '../../filling/index.ts'
import { staysThere, type WorkedPlan } from '../../planned/index.ts'
import { formatLengthWithUnit } from '../../units/index.ts'
import { entered, figure, given, over, plus, times, unitsIn, type Figure, type Quantity } from '../../working/index.ts'
import type { BuyLine, TrimLine } from './buy-line.ts'

/** Glue, wadding and film for all blocks. */
export function supplyLines({ supplies }: CuttingPlan): readonly TrimLine[] {
  const lines = [
    ['Foam glue', 'foam-glue', supplies.glue],
    ['Wadding', 'wadding', supplies.waddingM2],
    ['Film', 'film', supplies.filmM2],
  ] as const
  return lines.flatMap(([what, use, amount]) => (amount ? [{ what, use, amount }] : []))
}

/** Zips and tapes of one length are one line with their number; snaps and buttons are counted over all cushions. */
export function closureLines(designs: WorkedPlan['designs']): readonly TrimLine[] {
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

/** Cord and ready-made piping, by size, over all cushions. */
export function pipingLines({ units }: Pick<Job, 'units'>, designs: WorkedPlan['designs']): readonly TrimLine[] {
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
export const fittingLines = (designs: WorkedPlan['designs']): readonly TrimLine[] =>
  counted(designs.flatMap(({ design, cover }) => cover.fittings.map((fitting) => ({ fitting, count: design.count }))))

/** Fittings of the same name as one line, of one cushion for each. */
export function counted(found: readonly { readonly fitting: Fitting; readonly count: number }[]): readonly TrimLine[] {
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
export function threadLength(designs: WorkedPlan['designs']): Figure {
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
export function trimLine({ what, amount, use, count = 1 }: TrimLine, shelf: readonly Trim[]): BuyLine {
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
