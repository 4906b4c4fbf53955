import { ref, shallowRef } from 'vue'
import type { Lay } from '../../../contract/index.ts'
import type { ClothLay } from '../../../core/cloth/index.ts'
import { phrase } from '../../../core/language/index.ts'
import { isShorter } from '../../../core/lay/index.ts'
import { cutTogether, type JointTicket } from '../../../core/what-if/index.ts'
import { startTask, type Task } from '../../workers/task.ts'
import WhatIfWorker from '../../workers/what-if.worker.ts?worker'
import type { WhatIfAnswer, WhatIfRequest } from '../../workers/what-if.worker.ts'
import { searchInLanes } from '../lay-lanes.ts'
import { useSearchers } from '../searchers.ts'
import { ticketOf } from './ticket-of.ts'

const ALONE_SECONDS = 3
const TOGETHER_SECONDS = 10

/** Tickets that are tried on one length, beside each by itself. */
export interface Trial {
  readonly clothId: string
  readonly plan: ClothLay
  readonly tickets: readonly (JointTicket & { readonly aloneMm: number })[]
  readonly lay: Lay | null
  readonly failed: string
}

export function useTrial() {
  const trial = shallowRef<Trial | null>(null)
  const running = ref(false)
  const searchers = useSearchers()
  let tasks: Task[] = []

  /** Lays a ticket and others on one length, and each by itself beside it. @throws Error in words. */
  async function tryWith(mine: JointTicket, jobIds: readonly string[]): Promise<void> {
    drop()
    running.value = true
    try {
      const clothId = mine.own.cloth.id
      const tickets = [mine, ...(await Promise.all(jobIds.map((id) => ticketOf(id, clothId))))]
      const alone = await Promise.all(tickets.map(({ own: { problem } }) => laidAlone(problem)))
      if (!running.value) return
      refuseUnlike(tickets, alone)
      trial.value = {
        clothId,
        plan: cutTogether(tickets),
        tickets: tickets.map((t, i) => ({ ...t, aloneMm: alone[i]! })),
        lay: null,
        failed: '',
      }
      search(trial.value.plan)
    } catch (cause) {
      stop()
      throw cause
    }
  }

  function search({ problem }: ClothLay): void {
    const better = (lay: Lay) => {
      if (trial.value && isShorter(lay, trial.value.lay)) trial.value = { ...trial.value, lay }
    }
    const nothingLocked = { lay: { placements: [], offsets: {} }, keys: [] }
    tasks = [
      searchInLanes(
        { problem, seed: 1, seconds: TOGETHER_SECONDS, locked: nothingLocked, inHand: null },
        searchers.everywhere(),
        {
          onBetter: ({ lay }, seconds) => better({ ...lay, seconds: Number(seconds.toFixed(2)) }),
          onEnd: (why) => {
            if (why && trial.value) trial.value = { ...trial.value, failed: 'They do not go on this cloth together.' }
            stop()
          },
        },
      ),
    ]
  }

  const laidAlone = (problem: ClothLay['problem']): Promise<number | null> =>
    new Promise((resolve) => {
      let lengthMm: number | null = null
      tasks.push(
        startTask<WhatIfRequest, WhatIfAnswer>({
          worker: WhatIfWorker,
          ask: { kind: 'lay', key: 0, problem, seconds: ALONE_SECONDS },
          onMessage: (answer) => (lengthMm = answer.kind === 'lay' ? answer.lengthMm : null),
          onEnd: () => resolve(lengthMm),
        }),
      )
    })

  function stop(): void {
    tasks.forEach((task) => task.stop())
    tasks = []
    running.value = false
  }

  /** Forgets what was tried. */
  function drop(): void {
    stop()
    trial.value = null
  }

  return { trial, running, tryWith, stop, drop }
}

/** @throws Error in words where tickets do not go together, or one has no lay of its own. */
function refuseUnlike(tickets: readonly JointTicket[], alone: readonly (number | null)[]): void {
  const { own } = tickets[0]!
  const other = tickets.find((t) => t.own.isFolded !== own.isFolded)
  if (other)
    throw new Error(
      phrase`${other.ticket} is cut ${own.isFolded ? 'flat' : 'folded'}, this one is not: lay both alike first.`,
    )
  const missing = tickets.find((_, i) => alone[i] === null)
  if (missing) throw new Error(phrase`${missing.ticket} does not go on this cloth by itself.`)
}
