import { phrase } from '../language/index.ts'
import type { Trims } from '../../contract/index.ts'
import { USUAL_HANDLES, USUAL_TIES } from '../cover/index.ts'
import { setMakeUp } from '../job/index.ts'
import { SIDES } from '../seat/index.ts'
import { edit, fail, type Answer, type Reader } from './failure.ts'

/** Words that sew something on, or leave it away. */
export const TRIM_EDITS: Readonly<Record<string, Reader>> = {
  /** `ties`, `ties 3 front`, `ties none`. */
  ties: (rest, c) =>
    sewnOn('ties', rest, c.limits.mostTies, 'No ties', { ties: null }, (side = 'back', count = 2) => ({
      ties: { ...USUAL_TIES, places: [{ at: 'edge', row: 'foot', side, count }] },
    })),
  /** `handles`, `handles 2 left`, `handles none`. */
  handles: (rest, c) =>
    sewnOn('handles', rest, c.limits.mostHandles, 'No handles', { handles: null }, (side = 'right', count = 1) => ({
      handles: { ...USUAL_HANDLES, side, count },
    })),
}

type Side = (typeof SIDES)[number]

function sewnOn(
  word: 'ties' | 'handles',
  rest: string,
  most: number,
  saysNone: string,
  none: Partial<Trims>,
  on: (side: Side | undefined, count: number | undefined) => Partial<Trims>,
): Answer {
  const trim = (says: string, change: Partial<Trims>) =>
    edit(setMakeUp(says, (m) => ({ ...m, trims: { ...m.trims, ...change } })))
  if (rest.trim() === 'none') return trim(saysNone, none)
  const [all, number, name] = /^(\d+)?\s*([a-z]+)?$/.exec(rest.trim().toLowerCase()) ?? []
  const side = SIDES.find((s) => s === name)
  const count = number === undefined ? undefined : Number(number)
  if (all === undefined || (name !== undefined && !side) || (count !== undefined && (count < 1 || count > most)))
    return fail({ code: 'pattern', word, example: phrase`${word} 2 back, or ${word} none (1 to ${most} of them)` })
  return trim(phrase`${count ?? ''} ${word}${side ? ` at the ${side}` : ''}`.trim(), on(side, count))
}
