import type { Calendar, Resource } from '../../contract/index.ts'
import type { Part } from '../making/index.ts'
import { dayName, dayNumber } from './days.ts'
import { FreeTime, MINUTES_A_DAY, type Stretch } from './free-time.ts'

export const RESOURCES = ['table', 'machine', 'bench'] as const satisfies readonly Resource[]

/** Minutes of one part of a job at one place. */
export interface Task {
  readonly part: Part
  readonly resource: Resource
  readonly minutes: number
  /** Cannot begin before this is delivered. */
  readonly needs: 'foam' | 'cloth' | null
  /** Glue cures after it before the job goes on. */
  readonly cures: boolean
}

/** A job as the calendar sees it. */
export interface JobToPlan {
  readonly id: string
  readonly ticket: string
  readonly tasks: readonly Task[]
  readonly dueOn: string | null
  readonly orderedOn: string | null
  readonly notBefore: string | null
  /** Whether it must be bought; what is in hand has no delivery. */
  readonly buys: { readonly foam: boolean; readonly cloth: boolean }
}

export interface PlannedTask extends Task {
  readonly stretches: readonly Stretch[]
  /** What it waited for: delivery, glue, or other work at its place; null where it began at once. */
  readonly waitedFor: 'foam' | 'cloth' | 'glue' | 'busy' | null
}

export interface PlannedJob {
  readonly id: string
  readonly ticket: string
  readonly tasks: readonly PlannedTask[]
  readonly startsOn: string | null
  readonly finishesOn: string | null
  readonly dueOn: string | null
  /** Days after the due day; 0 where it is in time or has none. */
  readonly lateDays: number
  /** What held it up most, where it is late. */
  readonly why: PlannedTask['waitedFor'] | 'work' | null
  /** What must be ordered today, or is late in being ordered, to keep the plan. */
  readonly orderToday: readonly ('foam' | 'cloth')[]
}

/**
 * Lays jobs over the shop's days: due first, each part at the first free time of its place, once
 * what it builds on is finished. Times in minutes since 1970, days as `2026-03-04`.
 */
export function planCalendar(jobs: readonly JobToPlan[], calendar: Calendar, today: string): readonly PlannedJob[] {
  const first = dayNumber(today)
  const free = Object.fromEntries(RESOURCES.map((r) => [r, new FreeTime(calendar, r, first)])) as Record<
    Resource,
    FreeTime
  >
  return jobs.toSorted(byUrgency).map((job) => planOne(job, calendar, free, first))
}

const byUrgency = (a: JobToPlan, b: JobToPlan): number =>
  (a.dueOn ?? '9999').localeCompare(b.dueOn ?? '9999') || a.ticket.localeCompare(b.ticket)

/** What must be finished before a part is begun: covers are sewn while the foam is still on its way. */
const AFTER: Readonly<Record<Part, readonly Part[]>> = {
  foam: [],
  cloth: [],
  sewing: ['cloth'],
  closing: ['sewing', 'foam'],
  fitting: ['closing'],
}

function planOne(job: JobToPlan, calendar: Calendar, free: Record<Resource, FreeTime>, today: number): PlannedJob {
  const start = Math.max(today, job.notBefore ? dayNumber(job.notBefore) : today) * MINUTES_A_DAY
  const done: Partial<Record<Part, number>> = {}
  let curedAt = start
  const tasks: PlannedTask[] = []
  for (const task of job.tasks) {
    const ready = done[task.part] ?? Math.max(start, ...AFTER[task.part].map((part) => done[part] ?? start))
    const delivered =
      task.needs && job.buys[task.needs] ? deliveryDay(job, task.needs, calendar, today) * MINUTES_A_DAY : start
    const glue = task.part === 'closing' ? curedAt : start
    const stretches = free[task.resource].take(task.minutes, Math.max(ready, delivered, glue))
    if (!stretches) return { ...bare(job), tasks, startsOn: firstDay(tasks), lateDays: 0, why: 'busy' }
    const ends = stretches.at(-1)!.to
    tasks.push({
      ...task,
      stretches,
      waitedFor: waited({
        ready,
        delivered,
        glue,
        needs: task.needs,
        late: stretches[0]!.from > free[task.resource].opensAt(Math.max(ready, delivered, glue)),
      }),
    })
    done[task.part] = ends
    if (task.cures) curedAt = ends + calendar.cureHours * 60
  }
  const finishesOn = tasks.length === 0 ? null : dayOf(Math.max(...tasks.map((t) => t.stretches.at(-1)!.to)) - 1)
  const lateDays = job.dueOn && finishesOn ? Math.max(0, dayNumber(finishesOn) - dayNumber(job.dueOn)) : 0
  return {
    ...bare(job),
    tasks,
    startsOn: firstDay(tasks),
    finishesOn,
    lateDays,
    why: lateDays > 0 ? longestWait(tasks, start) : null,
    orderToday: toOrder(job, tasks),
  }
}

/** The first day on which anything of a job is done. */
const firstDay = (tasks: readonly PlannedTask[]): string | null =>
  tasks.length === 0 ? null : dayOf(Math.min(...tasks.map((t) => t.stretches[0]!.from)))

const bare = ({ id, ticket, dueOn }: JobToPlan) => ({ id, ticket, dueOn, finishesOn: null, orderToday: [] })

/** Ordered today where it is not ordered yet. */
const deliveryDay = ({ orderedOn }: JobToPlan, what: 'foam' | 'cloth', { leadDays }: Calendar, today: number): number =>
  (orderedOn ? dayNumber(orderedOn) : today) + leadDays[what]

const dayOf = (minutes: number): string => dayName(Math.floor(minutes / MINUTES_A_DAY))

/** A night or a holiday is no wait; `late`: the place was open and taken. */
function waited({
  ready,
  delivered,
  glue,
  needs,
  late,
}: {
  readonly ready: number
  readonly delivered: number
  readonly glue: number
  readonly needs: Task['needs']
  readonly late: boolean
}): PlannedTask['waitedFor'] {
  if (needs && delivered > ready && delivered >= glue) return needs
  if (glue > ready) return 'glue'
  return late ? 'busy' : null
}

/** The wait that took longest; plain work where nothing was waited for. */
function longestWait(tasks: readonly PlannedTask[], start: number): PlannedJob['why'] {
  const endBefore = (i: number) =>
    i === 0
      ? start
      : Math.max(
          start,
          ...tasks
            .slice(0, i)
            .filter((t) => AFTER[tasks[i]!.part].includes(t.part) || t.part === tasks[i]!.part)
            .map((t) => t.stretches.at(-1)!.to),
        )
  const waits = tasks
    .map((t, i) => ({ for: t.waitedFor, minutes: t.stretches[0]!.from - endBefore(i) }))
    .filter((w) => w.for !== null)
  return waits.toSorted((a, b) => b.minutes - a.minutes)[0]?.for ?? 'work'
}

/** Not ordered yet, and something of it must come. */
const toOrder = ({ orderedOn, buys }: JobToPlan, tasks: readonly PlannedTask[]): readonly ('foam' | 'cloth')[] =>
  orderedOn ? [] : (['foam', 'cloth'] as const).filter((what) => buys[what] && tasks.some((t) => t.needs === what))

/** Tickets whose next part falls on a day. */
export const startedOn = (jobs: readonly PlannedJob[], day: string): readonly PlannedJob[] =>
  jobs.filter((j) => j.tasks.some((t) => t.stretches.some((s) => dayOf(s.from) === day)))
