/** Sheets in one block, at most: more glue lines are felt. */
export const MOST_SHEETS = 3

/** A 75 mm sheet does for three inches: so little the cover squeezes or the foam fills. */
const UNSEEN_MM = 2

/** Up to three sheet thicknesses that add up to the wanted one, or near enough, thickest first; empty when none do. */
export function stackFor(thicknessMm: number, offered: readonly number[]): readonly number[] {
  const off = (s: readonly number[]) => Math.abs(total(s) - thicknessMm)
  const near = stacks(offered).filter((s) => off(s) <= UNSEEN_MM)
  return near.toSorted((a, b) => Math.round(off(a) - off(b)) || a.length - b.length)[0] ?? []
}

/** The thickness, mm, of up to three offered sheets that comes nearest to the one that is wanted. */
export function nearestStack(thicknessMm: number, offered: readonly number[]): number {
  return stacks(offered)
    .map(total)
    .reduce((best, t) => (Math.abs(t - thicknessMm) < Math.abs(best - thicknessMm) ? t : best))
}

/** Every thickness that up to three sheets make, within limits, thinnest first. */
export const thicknessesWithin = (offered: readonly number[], leastMm: number, mostMm: number): readonly number[] =>
  [...new Set(stacks(offered).map(total))]
    .filter((t) => t >= leastMm - 0.5 && t <= mostMm + 0.5)
    .toSorted((a, b) => a - b)

function stacks(offered: readonly number[]): readonly (readonly number[])[] {
  const down = offered.toSorted((a, b) => b - a)
  return down.flatMap((a, i) => [
    [a],
    ...down.slice(i).flatMap((b, j) => [[a, b], ...down.slice(i + j).map((c) => [a, b, c])]),
  ])
}

const total = (stack: readonly number[]): number => stack.reduce((sum, t) => sum + t, 0)
