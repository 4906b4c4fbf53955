import { defineStore } from 'pinia'
import { computed, watch } from 'vue'
import type { Lay } from '../../../contract/index.ts'
import type { ClothLay } from '../../../core/cloth/index.ts'
import { phrase } from '../../../core/language/index.ts'
import { cutTogether, jointShares, wholeLay, type JointTicket } from '../../../core/what-if/index.ts'
import { newAct } from '../../api/http.ts'
import { amendJob } from '../../api/jobs.ts'
import { useJob } from '../job.ts'
import { useLay } from '../lay/index.ts'
import { useTicketsOfJoint } from './tickets-of-joint.ts'
import { withLay, withoutLay, type KeptLay } from './with-lay.ts'
import { useTrial } from './trial.ts'

/**
 * The lay on the table: of the open job alone, or of all tickets that are cut from one cloth together. A joint lay is
 * tried here, kept in every one of its tickets, and taken apart again.
 */
export const useJoint = defineStore('joint', () => {
  const jobs = useJob()
  const lays = useLay()
  const mine = (own: ClothLay): JointTicket => ({ jobId: jobs.id, ticket: jobs.whole!.ticket, own })
  const joint = computed(() => lays.kept?.joint ?? null)
  const { tickets, changed } = useTicketsOfJoint(joint, () => lays.chosen, mine)
  const { trial, running, tryWith, stop, drop } = useTrial()
  watch(() => [jobs.id, lays.chosen?.key], drop)

  const table = computed((): Table | null => {
    const { chosen, current, kept } = lays
    if (trial.value?.lay) return { plan: trial.value.plan, lay: trial.value.lay, isJoint: true }
    if (!chosen || !current) return null
    if (kept?.joint && tickets.value.length > 0)
      return { plan: cutTogether(tickets.value), lay: wholeLay(kept.lay, kept.joint), isJoint: true }
    return { plan: chosen, lay: current, isJoint: kept?.joint !== undefined && kept.joint !== null }
  })

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

  return {
    joint,
    table,
    trial,
    changed,
    running,
    /** Lays the open job and others on one length. @throws Error in words. */
    tryWith: async (jobIds: readonly string[]) => lays.chosen && tryWith(mine(lays.chosen), jobIds),
    stop,
    drop,
    keep,
    cutApart,
  }
})

interface Table {
  readonly plan: ClothLay
  readonly lay: Lay
  /** Nothing on it is moved by hand: others have pieces there. */
  readonly isJoint: boolean
}

const leaveOthers = ({ joint: cut }: KeptLay, clothId: string) =>
  Promise.all(cut!.others.map(({ jobId }) => amendJob(jobId, withoutLay(clothId, cut!.id), 'Cut apart again')))
