import type { Footprint } from '../../contract/index.ts'
import { reading, shapedSeat } from '../job/index.ts'
import { readLength, readPositive } from './amounts.ts'
import { chain, fail, listed, type Answer } from './failure.ts'
import { parted, say, seat, singles, type SeatLine } from './seat-line.ts'

/** Corners from tapes between them. */
export function readTaped({ word, rest, units, context }: SeatLine): Answer {
  const example = 'taped AB 1860, BC 640, CD 1905, DA 215, AC 1990 thick 100'
  const { head, options } = parted(rest, ['thick', 'hollow'])
  if (options['thick'] === undefined) return fail({ code: 'pattern', word, example })
  return chain(readPositive(options['thick'], 'thickness', units, context.limits), (t) => {
    const tapes: Extract<Footprint, { kind: 'taped' }>['tapes'] = []
    for (const part of listed(head)) {
      const [, from, to, length] = /^([A-P])-?([A-P]{1,2})\s+(.+)$/i.exec(part) ?? []
      if (!from || !to || !length) return fail({ code: 'pattern', word, example })
      const mm = readPositive(length, `tape ${from}${to}`.toUpperCase().replace('TAPE', 'tape'), units, context.limits)
      if (!mm.ok) return mm
      tapes.push({ from: from.toUpperCase(), to: to.toUpperCase(), length: reading(mm.value) })
    }
    const last = Math.max(0, ...tapes.flatMap((tape) => [...tape.from, ...tape.to].map((l) => l.charCodeAt(0) - 64)))
    if (last < 3) return fail({ code: 'pattern', word, example })
    const footprint: Footprint = {
      kind: 'taped',
      corners: last,
      tapes,
      hollow: [...(options['hollow'] ?? '').toUpperCase().matchAll(/[A-P]/g)].map((m) => m[0]),
    }
    return seat(
      shapedSeat(footprint, t, singles(1)),
      units,
      `${last} corners by ${tapes.length} tapes, ${say([t], units)} thick`,
    )
  })
}

/** An outline from a table of points. */
export function readPoints({ word, rest, units, context }: SeatLine): Answer {
  const example = 'points 0 0, 600 0, 600 500, 0 500 thick 80'
  const { head, options } = parted(rest, ['thick'])
  if (options['thick'] === undefined) return fail({ code: 'pattern', word, example })
  return chain(readPositive(options['thick'], 'thickness', units, context.limits), (t) => {
    const points: Extract<Footprint, { kind: 'points' }>['points'] = []
    for (const [i, pair] of listed(head).entries()) {
      const [x = '', y = ''] = pair.split(/\s+/)
      const [px, py] = [readLength(x, `point ${i + 1}, across`, units), readLength(y, `point ${i + 1}, up`, units)]
      if (!px.ok) return px
      if (!py.ok) return py
      points.push({ x: px.value, y: py.value, riseMm: 0 })
    }
    if (points.length < 3) return fail({ code: 'pattern', word, example })
    return seat(
      shapedSeat({ kind: 'points', points, source: { kind: 'typed' }, template: null }, t, singles(1)),
      units,
      `Outline of ${points.length} points, ${say([t], units)} thick`,
    )
  })
}
