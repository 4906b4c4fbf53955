import type { Seat } from '../../contract/index.ts'
import { usualDivision } from '../job/index.ts'
import { ok, type Result } from '../result/index.ts'
import { formatLengthWithUnit, type LengthUnit } from '../units/index.ts'
import { readCount } from './amounts.ts'
import type { Answer, TypingContext, TypingFailure } from './failure.ts'

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

/** A line that begins a seat: its word, what follows it, and the units its sizes are said in. */
export interface SeatLine {
  readonly word: SeatWord
  readonly rest: string
  readonly units: LengthUnit
  readonly context: TypingContext
}

/** Options that end the sizes. `in` is inches too, so as a word it stands before the last number. */
export const OPTION = { in: 'in(?=\\s+\\S+(?:\\s+and\\s+\\S+)?\\s*$)' } as const

export type Options = Readonly<Record<string, string | undefined>>

/** Splits `SIZES word rest word rest` at the known words. */
export function parted(rest: string, words: readonly string[]): { readonly head: string; readonly options: Options } {
  const pieces = rest.split(
    new RegExp(`(?:^|\\s+)(${words.map((w) => (w === 'in' ? OPTION.in : w)).join('|')})\\s+`, 'i'),
  )
  const options: Record<string, string> = {}
  for (let i = 1; i + 1 < pieces.length; i += 2) options[pieces[i]!.toLowerCase()] = pieces[i + 1]!.trim()
  return { head: pieces[0]!.trim(), options }
}

export const countOf = (text: string | undefined, context: TypingContext): Result<number, TypingFailure> =>
  text === undefined ? ok(1) : readCount(text, context.limits)
export const singles = (count: number): Seat['division'] => usualDivision('singles', count)
export const say = (lengths: readonly number[], units: LengthUnit): string =>
  lengths.map((mm) => formatLengthWithUnit(mm, units)).join(' x ')
export const seat = (value: Seat, units: LengthUnit, says: string): Answer =>
  ok({ kind: 'seat', seat: value, units, also: [], more: null, says })
