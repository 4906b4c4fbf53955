import type { Grade, Layer } from '../../contract/index.ts'
import {
  diameterOf,
  edgeFactor,
  isForceKnown,
  pressed,
  quotedForceN,
  TEST_PLATE_MM2,
  TEST_SAMPLE_MM,
  whereReaches,
  type QuotedStrain,
  type SettledLayer,
} from './model/index.ts'

/** The least a layer can be: thinner foam tears as it is cut. */
export const LEAST_LAYER_MM = 5

/**
 * The layers of a block from the board up, the free one taking what the others leave; never less than a layer can be.
 */
export function settleLayers(layers: readonly Layer[], blockMm: number): readonly SettledLayer[] {
  const rest = blockMm - layers.reduce((sum, l) => sum + (l.thicknessMm ?? 0), 0)
  return layers.map(({ grade, thicknessMm, body }) => ({
    grade,
    thicknessMm: thicknessMm ?? Math.max(LEAST_LAYER_MM, rest),
    ...(body === null ? {} : { stays: true }),
  }))
}

/** The layer that takes what the others leave is the one a job is named by. */
export const mainGrade = (layers: readonly Layer[]): Grade =>
  (layers.find((l) => l.thicknessMm === null) ?? layers[0]!).grade

/**
 * What a stack would measure on the standard test at a strain: the stress at which its layers together are pressed so
 * far. Null where nobody knows one of them.
 */
export function stackForceN(layers: readonly SettledLayer[], strain: QuotedStrain): number | null {
  if (layers.some((l) => !isForceKnown(l.grade))) return null
  const [{ grade }] = layers as readonly [SettledLayer]
  if (layers.every((l) => l.grade === grade)) return quotedForceN(grade, strain)
  const stack = pressed(layers, 0)
  const totalMm = layers.reduce((sum, l) => sum + l.thicknessMm, 0)
  const strainAt = (stressPa: number) =>
    stack.reduce((sum, l) => sum + l.thicknessMm * l.curve.strainAt(stressPa), 0) / totalMm
  const hardest = Math.max(...stack.map((l) => l.curve.stressPa(strain)))
  const stressPa = whereReaches(strain, strainAt, 0, hardest, hardest * 1e-7)
  return (stressPa * TEST_PLATE_MM2 * edgeFactor(strain, TEST_SAMPLE_MM, diameterOf(TEST_PLATE_MM2))) / 1e6
}
