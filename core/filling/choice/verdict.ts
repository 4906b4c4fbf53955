import type { Exposure } from '../../../contract/index.ts'
import {
  depthUnder,
  FAMILIES,
  goodYears,
  NEAR_BOARD,
  ON_BOARD,
  pressed,
  stackOf,
  supportOf,
  type LoadCase,
  type SettledLayer,
  type Support,
  type UseDemands,
} from '../model/index.ts'

/** Why a stack cannot be used. */
export type Failure =
  | { readonly code: 'exposure'; readonly grade: string; readonly place: Exposure; readonly why: string }
  | { readonly code: 'on-board'; readonly massKg: number; readonly leftMm: number; readonly strain: number }

/** What to think about before using it. */
export type Doubt =
  | { readonly code: 'middle-near-board'; readonly leftMm: number }
  | { readonly code: 'on-board-aged'; readonly year: number; readonly isSoon: boolean }
  | { readonly code: 'feels-firm' | 'feels-soft'; readonly strain: number }

/** How the middle sitter finds it: no fault, whichever it is. */
export type Feel = 'soft' | 'right' | 'firm'

/** Not everybody is comfortable; the foam itself is sound. */
export const isMatterOfTaste = (d: Doubt): boolean => d.code === 'feels-firm' || d.code === 'feels-soft'

/** Nothing a customer would complain of. */
export const isCalm = (d: Doubt): boolean => isMatterOfTaste(d) || (d.code === 'on-board-aged' && !d.isSoon)

export interface Verdict {
  readonly support: Support
  readonly feel: Feel
  readonly failures: readonly Failure[]
  readonly doubts: readonly Doubt[]
}

/** Holds a stack of layers against what the job asks of it. */
export function judgeStack(layers: readonly SettledLayer[], load: LoadCase): Verdict {
  const support = supportOf(layers, load)
  const feel = feelOf(support.fresh.sinks[1].strain, load.demands)
  return {
    support,
    feel,
    failures: failuresOf(layers, load, support.fresh.worst.strain),
    doubts: doubtsOf(support, feel),
  }
}

/** Its failures alone, for looking through many stacks. */
export function screenStack(layers: readonly SettledLayer[], load: LoadCase): readonly Failure[] {
  const stack = stackOf(pressed(layers, 0))
  return failuresOf(layers, load, depthUnder(load.sitters[2].slamN, load.body, stack) / stack.totalMm)
}

const feelOf = (strain: number, { leastCompression, mostCompression }: UseDemands): Feel =>
  strain < leastCompression ? 'firm' : strain > mostCompression ? 'soft' : 'right'

function failuresOf(layers: readonly SettledLayer[], load: LoadCase, strain: number): readonly Failure[] {
  const misplaced = layers.filter((l) => !l.grade.exposures.includes(load.exposure))
  const failures: Failure[] = [...new Set(misplaced.map((l) => l.grade))].map((grade) => ({
    code: 'exposure',
    grade: grade.name,
    place: load.exposure,
    why: FAMILIES[grade.family].notFor,
  }))
  const totalMm = layers.reduce((sum, l) => sum + l.thicknessMm, 0)
  if (strain > ON_BOARD)
    failures.push({ code: 'on-board', massKg: load.sitters[2].massKg, leftMm: totalMm * (1 - strain), strain })
  return failures
}

function doubtsOf(support: Support, feel: Feel): readonly Doubt[] {
  const { fresh, onBoardInYear, years } = support
  const middle = fresh.sinks[1]
  const doubts: Doubt[] = []
  if (fresh.standing !== 'on-board' && middle.strain > NEAR_BOARD)
    doubts.push({ code: 'middle-near-board', leftMm: middle.leftMm })
  if (fresh.standing !== 'on-board' && onBoardInYear !== null)
    doubts.push({ code: 'on-board-aged', year: onBoardInYear, isSoon: goodYears(support) < years * SOON_SHARE })
  if (feel === 'firm') doubts.push({ code: 'feels-firm', strain: middle.strain })
  if (feel === 'soft' && middle.strain <= NEAR_BOARD) doubts.push({ code: 'feels-soft', strain: middle.strain })
  return doubts
}

/** Foam that is done before this share of the life that its density promises was the wrong one. */
const SOON_SHARE = 0.5
