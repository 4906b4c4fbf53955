import { ROUNDING_MM } from '../tolerances.ts'

/** A level stretch of the upper edge of what has been laid. */
export interface Ledge {
  readonly x: number
  readonly y: number
  readonly width: number
}

/** The upper edge after a box of (w, h) was set flush left on ledge i. */
export function raised(ledges: readonly Ledge[], i: number, w: number, h: number): readonly Ledge[] {
  const { x, y, width } = ledges[i]!
  const out: Ledge[] = []
  for (let k = 0; k < i; k++) out.push(ledges[k]!)
  append(out, x, y + h, w)
  if (width - w > ROUNDING_MM) out.push({ x: x + w, y, width: width - w })
  for (let k = i + 1; k < ledges.length; k++) append(out, ledges[k]!.x, ledges[k]!.y, ledges[k]!.width)
  return out
}

/** How many ledges `raised` would leave. */
export function ledgesAfter(ledges: readonly Ledge[], i: number, w: number, h: number): number {
  const { y, width } = ledges[i]!
  const isLevel = (k: number) => ledges[k] !== undefined && Math.abs(ledges[k]!.y - y - h) < ROUNDING_MM
  const isWhole = width - w <= ROUNDING_MM
  return ledges.length + (isWhole ? 0 : 1) - (isLevel(i - 1) ? 1 : 0) - (isWhole && isLevel(i + 1) ? 1 : 0)
}

/** The upper edge after ledge i was given up to its lower neighbour. */
export function givenUp(ledges: readonly Ledge[], i: number): readonly Ledge[] {
  const y = Math.min(ledges[i - 1]?.y ?? Infinity, ledges[i + 1]?.y ?? Infinity)
  const out: Ledge[] = []
  ledges.forEach((l, k) => append(out, l.x, k === i ? y : l.y, l.width))
  return out
}

/** Neighbours of one height become one ledge. */
function append(out: Ledge[], x: number, y: number, width: number): void {
  const last = out.at(-1)
  if (last && Math.abs(last.y - y) < ROUNDING_MM)
    out[out.length - 1] = { x: last.x, y: last.y, width: x + width - last.x }
  else out.push({ x, y, width })
}
