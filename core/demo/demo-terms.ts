import type { Terms } from '../../contract/index.ts'
import { dayName, dayNumber } from '../calendar/index.ts'
import { USUAL_TERMS } from '../job/index.ts'

/** Where each demo ticket stands, as days from today; what is not named is only asked for. */
const STANDS: Readonly<
  Record<
    string,
    { readonly stage: Terms['stage']; readonly ordered?: number; readonly due?: number; readonly furniture: string }
  >
> = {
  'SL-01': { stage: 'ordered', ordered: -6, due: 12, furniture: 'Watch room bench' },
  'SL-02': { stage: 'making', ordered: -9, due: 4, furniture: "Keepers' bench, ground floor" },
  'SL-03': { stage: 'ordered', due: 15, furniture: 'Reading chairs' },
  'SL-04': { stage: 'ordered', ordered: -2, due: 21, furniture: 'Bunks, first floor' },
  'SL-05': { stage: 'ordered', ordered: -4, due: 8, furniture: 'Kittiwake, cockpit' },
  'SL-06': { stage: 'asked', furniture: 'Kittiwake, forward' },
  'SL-07': { stage: 'ordered', due: 28, furniture: 'Chapel' },
  'SL-08': { stage: 'asked', furniture: 'Lamp room' },
  'SL-09': { stage: 'asked', due: 35, furniture: 'Deck settle' },
  'SL-10': { stage: 'asked', furniture: 'Gallery' },
  'SL-11': { stage: 'ordered', ordered: -1, due: 19, furniture: 'Boathouse day bed' },
  'SL-12': { stage: 'asked', due: 30, furniture: 'Tower stair chairs' },
}

/** What was agreed on a ticket of the demo shop, its days counted from today. */
export function demoTerms(ticket: string, today: string): Terms {
  const stands = STANDS[ticket]
  if (!stands) return USUAL_TERMS
  const day = (off: number | undefined) => (off === undefined ? null : dayName(dayNumber(today) + off))
  return {
    ...USUAL_TERMS,
    stage: stands.stage,
    orderedOn: day(stands.ordered),
    dueOn: day(stands.due),
    furniture: stands.furniture,
  }
}
