import { onScopeDispose, ref } from 'vue'
import { layElsewhere } from '../../api/lays.ts'
import { useSearchers } from '../../stores/searchers.ts'
import { startTask, type Task } from '../../workers/task.ts'
import WhatIfWorker from '../../workers/what-if.worker.ts?worker'
import type { WhatIfAnswer, WhatIfRequest } from '../../workers/what-if.worker.ts'

/** The server takes four lays of one page at once; one is left for what else the page asks. */
const MOST_ELSEWHERE = 3
const QUIETLY = { lanes: 1, onOthers: false }

/**
 * Questions answered in the background, as many at a time as there are cores, and lays on other machines too where the
 * shop has some; stopped when the page is left. One that fails is left without an answer.
 */
export function useWhatIf(onAnswer: (answer: WhatIfAnswer) => void) {
  const searchers = useSearchers()
  const open = ref(0)
  let waiting: WhatIfRequest[] = []
  let tasks: Task[] = []

  /** Nobody waits for what is asked `quietly`: one at a time. */
  function ask(questions: readonly WhatIfRequest[], quietly = false): void {
    stop()
    waiting = [...questions]
    open.value = waiting.length
    const { lanes, onOthers } = quietly ? QUIETLY : searchers.everywhere()
    for (let core = 0; core < lanes; core++) next()
    for (let other = 0; onOthers && other < MOST_ELSEWHERE; other++) void nextElsewhere()
  }

  function next(): void {
    const question = waiting.shift()
    if (!question) return
    const task = startTask<WhatIfRequest, WhatIfAnswer>({
      worker: WhatIfWorker,
      ask: question,
      isReusable: true,
      onMessage: onAnswer,
      onEnd: () => {
        ended(task)
        next()
      },
    })
    tasks.push(task)
  }

  /** The last question is most likely still far from its turn here; one that others cannot answer is answered here. */
  async function nextElsewhere(): Promise<void> {
    const at = waiting.findLastIndex((w) => w.kind === 'lay')
    const question = waiting[at]
    if (question?.kind !== 'lay') return
    waiting = waiting.filter((_, i) => i !== at)
    const gone = new AbortController()
    const task: Task = { stop: () => gone.abort() }
    tasks.push(task)
    try {
      const lay = await layElsewhere(question.problem, question.seconds, gone.signal)
      if (gone.signal.aborted) return
      onAnswer({ kind: 'lay', key: question.key, lengthMm: lay?.length ?? null, boundMm: lay?.bound ?? 0 })
      ended(task)
      void nextElsewhere()
    } catch {
      if (gone.signal.aborted) return
      tasks = tasks.filter((other) => other !== task)
      waiting.push(question)
      next()
    }
  }

  function ended(task: Task): void {
    tasks = tasks.filter((other) => other !== task)
    open.value--
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
