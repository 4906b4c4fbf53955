import type { Instance } from '../instance.ts'
import { ROUNDING_MM } from '../tolerances.ts'
import { kindsOf, reachableWidths, type BoxKind } from './box-kinds.ts'

/** What all beginnings of one beam stand on. */
export interface BeamGround {
  readonly instance: Instance
  readonly kinds: readonly BoxKind[]
  /** Of `kinds`, those that a phase holds. */
  readonly bound: readonly number[]
  /** Of the cloth, one gap more: boxes carry theirs along, to the right and up. */
  readonly width: number
  /** No box reaches over it. */
  readonly top: number
  /** Area that may go to waste in all. */
  readonly spare: number
  /** Whether boxes can fill what stays beside one. */
  readonly canFill: (rest: number) => boolean
}

/** The ground of a beam that aims at a length; null where the boxes have more area than the cloth. */
export function groundOf(instance: Instance, length: number): BeamGround | null {
  const { gap } = instance
  const kinds = kindsOf(instance)
  const width = instance.maxX - instance.minX + gap
  const spare = width * (length + gap) - kinds.reduce((sum, k) => sum + k.members.length * k.area, 0)
  if (spare < -ROUNDING_MM * width) return null
  return {
    instance,
    kinds,
    bound: kinds.flatMap((k, i) => (k.across === null && k.along === null ? [] : [i])),
    width,
    top: length + gap + ROUNDING_MM,
    spare,
    canFill: reachableWidths(kinds, width, gap),
  }
}
