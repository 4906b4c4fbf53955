import type { JobCard, Rates } from '../../contract/index.ts'
import { RESOURCES, type JobToPlan, type Task } from '../calendar/index.ts'
import { PARTS } from '../making/index.ts'

/** A job as the calendar takes it: minutes of what is left, part by part and place by place. */
export const jobToPlan = (
  { id, ticket, card }: { readonly id: string; readonly ticket: string; readonly card: JobCard },
  rates: Rates,
): JobToPlan => ({
  id,
  ticket,
  tasks: tasksOf(card, rates),
  dueOn: card.dueOn,
  orderedOn: card.orderedOn,
  notBefore: card.notBefore,
  buys: card.buys,
})

function tasksOf({ left }: JobCard, rates: Rates): readonly Task[] {
  return PARTS.flatMap((part) => {
    const own = left.filter((l) => l.part === part)
    const tasks = RESOURCES.flatMap((resource): Task[] => {
      const minutes = Math.round(
        own.filter((l) => l.resource === resource).reduce((sum, l) => sum + l.units * rates[l.kind], 0),
      )
      return minutes > 0
        ? [{ part, resource, minutes, needs: part === 'foam' || part === 'cloth' ? part : null, cures: false }]
        : []
    })
    const last = tasks.at(-1)
    return last && own.some((l) => l.cures) ? [...tasks.slice(0, -1), { ...last, cures: true }] : tasks
  })
}

/** Jobs that the calendar has to find a place for: ordered or begun, not put away. */
export const isOpen = ({ stage, archivedOn }: Pick<JobCard, 'stage' | 'archivedOn'>): boolean =>
  archivedOn === null && (stage === 'ordered' || stage === 'making')
