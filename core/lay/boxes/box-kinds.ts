import { alike, type Instance } from '../instance.ts'
import type { Posture } from '../shape.ts'
import { ROUNDING_MM } from '../tolerances.ts'

/** Boxes that may stand in for each other. */
export interface BoxKind {
  readonly members: readonly number[]
  readonly postures: readonly Posture[]
  /** With its gap. */
  readonly area: number
  readonly group: number
  readonly across: number | null
  readonly along: number | null
}

/** The boxes of an instance by what they are, the largest first. */
export function kindsOf({ items, gap }: Instance): readonly BoxKind[] {
  return alike(items)
    .map((members): BoxKind => {
      const { postures, group, across, along } = items[members[0]!]!
      const area = (postures[0]!.shape.width + gap) * (postures[0]!.shape.height + gap)
      return { members, postures, area, group, across, along }
    })
    .sort((a, b) => b.area - a.area)
}

/**
 * Whether boxes side by side can fill a width exactly, by all boxes there are; where sizes are not whole it only asks
 * for the narrowest.
 */
export function reachableWidths(kinds: readonly BoxKind[], width: number, gap: number): (rest: number) => boolean {
  const widths = kinds.flatMap((k) => k.postures.map((p) => p.shape.width + gap))
  const least = Math.min(...widths)
  if (!widths.every(isWhole) || width > 10_000) return (rest) => rest > least - ROUNDING_MM
  const reached = new Uint8Array(Math.ceil(width) + 1)
  reached[0] = 1
  for (const kind of kinds) {
    for (let copy = 0; copy < kind.members.length; copy++) {
      // From wide to narrow, so that a copy counts once; its postures are tried on the same state.
      for (let at = reached.length - 1; at >= 0; at--) {
        if (!reached[at]) continue
        for (const { shape } of kind.postures) {
          const to = at + Math.round(shape.width + gap)
          if (to < reached.length) reached[to] = 1
        }
      }
    }
  }
  return (rest) => reached[Math.round(rest)] === 1
}

const isWhole = (v: number): boolean => Math.abs(v - Math.round(v)) < ROUNDING_MM
