import type { Exposure, Load, Use } from '../../../contract/index.ts'
import type { Body } from './body.ts'

/** Hips and thighs, sat on. Depths, contact areas (0.12 to 0.17 m²) and peaks (6 to 10 kPa) are as pressure mats find them. */
const SEATED: Body = { kind: 'ball', radiusMm: 500, reachMm: 240 }
/** A back leaning: rounder than hips, and narrower. Set so that 75 mm of soft foam is clear and 50 mm comes near. */
const LEANING: Body = { kind: 'ball', radiusMm: 430, reachMm: 200 }
/**
 * The hip of a side sleeper, with the share of the body that rests on it. A roll without ends cannot tell 50 mm of firm
 * foam from 100 mm of soft as makers do; a hip is round both ways.
 */
const LYING: Body = { kind: 'ball', radiusMm: 250, reachMm: 190 }
/** Two shins with their knees, one behind the other. */
const KNEELING: Body = { kind: 'roll', radiusMm: 60, reachMm: 55, lengthMm: 600 }

/** What a seat of one use must carry. */
export interface UseDemands {
  readonly name: string
  readonly massShare: number
  readonly body: Body
  readonly slam: number
  /** Strain under the middle of the middle sitter that feels right: less is firm, more is soft. */
  readonly leastCompression: number
  readonly mostCompression: number
  readonly why: string
}

/** Defaults of the trade, each open to the maker's own figure. */
export const USES: Readonly<Record<Use, UseDemands>> = {
  dining: {
    name: 'dining or short sit',
    massShare: 0.75,
    body: SEATED,
    slam: 1,
    leastCompression: 0.3,
    mostCompression: 0.63,
    why: 'upright, feet on the floor: three quarters of the body on the seat',
  },
  lounge: {
    name: 'lounge, daily seat',
    massShare: 0.78,
    body: SEATED,
    slam: 1,
    leastCompression: 0.35,
    mostCompression: 0.63,
    why: 'leaning back: a little more of the body, and soft is wanted',
  },
  back: {
    name: 'back cushion',
    massShare: 0.25,
    body: LEANING,
    slam: 1,
    leastCompression: 0.25,
    mostCompression: 0.63,
    why: 'a quarter of the body leans on it',
  },
  bench: {
    name: 'window seat, bench',
    massShare: 0.75,
    body: SEATED,
    slam: 1,
    leastCompression: 0.3,
    mostCompression: 0.63,
    why: 'upright, as on a chair',
  },
  sleeping: {
    name: 'sleeping',
    massShare: 0.39,
    body: LYING,
    slam: 1,
    leastCompression: 0.3,
    mostCompression: 0.63,
    why: 'a side sleeper: two fifths of the body rest on one hip',
  },
  cockpit: {
    name: 'boat cockpit seat',
    massShare: 0.75,
    body: SEATED,
    slam: 1.8,
    leastCompression: 0.25,
    mostCompression: 0.63,
    why: 'the boat slams: the heaviest is met 1.8 times as hard',
  },
  kneeler: {
    name: 'kneeler',
    massShare: 0.9,
    body: KNEELING,
    slam: 1,
    leastCompression: 0.35,
    mostCompression: 0.7,
    why: 'nearly all of the body on two shins',
  },
  hassock: {
    name: 'hassock or footstool, sat on',
    massShare: 0.8,
    body: SEATED,
    slam: 1,
    leastCompression: 0.15,
    mostCompression: 0.5,
    why: 'high and firm, sat on now and then',
  },
}

/** The table's figures, the job's own in their place; a body reaches no further than it is round. */
export function demandsOf({ use, own }: Load): UseDemands {
  const usual = USES[use]
  const radiusMm = own.radiusMm ?? usual.body.radiusMm
  return {
    name: usual.name,
    why: usual.why,
    massShare: own.massShare ?? usual.massShare,
    body: { ...usual.body, radiusMm, reachMm: Math.min(radiusMm, own.reachMm ?? usual.body.reachMm) },
    slam: own.slam ?? usual.slam,
    leastCompression: own.leastCompression ?? usual.leastCompression,
    mostCompression: own.mostCompression ?? usual.mostCompression,
  }
}

/** One sitter on the seat, and the force at rest and in a slam. */
export interface Sitter {
  readonly end: 'light' | 'middle' | 'heavy'
  readonly massKg: number
  readonly restN: number
  readonly slamN: number
}

const GRAVITY = 9.81

/** A load worked out: what foam is held against. */
export interface LoadCase {
  readonly demands: UseDemands
  readonly exposure: Exposure
  /** The light end, the middle and the heavy end of the range. */
  readonly sitters: readonly [Sitter, Sitter, Sitter]
  readonly body: Body
}

/**
 * What a seat is held against. Nobody touches beyond the cushion: `acrossMm` is its smaller side, where it is known.
 * A slam meets the heaviest alone: nobody slams all day.
 */
export function loadCaseOf(load: Load, acrossMm = Infinity): LoadCase {
  const demands = demandsOf(load)
  const { massShare, body, slam } = demands
  const sitter = (end: Sitter['end'], massKg: number): Sitter => {
    const restN = massKg * GRAVITY * massShare
    return { end, massKg, restN, slamN: restN * slam }
  }
  const sitters = [
    sitter('light', load.lightestKg),
    sitter('middle', (load.lightestKg + load.heaviestKg) / 2),
    sitter('heavy', load.heaviestKg),
  ] as const
  const reachMm = body.kind === 'ball' ? Math.min(body.reachMm, acrossMm / 2) : body.reachMm
  return { demands, exposure: load.exposure, sitters, body: { ...body, reachMm } }
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
