interface Kind {
  readonly count: number
  readonly sizes: readonly { readonly wide: number }[]
}

/** The most of a width that some boxes side by side can fill. */
export type MostOf = (free: number) => number

/** With finer sizes than this the sets take too much memory: every width counts as filled. */
const MOST_WIDTHS = 20_000
const BITS = 32

/**
 * By the boxes that are left (how many of each kind): what widths up to `most` they can fill. Each set of boxes is
 * worked out once, as a row of bits.
 */
export function fillsOf(kinds: readonly Kind[], most: number): (left: readonly number[]) => MostOf {
  if (most > MOST_WIDTHS) return () => (free) => free
  const words = Math.floor(most / BITS) + 1
  // Each set has a number: its counts in a mixed radix.
  const weights = kinds.map((_, k) => kinds.slice(0, k).reduce((product, { count }) => product * (count + 1), 1))
  const known = new Map<number, Uint32Array>()
  const numberOf = (left: readonly number[]) => left.reduce((sum, count, k) => sum + count * weights[k]!, 0)

  function reached(number: number): Uint32Array {
    const old = known.get(number)
    if (old) return old
    const kind = kinds.findIndex(({ count }, k) => Math.floor(number / weights[k]!) % (count + 1) > 0)
    const row = new Uint32Array(words)
    if (kind < 0) row[0] = 1
    else {
      const without = reached(number - weights[kind]!)
      row.set(without)
      for (const { wide } of kinds[kind]!.sizes) orShifted(row, without, wide)
    }
    known.set(number, row)
    return row
  }
  return (left) => {
    const row = reached(numberOf(left))
    return (free) => highestBit(row, free)
  }
}

function orShifted(into: Uint32Array, row: Uint32Array, by: number): void {
  const [jump, shift] = [Math.floor(by / BITS), by % BITS]
  for (let i = into.length - 1; i >= jump; i--) {
    const carried = shift > 0 && i > jump ? row[i - jump - 1]! >>> (BITS - shift) : 0
    into[i] = into[i]! | (row[i - jump]! << shift) | carried
  }
}

/** The highest bit set up to and with `to`. */
function highestBit(row: Uint32Array, to: number): number {
  let word = Math.floor(to / BITS)
  let bits = row[word]! & (0xffffffff >>> (BITS - 1 - (to % BITS)))
  while (bits === 0) bits = row[--word]!
  return word * BITS + (BITS - 1 - Math.clz32(bits))
}
