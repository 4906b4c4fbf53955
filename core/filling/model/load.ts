import type { Exposure, Load, Use } from '../../../contract/index.ts'
import { diameterOf } from './curve.ts'

/** What a seat of one use must carry. */
export interface UseDemands {
  readonly name: string
  readonly massShare: number
  readonly contactM2: number
  readonly peak: number
  readonly slam: number
  /** Strain wanted at the mean pressure of the middle sitter. */
  readonly leastCompression: number
  readonly mostCompression: number
  readonly why: string
}

/** Defaults of the trade, each open to the maker's own figure. */
export const USES: Readonly<Record<Use, UseDemands>> = {
  dining: {
    name: 'dining or short sit',
    massShare: 0.75,
    contactM2: 0.13,
    peak: 2.2,
    slam: 1,
    leastCompression: 0.15,
    mostCompression: 0.3,
    why: 'upright, feet on the floor: three quarters of the body on a small area',
  },
  lounge: {
    name: 'lounge, daily seat',
    massShare: 0.78,
    contactM2: 0.16,
    peak: 2.0,
    slam: 1,
    leastCompression: 0.25,
    mostCompression: 0.4,
    why: 'leaning back and sinking in spreads the load',
  },
  back: {
    name: 'back cushion',
    massShare: 0.25,
    contactM2: 0.16,
    peak: 1.6,
    slam: 1,
    leastCompression: 0.15,
    mostCompression: 0.35,
    why: 'a quarter of the body leans on it',
  },
  bench: {
    name: 'window seat, bench',
    massShare: 0.75,
    contactM2: 0.14,
    peak: 2.2,
    slam: 1,
    leastCompression: 0.2,
    mostCompression: 0.35,
    why: 'upright, a little wider than on a chair',
  },
  sleeping: {
    name: 'sleeping',
    massShare: 1,
    contactM2: 0.6,
    peak: 2.5,
    slam: 1,
    leastCompression: 0.15,
    mostCompression: 0.3,
    why: 'the whole body; a side sleeper lies on 0.40 m²',
  },
  cockpit: {
    name: 'boat cockpit seat',
    massShare: 0.75,
    contactM2: 0.13,
    peak: 2.2,
    slam: 1.8,
    leastCompression: 0.15,
    mostCompression: 0.3,
    why: 'the boat slams: the peak is met 1.8 times as hard',
  },
  kneeler: {
    name: 'kneeler',
    massShare: 0.9,
    contactM2: 0.035,
    peak: 1.8,
    slam: 1,
    leastCompression: 0.3,
    mostCompression: 0.5,
    why: 'nearly all of the body on two knees',
  },
  hassock: {
    name: 'hassock or footstool, sat on',
    massShare: 0.8,
    contactM2: 0.12,
    peak: 2.2,
    slam: 1,
    leastCompression: 0.1,
    mostCompression: 0.25,
    why: 'high and firm, sat on now and then',
  },
}

/** The table's figures, the job's own in their place. */
export function demandsOf({ use, own }: Load): UseDemands {
  const usual = USES[use]
  return {
    name: usual.name,
    why: usual.why,
    massShare: own.massShare ?? usual.massShare,
    contactM2: own.contactM2 ?? usual.contactM2,
    peak: own.peak ?? usual.peak,
    slam: own.slam ?? usual.slam,
    leastCompression: own.leastCompression ?? usual.leastCompression,
    mostCompression: own.mostCompression ?? usual.mostCompression,
  }
}

/** One sitter on the seat: mean and peak pressure over the contact area. */
export interface Sitter {
  readonly end: 'light' | 'middle' | 'heavy'
  readonly massKg: number
  readonly meanPa: number
  readonly peakPa: number
}

const GRAVITY = 9.81

/** A load worked out: what foam is held against. */
export interface LoadCase {
  readonly demands: UseDemands
  readonly exposure: Exposure
  /** The light end, the middle and the heavy end of the range. */
  readonly sitters: readonly [Sitter, Sitter, Sitter]
  /** Across the contact area, taken as round. */
  readonly acrossMm: number
}

/** A slam meets the peak alone: nobody slams all day. */
export function loadCaseOf(load: Load): LoadCase {
  const demands = demandsOf(load)
  const { massShare, contactM2, peak, slam } = demands
  const sitter = (end: Sitter['end'], massKg: number): Sitter => {
    const meanPa = (massKg * GRAVITY * massShare) / contactM2
    return { end, massKg, meanPa, peakPa: meanPa * peak * slam }
  }
  const sitters = [
    sitter('light', load.lightestKg),
    sitter('middle', (load.lightestKg + load.heaviestKg) / 2),
    sitter('heavy', load.heaviestKg),
  ] as const
  return { demands, exposure: load.exposure, sitters, acrossMm: diameterOf(contactM2 * 1e6) }
}

/** What a new job is taken to carry until the maker says otherwise. */
export const USUAL_LOAD: Load = {
  use: 'bench',
  exposure: 'indoors',
  base: 'board',
  lightestKg: 50,
  heaviestKg: 100,
  own: {},
}
