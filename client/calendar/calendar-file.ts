import { phrase } from '../../core/language/index.ts'
import type { JobSummary } from '../../contract/index.ts'
import { dayName, dayNumber, type PlannedJob } from '../../core/calendar/index.ts'
import { FOLLOW_UP_WORDS } from '../job/follow-up-words.ts'

/**
 * The shop's days as an iCalendar file: when each job is made, the day it is due, and what customers are to be reminded
 * of. Whole days, no times; events keep their ids, so that a file taken in again replaces what was there.
 */
export async function calendarFile(planned: readonly PlannedJob[], jobs: readonly JobSummary[]): Promise<string> {
  const { default: ical, ICalCalendarMethod } = await import('ical-generator')
  const calendar = ical({ name: 'Loft Seam', method: ICalCalendarMethod.PUBLISH, prodId: '//loft-seam//days//EN' })
  const byId = new Map(jobs.map((j) => [j.id, j]))
  const name = (id: string) => {
    const job = byId.get(id)
    return job ? `${job.ticket} ${job.title}` : id
  }
  /** `to` is the last day of it. */
  const put = (id: string, summary: string, from: string, to: string, description = '') =>
    calendar.createEvent({
      id,
      summary,
      allDay: true,
      start: asDate(from),
      end: asDate(dayName(dayNumber(to) + 1)),
      ...(description ? { description } : {}),
    })
  for (const p of planned) {
    if (p.startsOn && p.finishesOn) put(`${p.id}-made`, phrase`${name(p.id)}: in work`, p.startsOn, p.finishesOn)
    if (p.dueOn)
      put(
        `${p.id}-due`,
        phrase`${name(p.id)}: due`,
        p.dueOn,
        p.dueOn,
        p.lateDays > 0 ? phrase`planned ${p.lateDays} days late` : '',
      )
  }
  for (const job of jobs)
    for (const f of job.card.archivedOn === null ? job.card.followUps : [])
      put(`${job.id}-${f.kind}-${f.day}`, phrase`${name(job.id)}: ${FOLLOW_UP_WORDS[f.kind]}`, f.day, f.day)
  // Extensions of single programs are left out: whole days need none.
  return calendar.toString().replaceAll(/^X-MICROSOFT.*\r?\n/gm, '')
}

/** Noon keeps a whole day on its day, whatever the hour here is elsewhere. */
const asDate = (day: string): Date => new Date(`${day}T12:00:00`)
