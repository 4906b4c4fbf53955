/*
 * A pocket calculator for the sums that are shown: it knows numbers, fractions, + − × ÷, brackets, π, per cent and the
 * few words the sums use, and nothing of how they are made.
 */

interface Cursor {
  rest: string
}

/**
 * What a shown working claims, `(2236 + 4) ÷ 3 = 746.7 mm net`: what its left side comes to, and the number on its
 * right. Null where nothing is summed.
 */
export function checkedSum(working: string): { readonly left: number; readonly right: number } | null {
  const at = working.lastIndexOf(' = ')
  if (at < 0) return null
  const cursor: Cursor = { rest: working.slice(0, at) }
  const left = whole(cursor)
  if (cursor.rest.trim() !== '')
    throw new Error(`cannot be typed into a calculator from "${cursor.rest}" on: ${working}`)
  return { left, right: amount({ rest: working.slice(at + 3) }) }
}

/** A sum, and what it is rounded to. */
function whole(cursor: Cursor): number {
  let value = sum(cursor)
  for (;;) {
    const way = take(cursor, /^, (up|down) to the next /)
    if (!way) return value
    const step = take(cursor, /^whole/) ? 1 : amount(cursor)
    value = (way[1] === 'up' ? Math.ceil(value / step - 1e-6) : Math.floor(value / step + 1e-6)) * step
  }
}

function sum(cursor: Cursor): number {
  let value = take(cursor, /^− /) ? -product(cursor) : product(cursor)
  for (;;) {
    const sign = take(cursor, /^ ([+−]) /)
    if (!sign) return value
    value += sign[1] === '+' ? product(cursor) : -product(cursor)
  }
}

function product(cursor: Cursor): number {
  let value = factor(cursor)
  for (;;) {
    const sign = take(cursor, /^ ([×÷]) /)
    if (!sign) return value
    value = sign[1] === '×' ? value * factor(cursor) : value / factor(cursor)
  }
}

function factor(cursor: Cursor): number {
  if (take(cursor, /^\(−/)) {
    const value = -amount(cursor)
    return closed(cursor, value)
  }
  if (take(cursor, /^\(/)) return closed(cursor, whole(cursor))
  const picked = take(cursor, /^the (smaller|larger|middle) of /)
  if (!picked) return amount(cursor)
  const values = [sum(cursor)]
  while (take(cursor, picked[1] === 'middle' ? /^, (?!up|down)/ : /^ and /)) values.push(sum(cursor))
  values.sort((a, b) => a - b)
  const half = values.length >> 1
  return picked[1] === 'smaller'
    ? values[0]!
    : picked[1] === 'larger'
      ? values.at(-1)!
      : values.length % 2
        ? values[half]!
        : (values[half - 1]! + values[half]!) / 2
}

function closed(cursor: Cursor, value: number): number {
  if (!take(cursor, /^\)/)) throw new Error(`a bracket is open before "${cursor.rest}"`)
  return value
}

const UNITS = /^ ?(m²|ft²|lb\/ft³|kg\/m³|mm|cm|min|in|yd|kg|lb|m|°)(?![a-z])/

/** `746.7`, `18 3/4`, `4 %`, `3 h 05`, `4.7 m`. */
function amount(cursor: Cursor): number {
  if (take(cursor, /^π/)) return Math.PI
  const negative = take(cursor, /^[-−]/) ? -1 : 1
  const hours = take(cursor, /^(\d+) h (\d\d)/)
  if (hours) return negative * (Number(hours[1]) * 60 + Number(hours[2]))
  const fraction = take(cursor, /^(?:(\d+) )?(\d+)\/(\d+)/)
  const plain = fraction ? null : take(cursor, /^\d+(\.\d+)?(e-?\d+)?/)
  if (!fraction && !plain) throw new Error(`no number at "${cursor.rest}"`)
  const value = fraction ? Number(fraction[1] ?? 0) + Number(fraction[2]) / Number(fraction[3]) : Number(plain![0])
  const share = take(cursor, /^ %/) ? 0.01 : 1
  take(cursor, UNITS)
  return negative * value * share
}

function take(cursor: Cursor, pattern: RegExp): RegExpExecArray | null {
  const found = pattern.exec(cursor.rest)
  if (found) cursor.rest = cursor.rest.slice(found[0].length)
  return found
}
