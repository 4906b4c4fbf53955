import { phrase } from '../language/index.ts'
import type { Footprint } from '../../contract/index.ts'
import { reading, shapedSeat, type discSeat } from '../job/index.ts'
import { ok, type Result } from '../result/index.ts'
import type { LengthUnit } from '../units/index.ts'
import { readAngle, readPositive, readSizes } from './amounts.ts'
import { chain, fail, type Answer, type TypingContext, type TypingFailure } from './failure.ts'
import { countOf, parted, say, seat, type Options, type SeatLine } from './seat-line.ts'

/** A bench along a round wall, by its radius or by a chord and its rise. */
export function readRing({ word, rest, units, context }: SeatLine): Answer {
  const isChord = /\bchord\s/i.test(rest)
  const isOuter = /\bouter\b/i.test(rest)
  const cuts = /\bstraight\b/i.test(rest) ? 'straight' : 'radial'
  const { head, options } = parted(
    rest
      .replace(/\b(outer|straight)\b/gi, '')
      .trim()
      .replace(/^chord\s+/i, ''),
    ['wall', 'angle', 'in'],
  )
  const example = isChord ? 'ring chord 3000 x 620 x 520 x 90 in 5' : 'ring 1870 x 520 x 90 wall 3640 in 5'
  const whats = isChord ? ['chord', 'rise', 'depth', 'thickness'] : ['radius', 'depth', 'thickness']
  if (!isChord && options['wall'] === undefined && options['angle'] === undefined)
    return fail({ code: 'pattern', word, example })
  return chain(readSizes(head, whats, word, example, units, context.limits), (sizes) =>
    chain(ringExtent(options, isChord, units, context), (extent) =>
      chain(countOf(options['in'], context), (count) => {
        const [depth, t] = sizes.slice(-2) as [number, number]
        const footprint: Footprint = {
          kind: 'ring',
          at: isOuter ? 'outer' : 'inner',
          curve: isChord
            ? { by: 'chord', chord: reading(sizes[0]!), rise: reading(sizes[1]!) }
            : { by: 'radius', radius: reading(sizes[0]!) },
          depth: reading(depth),
          extent,
        }
        return seat(
          shapedSeat(footprint, t, { kind: 'run', count, gapMm: 0, cuts }),
          units,
          `Round bench, ${isOuter ? 'outer' : 'inner'} ${isChord ? `chord and rise ${say(sizes.slice(0, 2), units)}` : `radius ${say([sizes[0]!], units)}`}, ${say([depth, t], units)}, in ${count} ${cuts === 'radial' ? 'towards the centre' : 'cut straight'}`,
        )
      }),
    ),
  )
}

function ringExtent(
  options: Options,
  isChord: boolean,
  units: LengthUnit,
  context: TypingContext,
): Result<Extract<Footprint, { kind: 'ring' }>['extent'], TypingFailure> {
  if (options['angle'] !== undefined)
    return chain(readAngle(options['angle'], 1, context.limits.mostSweepDegrees), (degrees) =>
      ok({ by: 'angle', degrees }),
    )
  if (options['wall'] !== undefined)
    return chain(readPositive(options['wall'], 'wall length', units, context.limits), (mm) =>
      ok({ by: 'length', length: reading(mm) }),
    )
  return ok(isChord ? { by: 'chord' } : { by: 'angle', degrees: 90 })
}

/** A round cushion, or half of one. */
export function readRound({ word, rest, units, context }: SeatLine, made: typeof discSeat): Answer {
  const example = 'disc 350 x 70 times 2'
  const { head, options } = parted(rest, ['times'])
  return chain(readSizes(head, ['width across', 'thickness'], word, example, units, context.limits), ([d, t]) =>
    chain(countOf(options['times'], context), (count) =>
      seat(
        made(d!, t!, count),
        units,
        phrase`${count} ${word === 'disc' ? 'round' : 'half round'}, ${say([d!], units)} across, ${say([t!], units)} thick`,
      ),
    ),
  )
}
