import { phrase } from '../language/index.ts'
import type { BenchHand, Rates, Workshop } from '../../contract/index.ts'
import { entered, figure, given, over, plus, times, type Expression, unitsIn, type Figure } from '../working/index.ts'
import type { Step, Work } from './step.ts'
import { WORK } from './work.ts'

/** The shop's rates with what it has learnt from its own times. */
export function ratesOf({ rates, learned }: Pick<Workshop, 'rates' | 'learned'>): Rates {
  return Object.fromEntries(
    Object.entries(rates).map(([kind, minutes]) => [
      kind,
      learned.reduce((m, l) => (l.kind === 'rate' && l.work === kind ? m * l.factor : m), minutes),
    ]),
  ) as Rates
}

/** How many times as long as the rates say somebody takes; 1 for whoever the shop says nothing of. */
export const paceOf = (people: readonly BenchHand[], name: string): number =>
  people.find((p) => p.name.toLowerCase() === name.trim().toLowerCase())?.factor ?? 1

/** The rates as they are for whoever is at the bench. */
export const ratesAtBench = (workshop: Pick<Workshop, 'rates' | 'learned' | 'people'>, name: string): Rates => {
  const pace = paceOf(workshop.people, name)
  return Object.fromEntries(Object.entries(ratesOf(workshop)).map(([kind, minutes]) => [kind, minutes * pace])) as Rates
}

/** Planned minutes of a step: each amount of work times its rate. */
export function stepMinutes({ id, title, work }: Step, rates: Rates): Figure {
  const terms = work.map((w) => workMinutes(w, rates))
  return figure({
    id: `minutes.${id}`,
    label: title,
    quantity: 'time',
    sum: terms.length === 0 ? given(0, 'time', 'no time of its own') : terms.length === 1 ? terms[0]! : plus(...terms),
    rule: "the shop's rates",
    setBy: 'shop',
  })
}

function workMinutes({ kind, amount }: Work, rates: Rates): Expression {
  const rate = given(rates[kind], 'plain', phrase`minutes for a ${WORK[kind].per}, ${WORK[kind].label.toLowerCase()}`)
  return times(amountIn(amount), rate)
}

/** How much of its kind a work is, as rates count it: metres, square metres, pieces. */
export const unitsOf = ({ amount }: Work): number => amountIn(amount).value

/** Metres of a run and square metres of an area, as plain numbers: rates count those whatever the unit of the job. */
function amountIn(amount: Figure): Figure {
  const plain = { id: `${amount.id}.plain`, quantity: 'plain' as const, rule: amount.rule }
  if (amount.quantity === 'run')
    return figure({
      ...plain,
      label: phrase`${amount.label}, metres`,
      sum: over(amount, unitsIn(1000, 'mm in a metre')),
    })
  if (amount.quantity === 'area')
    return figure({
      ...plain,
      label: phrase`${amount.label}, square metres`,
      sum: over(amount, unitsIn(1e6, 'mm² in a m²')),
    })
  return amount
}

/** Minutes by kind of work, each a sum over the steps; the lines of the bill. */
export function minutesByKind(
  steps: readonly Step[],
  rates: Rates,
): readonly { readonly kind: Work['kind']; readonly minutes: Figure }[] {
  const kinds = [...new Set(steps.flatMap((s) => s.work.map((w) => w.kind)))]
  return kinds.map((kind) => {
    const terms = steps.flatMap((s) =>
      s.work
        .filter((w) => w.kind === kind)
        .map((w) =>
          entered({
            id: `minutes.${s.id}.${kind}`,
            label: s.title,
            quantity: 'time',
            value: evaluateMinutes(w, rates),
            rule: phrase`${WORK[kind].label}: amount times rate`,
            setBy: 'shop',
          }),
        ),
    )
    return {
      kind,
      minutes: figure({
        id: `minutes.kind.${kind}`,
        label: WORK[kind].label,
        quantity: 'time',
        sum: terms.length === 1 ? times(terms[0]!) : plus(...terms),
        rule: phrase`${rates[kind]} min a ${WORK[kind].per}`,
        setBy: 'shop',
      }),
    }
  })
}

const evaluateMinutes = (w: Work, rates: Rates): number =>
  figure({ id: '', label: '', quantity: 'time', sum: workMinutes(w, rates), rule: '' }).value

/** All planned minutes of a work order. */
export function totalMinutes(steps: readonly Step[], rates: Rates): Figure {
  const kinds = minutesByKind(steps, rates)
  return figure({
    id: 'minutes.total',
    label: 'Work on this job',
    quantity: 'time',
    sum: kinds.length === 0 ? given(0, 'time', '') : plus(...kinds.map((k) => k.minutes)),
    rule: 'every kind of work',
    setBy: 'shop',
  })
}
