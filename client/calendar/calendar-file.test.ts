import { expect, it } from 'vitest'
import type { JobSummary } from '../../contract/index.ts'
import { planCalendar } from '../../core/calendar/index.ts'
import { jobCard, jobToPlan } from '../../core/card/index.ts'
import { USUAL_WORKSHOP } from '../../core/defaults/index.ts'
import { demoJobs } from '../../core/demo/index.ts'
import { calendarFile } from './calendar-file.ts'

/** The events of a file, read line by line; long lines are folded with a blank. */
function eventsIn(text: string): readonly Readonly<Record<string, string>>[] {
  const lines = text.replaceAll(/\r?\n[ \t]/g, '').split(/\r?\n/)
  const events: Record<string, string>[] = []
  for (const line of lines) {
    if (line === 'BEGIN:VEVENT') events.push({})
    const [, name, value] = /^([A-Z-]+)[^:]*:(.*)$/.exec(line) ?? []
    if (name && value && events.length > 0) events.at(-1)![name] ??= value
  }
  return events
}

it('one event from the first day of the work to its last, one on the day it is due, one for each reminder', async () => {
  const job = demoJobs().find((j) => j.ticket === 'SL-02')!
  const due = { ...job, terms: { ...job.terms, stage: 'ordered' as const, dueOn: '2026-03-20', archivedOn: null } }
  const reminded = {
    ...due,
    fitting: { ...due.fitting, followUps: [{ kind: 'turn' as const, day: '2026-09-01', doneOn: null }] },
  }
  const summary = {
    id: 'job-1',
    ticket: 'SL-02',
    title: "Keepers' bench",
    card: jobCard(reminded),
  } as unknown as JobSummary
  const planned = planCalendar([jobToPlan(summary, USUAL_WORKSHOP.rates)], USUAL_WORKSHOP.calendar, '2026-03-02')
  const events = eventsIn(await calendarFile(planned, [summary]))
  const compact = (day: string, more = 0) =>
    new Date(Date.parse(`${day}T00:00:00Z`) + more * 86_400_000).toISOString().slice(0, 10).replaceAll('-', '')
  expect(events.map((e) => [e['SUMMARY'], e['DTSTART'], e['DTEND']])).toEqual([
    ["SL-02 Keepers' bench: in work", compact(planned[0]!.startsOn!), compact(planned[0]!.finishesOn!, 1)],
    ["SL-02 Keepers' bench: due", '20260320', '20260321'],
    ["SL-02 Keepers' bench: turn the cushions", '20260901', '20260902'],
  ])
  expect(new Set(events.map((e) => e['UID'])).size).toBe(3)
})
