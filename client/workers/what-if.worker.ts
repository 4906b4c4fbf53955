import type { Job, LayProblem } from '../../contract/index.ts'
import { solveLay } from '../../core/lay/index.ts'
import { tryRescue, type Attempt, type Rescue, type RescueCloths, type RescuePrices } from '../../core/what-if/index.ts'

export type WhatIfRequest =
  | { readonly kind: 'lay'; readonly key: number; readonly problem: LayProblem; readonly seconds: number }
  | {
      readonly kind: 'rescue'
      readonly key: number
      readonly job: Job
      readonly cloths: RescueCloths
      readonly prices: RescuePrices
      readonly rescue: readonly Rescue[]
      readonly seconds: number
    }

export type WhatIfAnswer =
  | { readonly kind: 'lay'; readonly key: number; readonly lengthMm: number | null; readonly boundMm: number }
  | { readonly kind: 'rescue'; readonly key: number; readonly attempt: Attempt | null }

self.onmessage = ({ data }: MessageEvent<WhatIfRequest>) => {
  const started = performance.now()
  const isStopped = () => (performance.now() - started) / 1000 > data.seconds
  self.postMessage(answer(data, isStopped))
}

function answer(asked: WhatIfRequest, isStopped: () => boolean): WhatIfAnswer {
  if (asked.kind === 'rescue')
    return {
      kind: 'rescue',
      key: asked.key,
      attempt: tryRescue(asked.job, asked.cloths, asked.rescue, asked.prices, isStopped),
    }
  const solved = solveLay(asked.problem, { seed: 1, budget: { steps: Infinity, isStopped } })
  return {
    kind: 'lay',
    key: asked.key,
    lengthMm: solved.ok ? solved.value.lay.length : null,
    boundMm: solved.ok ? solved.value.lay.bound : 0,
  }
}
