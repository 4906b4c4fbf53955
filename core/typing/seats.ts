import { phrase } from '../language/index.ts'
import type { Footprint } from '../../contract/index.ts'
import { discSeat, halfDiscSeat, newSeat, reading, shapedSeat, usualDivision } from '../job/index.ts'
import { ok } from '../result/index.ts'
import { readCount, readLength, readSizes, saidUnits } from './amounts.ts'
import { readBerth } from './berth-seat.ts'
import { readRing, readRound } from './curved-seats.ts'
import { chain, fail, type Answer, type TypingContext } from './failure.ts'
import { readBolster, readCube, type MadeLine } from './made-seats.ts'
import { readPoints, readTaped } from './outlined-seats.ts'
import { countOf, OPTION, parted, say, seat, singles, type SeatLine, type SeatWord } from './seat-line.ts'

/** Reads a line that begins a new seat. */
export function readSeat(word: SeatWord, rest: string, context: TypingContext): Answer {
  const sizes = rest.split(
    new RegExp(`\\s+(?:${OPTION.in}|times|wall|angle|left|right|ears|hull|at|pair|thick)(?:\\s|$)`, 'i'),
  )[0]!
  const units = saidUnits(sizes, context.job?.units ?? context.units)
  return READERS[word]({ word, rest, units, context })
}

const READERS: Record<SeatWord, (line: SeatLine) => Answer> = {
  bench: (line) => plainSeat(line, 'bench 2236 x 468 x 75 in 3'),
  seat: (line) => plainSeat(line, 'seat 600 x 500 x 80 times 4'),
  taper: readTaper,
  tseat: readEared,
  lseat: readEared,
  corner: readCornerBench,
  ring: readRing,
  berth: readBerth,
  taped: readTaped,
  points: readPoints,
  disc: (line) => readRound(line, discSeat),
  halfdisc: (line) => readRound(line, halfDiscSeat),
  bolster: (line) => readMade(line, readBolster),
  cube: (line) => readMade(line, readCube),
}

function plainSeat({ word, rest, units, context }: SeatLine, example: string): Answer {
  const { head, options } = parted(rest, ['in', 'times'])
  return chain(
    readSizes(
      head,
      [word === 'bench' ? 'length' : 'width', 'depth', 'thickness'],
      word,
      example,
      units,
      context.limits,
    ),
    ([w, d, t]) =>
      chain(countOf(options['in'] ?? options['times'], context), (count) =>
        seat(
          newSeat(word === 'bench' ? 'bench' : 'singles', w!, d!, t!, count),
          units,
          word === 'bench'
            ? `Bench ${say([w!, d!, t!], units)} net, in ${count}`
            : phrase`${count} of ${say([w!, d!, t!], units)} net`,
        ),
      ),
  )
}

function readTaper({ word, rest, units, context }: SeatLine): Answer {
  const { head, options } = parted(rest, ['left', 'times', 'in'])
  return chain(
    readSizes(
      head,
      ['near width', 'far width', 'depth', 'thickness'],
      word,
      'taper 1124 x 860 x 402 x 60 left 0',
      units,
      context.limits,
    ),
    ([near, far, depth, t]) =>
      chain(options['left'] === undefined ? ok(null) : readLength(options['left'], 'left offset', units), (left) =>
        chain(countOf(options['in'] ?? options['times'], context), (count) => {
          const footprint: Footprint = {
            kind: 'taper',
            near: reading(near!),
            far: reading(far!),
            depth: reading(depth!),
            offset: left === null ? { kind: 'centred' } : { kind: 'left', mm: left },
            rising: null,
            falling: null,
          }
          const isDivided = options['in'] !== undefined
          const said = isDivided ? phrase`Tapering bench in ${count},` : phrase`${count} tapering`
          const lies = left === null ? phrase`centred` : phrase`left offset ${say([left], units)}`
          return seat(
            shapedSeat(footprint, t!, usualDivision(isDivided ? 'bench' : 'singles', count)),
            units,
            phrase`${said} from ${say([near!, far!], units)} over ${say([depth!], units)}, ${lies}, ${say([t!], units)} thick`,
          )
        }),
      ),
  )
}

function readEared({ word, rest, units, context }: SeatLine): Answer {
  const { head, options } = parted(rest, ['ears', 'left', 'right', 'times'])
  const example =
    word === 'tseat' ? 'tseat 610 x 545 x 110 ears 62 x 148 times 4' : 'lseat 610 x 545 x 110 left 62 x 148'
  const given = options['ears'] ?? options['left'] ?? options['right']
  if (given === undefined) return fail({ code: 'pattern', word, example })
  return chain(readSizes(head, ['width', 'depth', 'thickness'], word, example, units, context.limits), ([w, d, t]) =>
    chain(
      readSizes(given, ['ear standing out', 'ear front to back'], 'ears', example, units, context.limits),
      ([out, deep]) =>
        chain(countOf(options['times'], context), (count) => {
          const ear = { out: reading(out!), deep: reading(deep!) }
          const footprint: Footprint = {
            kind: 'eared',
            width: reading(w!),
            depth: reading(d!),
            left: options['right'] === undefined ? ear : null,
            right: options['left'] === undefined ? ear : null,
          }
          return seat(
            shapedSeat(footprint, t!, singles(count)),
            units,
            phrase`${count} of ${say([w!, d!, t!], units)}, ${options['ears'] ? 'ears' : options['left'] ? 'left ear' : 'right ear'} ${say([out!, deep!], units)} net`,
          )
        }),
    ),
  )
}

function readCornerBench({ word, rest, units, context }: SeatLine): Answer {
  const example = 'corner 2400 x 1800 x 500 x 90 in 3 and 2 square'
  const kind = (['square', 'mitre'] as const).find((k) => new RegExp(`\\b${k}\\b`, 'i').test(rest)) ?? 'a-through'
  const { head, options } = parted(rest.replace(/\b(square|mitre)\b/gi, ''), ['in'])
  return chain(
    readSizes(head, ['leg A', 'leg B', 'depth', 'thickness'], word, example, units, context.limits),
    ([a, b, d, t]) => {
      const [first = '1', second = first] = (options['in'] ?? '1').trim().split(/\s+and\s+/)
      return chain(readCount(first, context.limits), (countA) =>
        chain(readCount(second, context.limits), (countB) => {
          const footprint: Footprint = {
            kind: 'corner-bench',
            lengthA: reading(a!),
            depthA: reading(d!),
            lengthB: reading(b!),
            depthB: reading(d!),
          }
          return seat(
            shapedSeat(footprint, t!, { kind: 'corner', countA, countB, gapMm: 0, corner: kind }),
            units,
            `Corner bench ${say([a!, b!], units)}, ${say([d!, t!], units)}, in ${countA} and ${countB}${kind === 'a-through' ? '' : `, ${kind} corner`}`,
          )
        }),
      )
    },
  )
}

function readMade({ rest, units, context }: SeatLine, made: (line: MadeLine) => Answer): Answer {
  const { head, options } = parted(rest, ['times'])
  return chain(countOf(options['times'], context), (count) => made({ sizes: head, count, units, context }))
}
