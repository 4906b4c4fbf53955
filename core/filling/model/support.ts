import type { Grade, Layer } from '../../../contract/index.ts'
import { ageingOf } from './ageing.ts'
import { curveThrough, type FoamCurve } from './curve.ts'
import type { LoadCase, Sitter } from './load.ts'
import { testForces } from './points.ts'
import { whereReaches } from './rising.ts'
import { stackOf, type PressedLayer } from './stack.ts'
import { depthUnder, forceAt, sunkUnder, type Sunk } from './sunk.ts'

/** A layer with its thickness settled, from the board up. */
export interface SettledLayer {
  readonly grade: Layer['grade']
  readonly thicknessMm: number
  /** An old body that stays: neither cut nor bought. */
  readonly stays?: boolean
}

/** One sitter at rest. */
export interface Sink extends Sunk {
  readonly sitter: Sitter
}

/** Strain under the middle of the heaviest: to the first it stands clear of the board, above the second it is on it. */
export const NEAR_BOARD = 0.65
export const ON_BOARD = 0.78

export type Standing = 'clear' | 'near' | 'on-board'

export const standingOf = (strain: number): Standing =>
  strain > ON_BOARD ? 'on-board' : strain > NEAR_BOARD ? 'near' : 'clear'

export interface Age {
  readonly sinks: readonly [Sink, Sink, Sink]
  /** The heaviest, in a slam where there is one. */
  readonly worst: Sunk
  readonly standing: Standing
}

export interface Support {
  readonly totalMm: number
  readonly fresh: Age
  readonly aged: Age
  /** The year of daily use in which the heaviest first feels the board; 0 when at once, null when not within its life. */
  readonly onBoardInYear: number | null
  readonly years: number
  /** The heaviest that does not feel the board, new. */
  readonly holdsKg: number
}

/** How a stack of layers carries its sitters, new and at the end of its life.  */
export function supportOf(layers: readonly SettledLayer[], load: LoadCase): Support {
  const [fresh, aged] = [ageOf(layers, load, 0), ageOf(layers, load, 1)]
  return {
    totalMm: layers.reduce((sum, l) => sum + l.thicknessMm, 0),
    fresh,
    aged,
    years: shortestLife(layers),
    onBoardInYear: yearOnBoard(layers, load, fresh, aged),
    holdsKg: holdsKg(layers, load),
  }
}

/** For how many years of daily use it is good: to its end, or until the heaviest feels the board. */
export const goodYears = ({ years, onBoardInYear }: Pick<Support, 'years' | 'onBoardInYear'>): number =>
  onBoardInYear === null ? years : Math.max(0, onBoardInYear - 1)

export const curveOf = (grade: Grade, left = 1): FoamCurve => curveThrough(testForces(grade), left)

/** New and aged curves, worked out once for each grade. */
const known = new WeakMap<Grade, Map<number, FoamCurve>>()

/** The curve of a grade after a share of its life. */
function curveAfter(grade: Grade, lifeShare: number): FoamCurve {
  const left = lifeShare === 0 ? 1 : 1 - lifeShare * ageingOf(grade).lossShare
  if (lifeShare > 0 && lifeShare < 1) return curveOf(grade, left)
  const ages = known.get(grade) ?? new Map<number, FoamCurve>()
  known.set(grade, ages)
  const curve = ages.get(lifeShare) ?? curveOf(grade, left)
  ages.set(lifeShare, curve)
  return curve
}

/** The layers with the firmness that a share of their life has left them; equal grades share a curve. */
export function pressed(layers: readonly SettledLayer[], lifeShare: number): readonly PressedLayer[] {
  const curves = new Map(layers.map(({ grade }) => [grade, curveAfter(grade, lifeShare)]))
  return layers.map(({ grade, thicknessMm }) => ({ curve: curves.get(grade)!, thicknessMm }))
}

function ageOf(layers: readonly SettledLayer[], load: LoadCase, lifeShare: number): Age {
  const stack = stackOf(pressed(layers, lifeShare))
  const sinks = load.sitters.map((sitter): Sink => ({
    sitter,
    ...sunkUnder(sitter.restN, load.body, stack),
  })) as unknown as Age['sinks']
  const { restN, slamN } = load.sitters[2]
  const worst = slamN === restN ? sinks[2] : sunkUnder(slamN, load.body, stack)
  return { sinks, worst, standing: standingOf(worst.strain) }
}

function holdsKg(layers: readonly SettledLayer[], { body, sitters }: LoadCase): number {
  const stack = stackOf(pressed(layers, 0))
  const { massKg, slamN } = sitters[2]
  return (massKg * forceAt(ON_BOARD * stack.totalMm, body, stack)) / slamN
}

/** Wadding round a block is renewed with its cover: the foam in it says how long a cushion lives. */
function shortestLife(layers: readonly SettledLayer[]): number {
  const foam = layers.filter((l) => l.grade.family !== 'wadding')
  return Math.min(...(foam.length > 0 ? foam : layers).map((l) => ageingOf(l.grade).years))
}

/** Firmness is taken to go evenly over the foam's years. */
function yearOnBoard(layers: readonly SettledLayer[], load: LoadCase, fresh: Age, aged: Age): number | null {
  if (aged.standing !== 'on-board') return null
  if (fresh.standing === 'on-board') return 0
  const { slamN } = load.sitters[2]
  const worst = (lifeShare: number) => {
    const stack = stackOf(pressed(layers, lifeShare))
    return depthUnder(slamN, load.body, stack) / stack.totalMm
  }
  return Math.max(1, Math.ceil(whereReaches(ON_BOARD, worst, 0, 1, 1e-3) * shortestLife(layers)))
}
