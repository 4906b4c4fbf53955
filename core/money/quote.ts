import { phrase } from '../language/index.ts'
import type { Charges, Job, Rates } from '../../contract/index.ts'
import type { BuyingList } from '../lists/index.ts'
import { minutesByKind, type Step } from '../making/index.ts'
import {
  entered,
  figure,
  given,
  minus,
  over,
  plus,
  roundUp,
  times,
  type Expression,
  type Figure,
} from '../working/index.ts'

export type QuotePart = 'foam' | 'cloth' | 'trims' | 'work' | 'extra'

export interface QuoteLine {
  readonly part: QuotePart
  readonly what: string
  readonly cost: Figure
}

/** What a quote cannot be trusted in. */
export type QuoteDoubt =
  | { readonly code: 'no-lay' }
  | { readonly code: 'no-hours' }
  | { readonly code: 'no-price'; readonly what: readonly string[] }
  | { readonly code: 'below-cost'; readonly net: number; readonly materials: number }

export interface Quote {
  readonly lines: readonly QuoteLine[]
  readonly materials: Figure
  readonly markUp: Figure
  readonly hours: Figure
  readonly work: Figure
  readonly net: Figure
  readonly tax: Figure
  readonly total: Figure
  readonly deposit: Figure
  /** What an hour of work really earns: what is left of the net after materials. */
  readonly earns: Figure | null
  /** Share of the net that is left after materials. */
  readonly margin: Figure
  readonly doubts: readonly QuoteDoubt[]
}

/**
 * Cloth as bought, foam by the sheet, trims as used, hours at their rate, mark-up on materials,
 * extras, tax; the total up to the next step. Every line is a sum that opens.
 */
export function quoteFor(
  job: Pick<Job, 'terms'>,
  buying: BuyingList,
  steps: readonly Step[],
  rates: Rates,
  charges: Charges,
): Quote {
  const lines = [
    ...materialLines(buying, charges),
    ...workLines(steps, rates, charges),
    ...job.terms.extras.map((e, i): QuoteLine => ({
      part: 'extra',
      what: e.what,
      cost: entered({
        id: `quote.extra.${i}`,
        label: e.what,
        quantity: 'money',
        value: e.amount,
        rule: 'entered on this job',
        setBy: 'job',
        change: 'bill.extras',
      }),
    })),
  ]
  const sums = sumsOf(lines, charges)
  const hours = hoursOf(steps, rates)
  return {
    lines,
    ...sums,
    hours,
    ...earningsOf(sums, hours),
    doubts: doubtsOf(buying, hours, sums.net, sums.materials),
  }
}

const money = (id: string, label: string, sum: Expression, rule: string): Figure =>
  figure({ id: `quote.${id}`, label, quantity: 'money', sum, rule, setBy: 'shop', change: 'bill.charges' })

type Sums = Pick<Quote, 'materials' | 'markUp' | 'work' | 'net' | 'tax' | 'total' | 'deposit'>

/** From the lines to what is to be paid. */
function sumsOf(lines: readonly QuoteLine[], charges: Charges): Sums {
  const sumOf = (...parts: QuotePart[]): Expression => {
    const costs = lines.filter((l) => parts.includes(l.part)).map((l) => l.cost)
    return costs.length === 0 ? given(0, 'money', 'nothing') : plus(...costs)
  }
  const materials = money('materials', 'Materials', sumOf('foam', 'cloth', 'trims'), 'foam, cloth and trims')
  const markUp = money(
    'markUp',
    'Mark-up',
    times(materials, given(charges.markUpShare, 'share', 'mark-up')),
    'on materials',
  )
  const work = money('work', 'Work', sumOf('work'), 'hours at their rate')
  const extras = money('extras', 'Extras', sumOf('extra'), 'entered on this job')
  const net = money('net', 'Without tax', plus(materials, markUp, work, extras), 'materials, mark-up, work and extras')
  const tax = money('tax', 'Tax', times(net, given(charges.taxShare, 'share', 'tax')), 'on everything')
  const total = money('total', 'To pay', roundUp(plus(net, tax), charges.roundTo, 'money'), 'rounded up')
  const deposit = money(
    'deposit',
    'Deposit',
    roundUp(times(total, given(charges.depositShare, 'share', 'of the total')), charges.roundTo, 'money'),
    'before work begins',
  )
  return { materials, markUp, work, net, tax, total, deposit }
}

