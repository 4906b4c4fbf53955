/** A number from 0 up to but not 1; the same seed always gives the same sequence. */
export type Random = () => number

/** The mulberry32 generator: small, fast, good enough for search; not for secrets. */
export function seeded(seed: number): Random {
  let state = seed >>> 0
  return () => {
    state = (state + 0x6d2b79f5) >>> 0
    let t = state
    t = Math.imul(t ^ (t >>> 15), t | 1)
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61)
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296
  }
}

export const pickBelow = (random: Random, n: number): number => Math.floor(random() * n)

/** One number of the standard normal distribution (Box and Muller). */
export function normal(random: Random): number {
  const radius = Math.sqrt(-2 * Math.log(1 - random()))
  return radius * Math.cos(2 * Math.PI * random())
}
