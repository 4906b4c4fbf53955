import type { Job, Lay, LayProblem } from '../../contract/index.ts'
import { easierLay, solveLay, type Easier } from '../../core/lay/index.ts'
import {
  splitToLay,
  tryRescue,
  trySaving,
  type Attempt,
  type Prices,
  type Rescue,
  type RescueCloths,
  type Saved,
  type Saving,
  type SplitLay,
} from '../../core/what-if/index.ts'

export type WhatIfRequest =
  | { readonly kind: 'lay'; readonly key: number; readonly problem: LayProblem; readonly seconds: number }
  | {
      readonly kind: 'easier'
      readonly key: number
      readonly problem: LayProblem
      readonly lay: Lay
      readonly seconds: number
    }
  | {
      readonly kind: 'rescue'
      readonly key: number
      readonly job: Job
      readonly cloths: RescueCloths
      readonly prices: Prices
      readonly rescue: readonly Rescue[]
      readonly seconds: number
    }
  | {
      readonly kind: 'saving'
      readonly key: number
      readonly job: Job
      readonly cloths: RescueCloths
      readonly prices: Prices
      readonly saving: Saving
      readonly lay: Lay | null
      /** Lengths of the lays as they are, mm, by the keys of their pieces. */
      readonly laid: readonly (readonly [string, number])[]
      readonly seconds: number
    }
  | {
      readonly kind: 'split'
      readonly key: number
      readonly job: Job
      readonly clothId: string
      readonly prices: Prices
      readonly laid: readonly (readonly [string, number])[]
      readonly seconds: number
    }

export type WhatIfAnswer =
  | { readonly kind: 'lay'; readonly key: number; readonly lengthMm: number | null; readonly boundMm: number }
  | { readonly kind: 'rescue'; readonly key: number; readonly attempt: Attempt | null }
  | { readonly kind: 'saving'; readonly key: number; readonly saved: Saved | null }
  | { readonly kind: 'easier'; readonly key: number; readonly easier: Easier | null }
  | { readonly kind: 'split'; readonly key: number; readonly split: SplitLay | null }

self.onmessage = ({ data }: MessageEvent<WhatIfRequest>) => {
  const started = performance.now()
  const spent = () => (performance.now() - started) / 1000 / data.seconds
  self.postMessage(answer(data, spent))
}

function answer(asked: WhatIfRequest, spent: () => number): WhatIfAnswer {
  const isStopped = () => spent() >= 1
  if (asked.kind === 'split')
    return { kind: 'split', key: asked.key, split: splitToLay({ ...asked, laid: new Map(asked.laid), spent }) }
  const budget = { steps: Infinity, isStopped }
  if (asked.kind === 'easier')
    return { kind: 'easier', key: asked.key, easier: easierLay(asked.problem, asked.lay, { seed: 1, budget }) }
  if (asked.kind === 'rescue')
    return {
      kind: 'rescue',
      key: asked.key,
      attempt: tryRescue(asked.job, asked.cloths, asked.rescue, asked.prices, spent),
    }
  if (asked.kind === 'saving')
    return { kind: 'saving', key: asked.key, saved: trySaving({ ...asked, laid: new Map(asked.laid), spent }) }
  const solved = solveLay(asked.problem, { seed: 1, budget })
  return {
    kind: 'lay',
    key: asked.key,
    lengthMm: solved.ok ? solved.value.lay.length : null,
    boundMm: solved.ok ? solved.value.lay.bound : 0,
  }
}
