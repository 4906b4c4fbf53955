import type { Grade, Layer } from '../../../contract/index.ts'
import { ageingOf } from './ageing.ts'
import { curveThrough, type FoamCurve } from './curve.ts'
import type { LoadCase, Sitter } from './load.ts'
import { testForces } from './points.ts'
import { strainUnder, type PressedLayer } from './pressed.ts'
import { whereReaches } from './rising.ts'

/** A layer with its thickness settled, from the board up. */
export interface SettledLayer {
  readonly grade: Layer['grade']
  readonly thicknessMm: number
}

/** How far one sitter sinks at the mean pressure. */
export interface Sink {
  readonly sitter: Sitter
  readonly strain: number
  readonly leftMm: number
}

/** Above the first it is close to the board, above the second it is on it. */
export const NEAR_BOTTOM = 0.65
export const BOTTOM = 0.75

export type Bottoming = 'clear' | 'near' | 'bottoms'

export interface Age {
  readonly sinks: readonly [Sink, Sink, Sink]
  /** Under the peak of the heaviest sitter. */
  readonly worstStrain: number
  readonly bottoming: Bottoming
  /** What the peak of the heaviest sitter leaves above 65 % strain; negative when it goes below. */
  readonly marginMm: number
}

export interface Support {
  readonly totalMm: number
  readonly fresh: Age
  readonly aged: Age
  /** The year of daily use in which the heaviest sitter first bottoms; null when not within the foam's life. */
  readonly bottomsInYear: number | null
  readonly years: number
}

/** How a stack of layers carries its sitters, new and at the end of its life. Many stacks share one book of curves. */
export function supportOf(layers: readonly SettledLayer[], load: LoadCase, curves: CurveBook = curveBook()): Support {
  const totalMm = layers.reduce((sum, l) => sum + l.thicknessMm, 0)
  const [fresh, aged] = [ageOf(layers, load, 0, curves), ageOf(layers, load, 1, curves)]
  return {
    totalMm,
    fresh,
    aged,
    years: shortestLife(layers),
    bottomsInYear: yearOfBottoming(layers, load, fresh, aged),
  }
}

export const curveOf = (grade: Grade, left = 1): FoamCurve => curveThrough(testForces(grade), left)

/** The curve of a grade after a share of its life, worked out once. */
export type CurveBook = (grade: Grade, lifeShare: number) => FoamCurve

export function curveBook(): CurveBook {
  const known = new Map<Grade, Map<number, FoamCurve>>()
  return (grade, lifeShare) => {
    const ages = known.get(grade) ?? new Map<number, FoamCurve>()
    known.set(grade, ages)
    const curve = ages.get(lifeShare) ?? curveOf(grade, 1 - lifeShare * ageingOf(grade).lossShare)
    ages.set(lifeShare, curve)
    return curve
  }
}

/** The layers with the firmness that a share of their life has left them; equal grades share a curve. */
export const pressed = (
  layers: readonly SettledLayer[],
  lifeShare: number,
  curves: CurveBook = curveBook(),
): readonly PressedLayer[] => layers.map(({ grade, thicknessMm }) => ({ curve: curves(grade, lifeShare), thicknessMm }))

function ageOf(layers: readonly SettledLayer[], load: LoadCase, lifeShare: number, curves: CurveBook): Age {
  const stack = pressed(layers, lifeShare, curves)
  const totalMm = layers.reduce((sum, l) => sum + l.thicknessMm, 0)
  const sinks = load.sitters.map((sitter): Sink => {
    const strain = strainUnder(sitter.meanPa, stack, load.acrossMm)
    return { sitter, strain, leftMm: totalMm * (1 - strain) }
  }) as unknown as Age['sinks']
  const worstStrain = strainUnder(load.sitters[2].peakPa, stack, load.acrossMm)
  return {
    sinks,
    worstStrain,
    bottoming: worstStrain > BOTTOM ? 'bottoms' : worstStrain > NEAR_BOTTOM ? 'near' : 'clear',
    marginMm: (NEAR_BOTTOM - worstStrain) * totalMm,
  }
}

const shortestLife = (layers: readonly SettledLayer[]): number =>
  Math.min(...layers.map((l) => ageingOf(l.grade).years))

/** Firmness is taken to go evenly over the foam's years. */
function yearOfBottoming(layers: readonly SettledLayer[], load: LoadCase, fresh: Age, aged: Age): number | null {
  if (aged.bottoming !== 'bottoms') return null
  if (fresh.bottoming === 'bottoms') return 0
  const worst = (lifeShare: number) => strainUnder(load.sitters[2].peakPa, pressed(layers, lifeShare), load.acrossMm)
  return Math.max(1, Math.ceil(whereReaches(BOTTOM, worst, 0, 1, 1e-4) * shortestLife(layers)))
}