function hoursOf(steps: readonly Step[], rates: Rates): Figure {
  const minutes = steps.length === 0 ? [] : minutesByKind(steps, rates).map((k) => k.minutes)
  return figure({
    id: 'quote.hours',
    label: 'Hours',
    quantity: 'time',
    sum: minutes.length === 0 ? given(0, 'time', 'no work') : plus(...minutes),
    rule: 'the work order at the shop’s rates',
  })
}

/** What is left to the shop, by the hour and as a share. */
function earningsOf({ net, materials }: Sums, hours: Figure): Pick<Quote, 'earns' | 'margin'> {
  const left = money('left', 'Left after materials', minus(net, materials), 'net less materials')
  const byHour = () => over(left, over(hours, given(60, 'plain', 'minutes in an hour')))
  return {
    earns:
      hours.value > 0 ? money('earns', 'An hour earns', byHour(), 'what is left after materials, by the hour') : null,
    margin: figure({
      id: 'quote.margin',
      label: 'Margin',
      quantity: 'share',
      sum: net.value === 0 ? given(0, 'share', 'nothing is charged') : over(left, net),
      rule: 'of the net, after materials',
    }),
  }
}

/** Trims and thread are bought without a lay: a share is added for ends. */
function materialLines({ lines }: BuyingList, { wasteShare }: Charges): readonly QuoteLine[] {
  return lines.flatMap((l): QuoteLine[] => {
    if (!l.cost) return []
    if (l.from !== 'trims' || wasteShare === 0) return [{ part: l.from, what: l.what, cost: l.cost }]
    return [
      {
        part: 'trims',
        what: l.what,
        cost: figure({
          id: `${l.cost.id}.waste`,
          label: l.what,
          quantity: 'money',
          sum: times(l.cost, plus(1, given(wasteShare, 'share', 'for ends'))),
          rule: 'as used, and a share for ends',
          setBy: 'shop',
          change: 'bill.charges',
        }),
      },
    ]
  })
}

function workLines(steps: readonly Step[], rates: Rates, { hourRate }: Charges): readonly QuoteLine[] {
  return minutesByKind(steps, rates).map(({ kind, minutes }) => ({
    part: 'work',
    what: minutes.label,
    cost: figure({
      id: `quote.work.${kind}`,
      label: minutes.label,
      quantity: 'money',
      sum: times(over(minutes, given(60, 'plain', 'minutes in an hour')), given(hourRate, 'money', 'an hour')),
      rule: 'minutes at the hour rate',
      setBy: 'shop',
      change: 'bill.charges',
    }),
  }))
}

function doubtsOf(buying: BuyingList, hours: Figure, net: Figure, materials: Figure): readonly QuoteDoubt[] {
  // Foam and cloth without a cost lie in the shop already.
  const unpriced = [...new Set(buying.lines.filter((l) => !l.cost && l.from === 'trims').map((l) => l.what))]
  return [
    ...(buying.hasLay ? [] : [{ code: 'no-lay' as const }]),
    ...(hours.value > 0 ? [] : [{ code: 'no-hours' as const }]),
    ...(unpriced.length > 0 ? [{ code: 'no-price' as const, what: unpriced }] : []),
    ...(net.value < materials.value
      ? [{ code: 'below-cost' as const, net: net.value, materials: materials.value }]
      : []),
  ]
}

/** A doubt in words, with its cure. */
export function quoteDoubtWords(d: QuoteDoubt): { readonly says: string; readonly cure: string } {
  switch (d.code) {
    case 'no-lay':
      return {
        says: 'The cloth is not laid yet: its length is the least it can be.',
        cure: 'Wait for the lay, or look at the lay station why there is none.',
      }
    case 'no-hours':
      return {
        says: 'No hours are planned: the work is given away.',
        cure: 'Set the rates of the shop, or add a line for the work.',
      }
    case 'no-price':
      return { says: phrase`Without a price: ${d.what.join(', ')}.`, cure: 'Give them one in the trims store.' }
    case 'below-cost':
      return {
        says: phrase`The net of ${d.net.toFixed(2)} is less than the materials cost, ${d.materials.toFixed(2)}.`,
        cure: 'Take back a discount, or charge for the work.',
      }
    default:
      return d satisfies never
  }
}
