import type { Dimension, Footprint } from '../../contract/index.ts'
import { reading, shapedSeat } from '../job/index.ts'
import { ok, type Result } from '../result/index.ts'
import { USUAL_CLEARANCE_MM } from '../seat/index.ts'
import type { LengthUnit } from '../units/index.ts'
import { readAngle, readSizes } from './amounts.ts'
import { chain, listed, type Answer, type TypingContext, type TypingFailure } from './failure.ts'
import { parted, say, seat, type SeatLine } from './seat-line.ts'

/** Half a berth along a hull, and its mirror image where it is a pair. */
export function readBerth({ word, rest, units, context }: SeatLine): Answer {
  const isPair = /\bpair\b/i.test(rest)
  const isSmooth = /\bsmooth\b/i.test(rest)
  const { head, options } = parted(rest.replace(/\b(pair|smooth)\b/gi, ''), ['hull', 'at'])
  return chain(
    readSizes(
      head,
      ['centre line', 'head', 'foot', 'thickness'],
      word,
      'berth 1860 x 640 x 215 x 100 hull 24 pair',
      units,
      context.limits,
    ),
    ([length, atHead, foot, t]) =>
      chain(
        options['hull'] === undefined
          ? ok(null)
          : readAngle(options['hull'], -context.limits.mostLeanDegrees, context.limits.mostLeanDegrees),
        (degrees) =>
          chain(readStations(options['at'], units, context), (stations) => {
            const footprint: Footprint = {
              kind: 'berth',
              length: reading(length!),
              head: reading(atHead!),
              foot: reading(foot!),
              stations,
              hull: isSmooth ? 'smooth' : 'straight',
            }
            const base = shapedSeat(footprint, t!, { kind: 'singles', count: 1, mirrored: isPair ? 1 : 0 })
            const hull = { meets: 'hull' as const, lean: degrees ? { by: 'angle' as const, degrees } : null, riseMm: 0 }
            return seat(
              { ...base, clearanceMm: USUAL_CLEARANCE_MM.aboard, edges: { hull } },
              units,
              `Berth half ${say([length!, atHead!, foot!, t!], units)}${degrees ? `, hull side leaning ${degrees}°` : ''}${isPair ? ', and its mirror image' : ''}`,
            )
          }),
      ),
  )
}

function readStations(
  text: string | undefined,
  units: LengthUnit,
  context: TypingContext,
): Result<Extract<Footprint, { kind: 'berth' }>['stations'], TypingFailure> {
  const stations: { at: Dimension; width: Dimension }[] = []
  for (const station of listed(text ?? '')) {
    const sizes = readSizes(
      station.replace(/\s+/, ' x '),
      ['station', 'width at the station'],
      'at',
      'at 600 610, 1200 450',
      units,
      context.limits,
    )
    if (!sizes.ok) return sizes
    stations.push({ at: reading(sizes.value[0]!), width: reading(sizes.value[1]!) })
  }
  return ok(stations)
}
