import { defineStore } from 'pinia'
import { computed, ref, shallowRef, watch } from 'vue'
import { phrase } from '../../core/language/index.ts'
import type { Job, Lay } from '../../contract/index.ts'
import type { ClothLay } from '../../core/cloth/index.ts'
import { held } from '../../core/keyed/index.ts'
import { isShorter } from '../../core/lay/index.ts'
import { planJob } from '../../core/plan/index.ts'
import { cutTogether, jointShares, problemKey, wholeLay, type JointTicket } from '../../core/what-if/index.ts'
import { newAct } from '../api/http.ts'
import { amendJob, openJob } from '../api/jobs.ts'
import { startTask, type Task } from '../workers/task.ts'
import WhatIfWorker from '../workers/what-if.worker.ts?worker'
import type { WhatIfAnswer, WhatIfRequest } from '../workers/what-if.worker.ts'
import { useJob } from './job.ts'
import { useLay } from './lay/index.ts'
import { laneCount, searchInLanes } from './lay-lanes.ts'

const ALONE_SECONDS = 3
const TOGETHER_SECONDS = 10

/**
 * The lay on the table: of the open job alone, or of all tickets that are cut from one cloth together. A joint lay is
 * tried here, kept in every one of its tickets, and taken apart again.
 */
export const useJoint = defineStore('joint', () => {
  const jobs = useJob()
  const lays = useLay()
  const trial = shallowRef<Trial | null>(null)
  /** The tickets of the joint lay that is kept, each with its pieces as they are now. */
  const read = shallowRef<readonly JointTicket[]>([])
  const changed = ref<readonly string[]>([])
  const running = ref(false)
  let tasks: Task[] = []

  const joint = computed(() => lays.kept?.joint ?? null)
  const table = computed((): Table | null => {
    const { chosen, current, kept } = lays
    if (trial.value?.lay) return { plan: trial.value.plan, lay: trial.value.lay, isJoint: true }
    if (!chosen || !current) return null
    if (kept?.joint && read.value.length > 0)
      return { plan: cutTogether(read.value), lay: wholeLay(kept.lay, kept.joint), isJoint: true }
    return { plan: chosen, lay: current, isJoint: kept?.joint !== undefined && kept.joint !== null }
  })

  watch(() => [joint.value?.id, lays.chosen?.key], readOthers, { immediate: true })
  watch(() => [jobs.id, lays.chosen?.key], drop)

  /** The other tickets as they are now: one that has changed since has to be laid anew. */
  async function readOthers(): Promise<void> {
    ;[read.value, changed.value] = [[], []]
    const [cut, own] = [joint.value, lays.chosen]
    if (!cut || !own) return
    const others = await Promise.all(
      cut.others.map(async (other) => {
        const found = await ticketOf(other.jobId, own.cloth.id).catch(() => null)
        return { other, found: found && problemKey(found.own.problem) === other.problemKey ? found : null }
      }),
    )
    if (joint.value !== cut) return
    changed.value = others.flatMap(({ other, found }) => (found ? [] : [other.ticket]))
    if (changed.value.length === 0)
      read.value = others.map((o) => o.found!).toSpliced(cut.place, 0, { ...mine(own), own })
  }

  const mine = (own: ClothLay): JointTicket => ({ jobId: jobs.id, ticket: jobs.whole!.ticket, own })

  /** Lays the open job and others on one length, and each by itself beside it. @throws Error in words. */
  async function tryWith(jobIds: readonly string[]): Promise<void> {
    const own = lays.chosen
    if (!own) return
    drop()
    running.value = true
    try {
      const tickets = [mine(own), ...(await Promise.all(jobIds.map((id) => ticketOf(id, own.cloth.id))))]
      const alone = await Promise.all(tickets.map(({ own: { problem } }) => laidAlone(problem)))
      if (!running.value) return
      const other = tickets.find((t) => t.own.isFolded !== own.isFolded)
      if (other)
        throw new Error(
          phrase`${other.ticket} is cut ${own.isFolded ? 'flat' : 'folded'}, this one is not: lay both alike first.`,
        )
      const missing = tickets.find((_, i) => alone[i] === null)
      if (missing) throw new Error(phrase`${missing.ticket} does not go on this cloth by itself.`)
      trial.value = {
        clothId: own.cloth.id,
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
    tasks = [
      searchInLanes(
        {
          problem,
          seed: 1,
          seconds: TOGETHER_SECONDS,
          locked: { lay: { placements: [], offsets: {} }, keys: [] },
          inHand: null,
        },
        laneCount(),
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

  /** Keeps the lay that was tried in each of its tickets; one step to undo, in all of them. */
  async function keep(): Promise<void> {
    const tried = trial.value
    if (!tried?.lay) return
    const [own, ...others] = jointShares(newAct(), tried.lay, tried.tickets)
    const names = tried.tickets.slice(1).map((t) => t.ticket)
    const keepOthers = () =>
      Promise.all(
        others.map((kept, i) => amendJob(tried.tickets[i + 1]!.jobId, withLay(tried.clothId, kept), 'Cut together')),
      )
    await keepOthers()
    jobs.edit({ says: phrase`Cut together with ${names.join(', ')}`, applyToJob: withLay(tried.clothId, own!) }, null, {
      undo: () => leaveOthers(own!, tried.clothId),
      redo: keepOthers,
    })
    drop()
  }

  /** Every ticket is laid by itself again. */
  async function cutApart(): Promise<void> {
    const [kept, clothId] = [lays.kept, lays.chosen?.cloth.id]
    if (!kept?.joint || !clothId) return
    await leaveOthers(kept, clothId)
    jobs.edit({ says: 'Cut apart again', applyToJob: withoutLay(clothId, kept.joint.id) })
  }

  const leaveOthers = ({ joint: cut }: KeptLay, clothId: string) =>
    Promise.all(cut!.others.map(({ jobId }) => amendJob(jobId, withoutLay(clothId, cut!.id), 'Cut apart again')))

  return { joint, table, trial, changed, running, tryWith, stop, drop, keep, cutApart }
})

interface Table {
  readonly plan: ClothLay
  readonly lay: Lay
  /** Nothing on it is moved by hand: others have pieces there. */
  readonly isJoint: boolean
}

interface Trial {
  readonly clothId: string
  readonly plan: ClothLay
  readonly tickets: readonly (JointTicket & { readonly aloneMm: number })[]
  readonly lay: Lay | null
  readonly failed: string
}

type KeptLay = Job['lays'][string]

/** What a job cuts from a cloth, as it is saved. @throws Error in words where it cuts nothing from it. */
async function ticketOf(jobId: string, clothId: string): Promise<JointTicket> {
  const { job } = await openJob(jobId)
  const plan = planJob(job)
  if (plan.kind !== 'worked') throw new Error(phrase`${job.ticket} cannot be worked out: open it and see why.`)
  const own = plan.cloth.lays.find((l) => l.cloth.id === clothId)
  if (!own) throw new Error(phrase`${job.ticket} has nothing of this cloth.`)
  return { jobId, ticket: job.ticket, own }
}

const withLay =
  (clothId: string, kept: KeptLay) =>
  (job: Job): Job => ({ ...job, lays: { ...job.lays, [clothId]: kept } })

/** Without the lay it shares under this number; a lay of its own, made since, stays. */
const withoutLay =
  (clothId: string, jointId: string) =>
  (job: Job): Job =>
    held(job.lays, clothId)?.joint?.id === jointId
      ? { ...job, lays: Object.fromEntries(Object.entries(job.lays).filter(([id]) => id !== clothId)) }
      : job
