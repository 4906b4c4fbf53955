import { onScopeDispose, ref } from 'vue'
import { laneCount } from '../../stores/lay-lanes.ts'
import { startTask, type Task } from '../../workers/task.ts'
import WhatIfWorker from '../../workers/what-if.worker.ts?worker'
import type { WhatIfAnswer, WhatIfRequest } from '../../workers/what-if.worker.ts'

/**
 * Questions answered in the background, as many at a time as there are cores; stopped when the page is left. One that
 * fails is left without an answer.
 */
export function useWhatIf(onAnswer: (answer: WhatIfAnswer) => void) {
  const open = ref(0)
  let waiting: WhatIfRequest[] = []
  let tasks: Task[] = []

  function ask(questions: readonly WhatIfRequest[]): void {
    stop()
    waiting = [...questions]
    open.value = waiting.length
    for (let core = 0; core < laneCount(); core++) next()
  }

  function next(): void {
    const question = waiting.shift()
    if (!question) return
    const task = startTask<WhatIfRequest, WhatIfAnswer>({
      worker: WhatIfWorker,
      ask: question,
      onMessage: onAnswer,
      onEnd: () => {
        tasks = tasks.filter((other) => other !== task)
        open.value--
        next()
      },
    })
    tasks.push(task)
  }

  function stop(): void {
    tasks.forEach((task) => task.stop())
    tasks = []
    waiting = []
    open.value = 0
  }
  onScopeDispose(stop)

  return { open, ask, stop }
}
