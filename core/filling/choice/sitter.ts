import type { CushionFit, Load } from '../../../contract/index.ts'
import { depthUnder, forceAt, loadCaseOf, pressed, stackOf, type SettledLayer } from '../model/index.ts'

/** A sitter on foam whose curve is known, as somebody measured beside him. */
export interface SitterFound {
  readonly gradeId: string
  readonly grade: string
  readonly massKg: number
  /** Left above the board as planned, and as measured. */
  readonly plannedMm: number
  readonly leftMm: number
  /** The force of the foam over that of its figures: below 1 it acts softer. */
  readonly factor: number
}

/**
 * Holds what was left above the board against the plan. Were all forces of the stack so many times as large, the sitter
 * would rest just there: his force over the force that holds the body so deep. Null where the foam is not known, or
 * more than one grade of it is at fault.
 */
export function sitterOn(
  {
    pressed: layers,
    loadCase,
  }: {
    readonly pressed: readonly SettledLayer[]
    readonly loadCase: { readonly body: ReturnType<typeof loadCaseOf>['body'] }
  },
  { massKg, leftMm }: NonNullable<CushionFit['leftAbove']>,
  load: Load,
): SitterFound | null {
  const foam = layers.filter((l) => l.grade.family !== 'wadding')
  const [first] = foam
  if (!first || foam.some((l) => l.grade.id !== first.grade.id)) return null
  if (first.grade.at25N === null && first.grade.at40N === null) return null
  const { restN } = loadCaseOf({ ...load, lightestKg: massKg, heaviestKg: massKg }).sitters[1]
  const stack = stackOf(pressed(layers, 0))
  const depthMm = stack.totalMm - leftMm
  if (depthMm <= 0 || leftMm <= 0) return null
  const factor = restN / forceAt(depthMm, loadCase.body, stack)
  return Number.isFinite(factor) && factor > 0
    ? {
        gradeId: first.grade.id,
        grade: first.grade.name,
        massKg,
        plannedMm: stack.totalMm - depthUnder(restN, loadCase.body, stack),
        leftMm,
        factor,
      }
    : null
}
