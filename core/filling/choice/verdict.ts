import type { Exposure } from '../../../contract/index.ts'
import {
  BOTTOM,
  FAMILIES,
  pressed,
  strainUnder,
  supportOf,
  type CurveBook,
  type LoadCase,
  type SettledLayer,
  type Support,
} from '../model/index.ts'

/** Why a stack cannot be used. */
export type Failure =
  | { readonly code: 'exposure'; readonly grade: string; readonly place: Exposure; readonly why: string }
  | { readonly code: 'too-firm'; readonly strain: number; readonly least: number }
  | { readonly code: 'too-soft'; readonly strain: number; readonly most: number }
  | { readonly code: 'bottoms'; readonly strain: number }

/** What to think about before using it. */
export type Doubt =
  | { readonly code: 'near-bottom'; readonly strain: number }
  | { readonly code: 'bottoms-aged'; readonly year: number }
  | { readonly code: 'near-bottom-aged'; readonly strain: number }
  | { readonly code: 'light-feels-hard'; readonly strain: number; readonly least: number }
  | { readonly code: 'heavy-sinks-deep'; readonly strain: number; readonly most: number }

/** Not everybody is comfortable; the foam itself is sound. */
export const isMatterOfTaste = (d: Doubt): boolean => d.code === 'light-feels-hard' || d.code === 'heavy-sinks-deep'

export interface Verdict {
  readonly support: Support
  readonly failures: readonly Failure[]
  readonly doubts: readonly Doubt[]
}

/** Holds a stack of layers against what the job asks of it. */
export function judgeStack(layers: readonly SettledLayer[], load: LoadCase, curves?: CurveBook): Verdict {
  const support = supportOf(layers, load, curves)
  return {
    support,
    failures: failuresOf(layers, load, support.fresh.sinks[1].strain, support.fresh.worstStrain),
    doubts: doubtsOf(support, load),
  }
}

/** Its failures alone, for looking through many stacks. */
export function screenStack(layers: readonly SettledLayer[], load: LoadCase, curves: CurveBook): readonly Failure[] {
  const stack = pressed(layers, 0, curves)
  return failuresOf(
    layers,
    load,
    strainUnder(load.sitters[1].meanPa, stack, load.acrossMm),
    strainUnder(load.sitters[2].peakPa, stack, load.acrossMm),
  )
}

function failuresOf(
  layers: readonly SettledLayer[],
  load: LoadCase,
  strain: number,
  worst: number,
): readonly Failure[] {
  const { leastCompression: least, mostCompression: most } = load.demands
  const misplaced = layers.filter((l) => !l.grade.exposures.includes(load.exposure))
  const failures: Failure[] = [...new Set(misplaced.map((l) => l.grade))].map((grade) => ({
    code: 'exposure',
    grade: grade.name,
    place: load.exposure,
    why: FAMILIES[grade.family].notFor,
  }))
  if (worst > BOTTOM) failures.push({ code: 'bottoms', strain: worst })
  if (strain < least) failures.push({ code: 'too-firm', strain, least })
  if (strain > most) failures.push({ code: 'too-soft', strain, most })
  return failures
}

function doubtsOf({ fresh, aged, bottomsInYear }: Support, load: LoadCase): readonly Doubt[] {
  const { leastCompression: least, mostCompression: most } = load.demands
  const [light, , heavy] = fresh.sinks
  const doubts: Doubt[] = []
  if (fresh.bottoming === 'near') doubts.push({ code: 'near-bottom', strain: fresh.worstStrain })
  if (fresh.bottoming !== 'bottoms' && bottomsInYear !== null)
    doubts.push({ code: 'bottoms-aged', year: bottomsInYear })
  else if (fresh.bottoming === 'clear' && aged.bottoming === 'near')
    doubts.push({ code: 'near-bottom-aged', strain: aged.worstStrain })
  if (light.strain < least) doubts.push({ code: 'light-feels-hard', strain: light.strain, least })
  if (heavy.strain > most) doubts.push({ code: 'heavy-sinks-deep', strain: heavy.strain, most })
  return doubts
}
