import { ok, type Result } from '../result/index.ts'
import { isInch, LENGTH_UNITS, parseLength, type LengthUnit } from '../units/index.ts'
import { chain, fail, type TypingFailure, type TypingLimits } from './failure.ts'

type Read<T> = Result<T, TypingFailure>

/** A length as it is typed, in the units of the job where it says none; mm. `what` is what it is called in a fault. */
export function readLength(text: string, what: string, units: LengthUnit): Read<number> {
  const length = parseLength(text, units)
  return length.ok ? ok(length.value.mm) : fail({ code: 'length', what, text, why: length.error.code })
}

/** As `readLength`, more than nought and no longer than a job takes. */
export function readPositive(text: string, what: string, units: LengthUnit, limits: TypingLimits): Read<number> {
  return chain(readLength(text, what, units), (mm) => {
    if (mm <= 0) return fail({ code: 'length', what, text, why: 'not-positive' })
    return mm > limits.longestMm ? fail({ code: 'length', what, text, why: 'too-long' }) : ok(mm)
  })
}

/** A whole number of cushions. */
export function readCount(text: string, limits: TypingLimits): Read<number> {
  const n = Number(text)
  return Number.isInteger(n) && n >= 1 && n <= limits.mostCushions ? ok(n) : fail({ code: 'count', text })
}

/** Degrees, with or without their sign. */
export function readAngle(text: string, least: number, most: number): Read<number> {
  const n = Number(text.replace(/\s*(°|deg|degrees)$/i, '').trim())
  return text.trim() !== '' && n >= least && n <= most ? ok(n) : fail({ code: 'angle', text, least, most })
}

/** Sizes with x between them, one for each name. */
export function readSizes(
  text: string,
  whats: readonly string[],
  word: string,
  example: string,
  units: LengthUnit,
  limits: TypingLimits,
): Read<readonly number[]> {
  const texts = text.trim() === '' ? [] : allInLastUnit(text.split(/\s*[x×*]\s*/i))
  if (texts.length !== whats.length)
    return fail({ code: 'sizes', word, found: texts.filter((t) => t !== '').length, wanted: whats.length, example })
  const values: number[] = []
  for (const [i, what] of whats.entries()) {
    const length = readPositive(texts[i]!, what, units, limits)
    if (!length.ok) return length
    values.push(length.value)
  }
  return ok(values)
}

/**
 * A unit after the last number alone is that of all of them: `200 x 60 x 6 cm`; where that makes a cushion as long as a
 * house the others are millimetres: `1400 x 500, 10 cm thick`.
 */
export function allInLastUnit(texts: readonly string[]): readonly string[] {
  const unit = LAST_UNIT.exec(texts.at(-1) ?? '')?.[1]
  const isBare = (text: string) => !/[a-z"']/i.test(text)
  const others = texts.slice(0, -1)
  if (!unit || !others.every(isBare)) return texts
  const isHouse = others.some((text) => {
    const length = parseLength(`${text} ${unit}`, 'mm')
    return length.ok && length.value.mm > LONGEST_SAID_MM
  })
  return [...others.map((text) => `${text} ${isHouse ? 'mm' : unit}`), texts.at(-1)!]
}

const LONGEST_SAID_MM = 7000

const LAST_UNIT = new RegExp(String.raw`\d\s*(${LENGTH_UNITS})\s*$`, 'i')

/**
 * Nobody says fractions of a millimetre: a bare fraction, or inches after the last size, makes the line one in inches.
 */
export function saidUnits(sizes: string, units: LengthUnit): LengthUnit {
  if (isInch(units)) return /\d\s*(mm|cm|m)$/i.test(sizes.trim()) ? 'mm' : units
  if (/\d\s*(in|inch|inches|")$/i.test(sizes.trim())) return 'inch-8'
  return /\d\/\d+(?!\d)(?!\s*(mm|cm|m)\b)/i.test(sizes) &&
    !/\d\s*(mm|cm|m)\b/i.test(sizes) &&
    !/\d\/\d+\s*(in|inch|inches|"|ft|')/i.test(sizes)
    ? 'inch-8'
    : units
}

/** Commas part readings; spaces do too, but not within `18 1/2`, `60 cm` or `4' 2"`. */
export function splitReadings(rest: string): readonly string[] {
  if (/[,;]/.test(rest) && !/\d,\d/.test(rest)) return rest.split(/\s*[,;]\s*/)
  return rest.match(READING) ?? ['']
}

const UNIT_WORD = String.raw`(?:\s+(?:mm|cm|m|in|inch|inches|ft)\b)?`
/** Feet and inches, a number and a fraction, or a word, each with its unit. */
const READING = new RegExp(
  String.raw`\d+\s*(?:ft|feet|')\s*\d+(?:\s+\d+/\d+|\.\d+)?\s*(?:inches|inch|in|")?|\d+(?:\s+|-)\d+/\d+\S*${UNIT_WORD}|\S+${UNIT_WORD}`,
  'gi',
)
