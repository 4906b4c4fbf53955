import { PACKED_STRAIN, type FoamCurve } from './curve.ts'

/** A layer as the press meets it. */
export interface PressedLayer {
  readonly curve: FoamCurve
  readonly thicknessMm: number
}

/** Layers on each other: under one stress, their shortenings add up. */
export interface Stack {
  readonly totalMm: number
  /** The stress in all of them when the whole is shortened by this share; endless where they are packed. */
  readonly stressPa: (strain: number) => number
  /** What each layer is shortened by, as a share of its own thickness, in the order given. */
  readonly layerStrains: (strain: number) => readonly number[]
}

/** @throws RangeError when there is no thickness (a bug of the caller). */
export function stackOf(layers: readonly PressedLayer[]): Stack {
  const totalMm = layers.reduce((sum, l) => sum + l.thicknessMm, 0)
  if (!(totalMm > 0)) throw new RangeError(`stackOf: ${totalMm} mm of foam`)
  const [{ curve }] = layers as readonly [PressedLayer]
  return layers.every((l) => l.curve === curve)
    ? { totalMm, stressPa: curve.stressPa, layerStrains: (strain) => layers.map(() => strain) }
    : unlike(layers, totalMm)
}

/** Layers of unlike foam, by their curves turned round: at one stress their strains add up by thickness. */
function unlike(layers: readonly PressedLayer[], totalMm: number): Stack {
  const own = layers.map((l) => strainsOf(l.curve))
  const shares = layers.map((l) => l.thicknessMm / totalMm)
  const last = STRESSES_PA.length - 1
  /** Read off as it is asked for: most stacks of an advice are looked at only a few times. */
  const strainAt = (j: number): number => {
    let sum = 0
    for (let i = 0; i < own.length; i++) sum += shares[i]! * own[i]![j]!
    return sum
  }
  /** The stress below which it lies, as a place among those that are read, with what is over as a share of a step. */
  const placeOf = (strain: number): number => {
    if (strain >= strainAt(last)) return last
    let [low, high] = [0, last]
    while (high - low > 1) {
      const middle = (low + high) >> 1
      if (strainAt(middle) <= strain) low = middle
      else high = middle
    }
    return low + (strain - strainAt(low)) / (strainAt(high) - strainAt(low))
  }
  const between = (values: Float64Array, place: number): number => {
    const low = Math.floor(place)
    return low === last ? values[last]! : values[low]! + (place - low) * (values[low + 1]! - values[low]!)
  }
  return {
    totalMm,
    stressPa: (strain) =>
      strain <= 0 ? 0 : strain >= PACKED_STRAIN ? Infinity : between(STRESSES_PA, placeOf(strain)),
    layerStrains: (strain) => own.map((strains) => (strain <= 0 ? 0 : between(strains, placeOf(strain)))),
  }
}

/** Stresses at which curves are read for stacks, each 1 % above the last: from what nobody feels to what packs any foam. */
const LEAST_PA = 10
const GROWTH = 1.01
const STRESSES_PA = Float64Array.from({ length: 1330 }, (_, j) => (j === 0 ? 0 : LEAST_PA * GROWTH ** (j - 1)))

const read = new WeakMap<FoamCurve, Float64Array>()

/** A curve turned round, read once for all stacks that it is in. */
function strainsOf(curve: FoamCurve): Float64Array {
  const known = read.get(curve) ?? turnedRound(curve)
  read.set(curve, known)
  return known
}

/** Both the stresses and the strains rise: one walk along fine chords of the curve finds them all. */
function turnedRound({ stressPa }: FoamCurve): Float64Array {
  const strains = new Float64Array(STRESSES_PA.length)
  const step = PACKED_STRAIN / CHORDS
  let [k, low, high] = [0, 0, stressPa(step)]
  STRESSES_PA.forEach((stress, j) => {
    while (stress > high && k < CHORDS - 1) {
      k++
      low = high
      high = stressPa((k + 1) * step)
    }
    strains[j] =
      high === Infinity ? Math.min(PACKED_STRAIN, (k + 1) * step) : (k + (stress - low) / (high - low)) * step
  })
  return strains
}

const CHORDS = 1500
