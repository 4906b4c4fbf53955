import { phrase } from '../../../core/language/index.ts'
import { planJob } from '../../../core/plan/index.ts'
import type { JointTicket } from '../../../core/what-if/index.ts'
import { openJob } from '../../api/jobs.ts'

/** What a job cuts from a cloth, as it is saved. @throws Error in words where it cuts nothing from it. */
export async function ticketOf(jobId: string, clothId: string): Promise<JointTicket> {
  const { job } = await openJob(jobId)
  const plan = planJob(job)
  if (plan.kind !== 'worked') throw new Error(phrase`${job.ticket} cannot be worked out: open it and see why.`)
  const own = plan.cloth.lays.find((l) => l.cloth.id === clothId)
  if (!own) throw new Error(phrase`${job.ticket} has nothing of this cloth.`)
  return { jobId, ticket: job.ticket, own }
}
