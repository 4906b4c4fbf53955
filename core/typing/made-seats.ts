import { phrase } from '../language/index.ts'
import { newSeat, setConstruction } from '../job/index.ts'
import { formatLengthWithUnit, type LengthUnit } from '../units/index.ts'
import { ok } from '../result/index.ts'
import { readSizes } from './amounts.ts'
import { chain, type Answer, type TypingContext } from './failure.ts'

/** Cushions whose word says how they are made as well. */
export interface MadeLine {
  readonly sizes: string
  readonly count: number
  readonly units: LengthUnit
  readonly context: TypingContext
}

/** A roll by its length and how thick it is. */
export const readBolster = ({ sizes, count, units, context }: MadeLine): Answer =>
  chain(
    readSizes(sizes, ['length', 'width across'], 'bolster', 'bolster 900 x 180 times 2', units, context.limits),
    (sizes) => {
      const [across, long] = sizes.toSorted((a, b) => a - b)
      return ok({
        kind: 'seat',
        seat: newSeat('singles', long!, across!, across!, count),
        units,
        also: [setConstruction('bolster')],
        more: null,
        says: phrase`${count === 1 ? 'Bolster' : phrase`${count} bolsters`}, ${formatLengthWithUnit(long!, units)} long, ${formatLengthWithUnit(across!, units)} across`,
      })
    },
  )

/** A cube by its side, or by its width, depth and height. */
export const readCube = ({ sizes, count, units, context }: MadeLine): Answer => {
  const one = sizes.trim()
  const three = /[x×*]/i.test(one) ? one : `${one} x ${one} x ${one}`
  return chain(
    readSizes(three, ['width', 'depth', 'height'], 'cube', 'cube 450 times 2', units, context.limits),
    ([w, d, h]) =>
      ok({
        kind: 'seat',
        seat: newSeat('singles', w!, d!, h!, count),
        units,
        also: [setConstruction('cube')],
        more: null,
        says: phrase`${count === 1 ? 'Cube' : phrase`${count} cubes`}, ${[w!, d!, h!].map((mm) => formatLengthWithUnit(mm, units)).join(' x ')}`,
      }),
  )
}
