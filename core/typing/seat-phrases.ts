import { BENCH, CORNER_BENCH, ROUND_THING, THING } from './thing-words.ts'

const SIZE = String.raw`\d[\d./\s-]*(?:mm|cm|m|in|"|ft|')?`
const SIZES = String.raw`${SIZE}\s*x\s*${SIZE}\s*x\s*${SIZE}`
const DEEP = String.raw`(?:,?\s*(?:x\s*)?(${SIZE})\s*(?:thick|high|deep)?)`
const COUNT = String.raw`(?:(\d+) )?`

type SaySeat = (text: string) => string | null

/** Lines of the grammar for `2 cushions 24 x 22 x 4`, `round stool 14 in 3 thick`, `half circle 900` and the like. */
export const SEATS: readonly SaySeat[] = [
  (t) => {
    const [, sizes, count] = found(`${BENCH}[:,]? (${SIZES})(?:[,;]? (?:in|divided into) (\\d+))?(?: ${THING})?`, t)
    return sizes ? `bench ${sizes} in ${count ?? 1}` : null
  },
  (t) => {
    const [, count, sizes] = found(`${COUNT}${THING}[:,]? (${SIZES})`, t)
    return sizes ? `seat ${sizes} times ${count ?? 1}` : null
  },
  (t) => {
    const [, sizes, count] = found(
      `(?:${THING}[:,]? )?(${SIZES})[,;]? ?(?:times |x ?|in )?(\\d+)(?: ${THING}| them| off)?`,
      t,
    )
    return sizes && !/\bin \d+$/.test(t) && !/^\d+ ?x(?: ?\d[^x]*x){2} ?\d+$/.test(t)
      ? `seat ${sizes} times ${count}`
      : null
  },
  (t) => {
    const [, count, sizes] = found(`(?:${THING}[:,]? )(\\d+) ${THING}[:,]? (${SIZES})`, t)
    return sizes ? `seat ${sizes} times ${count}` : null
  },
  (t) => {
    const [, sizes] = found(`(${SIZES})`, t)
    return sizes ? `seat ${sizes}` : null
  },
  (t) => {
    const [, count, thing = '', along, deep, thick] = found(
      `${COUNT}(?:(${THING}|${BENCH})[:,]? )?` +
        `(${SIZE}) ?(?:long|wide)[, x]+(${SIZE}) ?(?:deep|wide)[, x]+(${SIZE}) ?(?:thick|high|tall)`,
      t,
    )
    if (!along) return null
    const sizes = `${along.trim()} x ${deep!.trim()} x ${thick!.trim()}`
    return new RegExp(`^${BENCH}$`).test(thing)
      ? `bench ${sizes} in ${count ?? 1}`
      : `seat ${sizes} times ${count ?? 1}`
  },
  (t) => {
    const [, count, size, thick] = found(
      `${COUNT}(?:round|circular|circle|disc)${ROUND_THING}[:,]? (${SIZE})(?: across| diameter| wide)?${DEEP}`,
      t,
    )
    return size && thick ? `disc ${inUnitOf(size, thick)} x ${thick.trim()} times ${count ?? 1}` : null
  },
  (t) => {
    const [, count, size, thick] = found(`(?:(\\d+) (?=\\d))?(${SIZE}) (?:round|circular)${ROUND_THING}${DEEP}`, t)
    return size && thick ? `disc ${inUnitOf(size, thick)} x ${thick.trim()} times ${count ?? 1}` : null
  },
  (t) => {
    const [, size, thick] = found(
      `(?:half circle|half round|half moon|semicircle|semicircular)(?: (?:seat|cushion|pad))?[:,]? (${SIZE})(?: across| wide)?${DEEP}?`,
      t,
    )
    return size ? `halfdisc ${thick ? inUnitOf(size, thick) : size.trim()} x ${thick?.trim() ?? '80 mm'}` : null
  },
  (t) => {
    const [, legA, legB, deep, thick] = found(
      `${CORNER_BENCH}[:,]? (${SIZE})\\s*x\\s*(${SIZE})\\s*x\\s*(${SIZE})\\s*x\\s*(${SIZE})`,
      t,
    )
    return legA ? `corner ${[legA, legB, deep, thick].map((s) => s!.trim()).join(' x ')}` : null
  },
  (t) => {
    const [, legA, deepA, legB, deepB, thick] = found(
      `${CORNER_BENCH}[:,]? (${SIZE})\\s*x\\s*(${SIZE}),? (${SIZE})\\s*x\\s*(${SIZE}),? (${SIZE}) thick`,
      t,
    )
    return legA && deepA!.trim() === deepB!.trim()
      ? `corner ${[legA, legB, deepA, thick].map((s) => s!.trim()).join(' x ')}`
      : null
  },
  (t) => {
    const [, sizes] = found(`v[ -](?:shaped )?(?:berth|bunk)[:,]? (${SIZES}\\s*x\\s*${SIZE})`, t)
    return sizes ? `berth ${sizes} pair` : null
  },
]

const found = (pattern: string, text: string): readonly (string | undefined)[] =>
  new RegExp(`^${pattern}$`).exec(text) ?? []

/** A unit said with one of two sizes is that of both. */
function inUnitOf(size: string, other: string): string {
  const unit = /(mm|cm|in|")\s*$/.exec(size.trim())?.[1]
  const theirs = /(mm|cm|in|")\s*$/.exec(other.trim())?.[1]
  return unit || !theirs ? size.trim() : `${size.trim()} ${theirs}`
}
