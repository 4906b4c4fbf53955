import { RESOURCES, type Task } from '../calendar/index.ts'
import type { Rates } from '../../contract/index.ts'
import { stepMinutes } from './minutes.ts'
import { PARTS, type Step } from './step.ts'

/** A work order as the calendar sees it: so many minutes of each part at each place, in order, what is ticked left out. */
export function tasksOf(steps: readonly Step[], rates: Rates, isDone: (id: string) => boolean): readonly Task[] {
  return PARTS.flatMap((part) => {
    const own = steps.filter((s) => s.part === part && !isDone(s.id))
    const cures = own.some((s) => s.cures)
    const tasks = RESOURCES.flatMap((resource): Task[] => {
      const minutes = Math.round(own.filter((s) => s.resource === resource).reduce((sum, s) => sum + stepMinutes(s, rates).value, 0))
      return minutes > 0 ? [{ part, resource, minutes, needs: part === 'foam' || part === 'cloth' ? part : null, cures: false }] : []
    })
    const last = tasks.at(-1)
    return last && cures ? [...tasks.slice(0, -1), { ...last, cures }] : tasks
  })
}
