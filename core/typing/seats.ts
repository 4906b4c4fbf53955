import { phrase } from '../language/index.ts'
import type { Dimension, Footprint, Seat } from '../../contract/index.ts'
import { newSeat, reading, shapedSeat } from '../job/index.ts'
import { ok, type Result } from '../result/index.ts'
import { USUAL_CLEARANCE_MM } from '../seat/index.ts'
import { formatLengthWithUnit, type LengthUnit } from '../units/index.ts'
import { readAngle, readCount, readLength, readPositive, readSizes, saidUnits } from './amounts.ts'
import { readBolster, readCube, type MadeLine } from './made-seats.ts'
import { discSeat, halfDiscSeat } from './round-seats.ts'
import { chain, fail, listed, type Answer, type TypingContext, type TypingFailure } from './failure.ts'

/** Words that begin a seat of a shape of its own. */
export const SEAT_WORDS = [
  'bench',
  'seat',
  'taper',
  'tseat',
  'lseat',
  'corner',
  'ring',
  'berth',
  'taped',
  'points',
  'disc',
  'halfdisc',
  'bolster',
  'cube',
] as const
export type SeatWord = (typeof SEAT_WORDS)[number]

interface Line {
  readonly word: SeatWord
  readonly rest: string
  readonly units: LengthUnit
  readonly context: TypingContext
}

/** Options that end the sizes. `in` is inches too, so as a word it stands before the last number. */
const OPTION = { in: 'in(?=\\s+\\S+(?:\\s+and\\s+\\S+)?\\s*$)' } as const

/** Reads a line that begins a new seat. */
export function readSeat(word: SeatWord, rest: string, context: TypingContext): Answer {
  const sizes = rest.split(
    new RegExp(`\\s+(?:${OPTION.in}|times|wall|angle|left|right|ears|hull|at|pair|thick)(?:\\s|$)`, 'i'),
  )[0]!
  const units = saidUnits(sizes, context.job?.units ?? context.units)
  return READERS[word]({ word, rest, units, context })
}

const READERS: Record<SeatWord, (line: Line) => Answer> = {
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

function plainSeat({ word, rest, units, context }: Line, example: string): Answer {
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

function readTaper({ word, rest, units, context }: Line): Answer {
  const { head, options } = parted(rest, ['left', 'times'])
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
        chain(countOf(options['times'], context), (count) => {
          const footprint: Footprint = {
            kind: 'taper',
            near: reading(near!),
            far: reading(far!),
            depth: reading(depth!),
            offset: left === null ? { kind: 'centred' } : { kind: 'left', mm: left },
            rising: null,
            falling: null,
          }
          return seat(
            shapedSeat(footprint, t!, singles(count)),
            units,
            phrase`${count} tapering from ${say([near!, far!], units)} over ${say([depth!], units)}, ${left === null ? 'centred' : `left offset ${say([left], units)}`}, ${say([t!], units)} thick`,
          )
        }),
      ),
  )
}

function readEared({ word, rest, units, context }: Line): Answer {
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

function readCornerBench({ word, rest, units, context }: Line): Answer {
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

function readRing({ word, rest, units, context }: Line): Answer {
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

function readBerth({ word, rest, units, context }: Line): Answer {
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

function readTaped({ word, rest, units, context }: Line): Answer {
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

function readPoints({ word, rest, units, context }: Line): Answer {
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

function readRound({ word, rest, units, context }: Line, made: typeof discSeat): Answer {
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

function readMade({ rest, units, context }: Line, made: (line: MadeLine) => Answer): Answer {
  const { head, options } = parted(rest, ['times'])
  return chain(countOf(options['times'], context), (count) => made({ sizes: head, count, units, context }))
}

type Options = Readonly<Record<string, string | undefined>>

/** Splits `SIZES word rest word rest` at the known words. */
function parted(rest: string, words: readonly string[]): { readonly head: string; readonly options: Options } {
  const pieces = rest.split(
    new RegExp(`(?:^|\\s+)(${words.map((w) => (w === 'in' ? OPTION.in : w)).join('|')})\\s+`, 'i'),
  )
  const options: Record<string, string> = {}
  for (let i = 1; i + 1 < pieces.length; i += 2) options[pieces[i]!.toLowerCase()] = pieces[i + 1]!.trim()
  return { head: pieces[0]!.trim(), options }
}

const countOf = (text: string | undefined, context: TypingContext): Result<number, TypingFailure> =>
  text === undefined ? ok(1) : readCount(text, context.limits)
const singles = (count: number): Seat['division'] => ({ kind: 'singles', count, mirrored: 0 })
const say = (lengths: readonly number[], units: LengthUnit): string =>
  lengths.map((mm) => formatLengthWithUnit(mm, units)).join(' x ')
const seat = (value: Seat, units: LengthUnit, says: string): Answer =>
  ok({ kind: 'seat', seat: value, units, also: [], says })
