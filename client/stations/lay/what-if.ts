import { onScopeDispose, ref } from 'vue'
import WhatIfWorker from '../../workers/what-if.worker.ts?worker'
import type { WhatIfAnswer, WhatIfRequest } from '../../workers/what-if.worker.ts'
import { watched } from '../../workers/watched.ts'
import { laneCount } from '../../stores/lay-lanes.ts'

/** Questions answered one after the other on each core in the background; stopped when the page is left. */
export function useWhatIf(onAnswer: (answer: WhatIfAnswer) => void) {
  const open = ref(0)
  let workers: Worker[] = []

  function ask(questions: readonly WhatIfRequest[]): void {
    stop()
    // A job is reactive; what goes to a worker must be plain.
    const waiting = JSON.parse(JSON.stringify(questions)) as WhatIfRequest[]
    open.value = waiting.length
    workers = Array.from({ length: Math.min(laneCount(), waiting.length) }, () => watched(new WhatIfWorker()))
    for (const worker of workers) {
      const next = () => {
        const question = waiting.shift()
        if (question) worker.postMessage(question)
        else worker.terminate()
      }
      worker.onmessage = ({ data }: MessageEvent<WhatIfAnswer>) => {
        open.value--
        onAnswer(data)
        next()
      }
      next()
    }
  }

  function stop(): void {
    workers.forEach((w) => w.terminate())
    workers = []
    open.value = 0
  }
  onScopeDispose(stop)

  return { open, ask, stop }
}
