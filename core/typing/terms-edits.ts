import { phrase } from '../language/index.ts'
import { dayName, dayNumber } from '../calendar/index.ts'
import type { PartJob } from '../../contract/index.ts'
import { edit, fail, type Answer, type OpenJob, type Reader } from './failure.ts'

/** Words that change what was agreed: whose it is, what it is called, when it is due. */
export const TERMS_EDITS: Readonly<Record<string, Reader>> = {
  customer: (rest) => named('customer', 'Customer', rest.replace(/^\s*(?:is\s|[:=])\s*/i, ''), 120),
  title: (rest) => named('title', 'Title', rest, 120),
  note: (rest) => named('note', 'Note', rest, 4000),
  due: (rest, context) => due(rest, context),
}

function named(key: 'customer' | 'title' | 'note', label: string, rest: string, most: number): Answer {
  const text = rest.trim()
  if (text === '' || text.length > most)
    return fail({ code: 'pattern', word: key, example: `${key} Skerrow Light Trust` })
  return edit({ says: `${label}: ${text}`.slice(0, 200), apply: (job) => ({ ...job, [key]: text }) })
}

/** `due friday`, `due tomorrow`, `due in 2 weeks`, `due 12 december`, `due 2026-12-04`, `due never`. */
function due(rest: string, { today }: OpenJob): Answer {
  const text = rest.trim().toLowerCase()
  const set = (day: string | null): Answer =>
    edit({
      says: day === null ? 'No day due' : phrase`Due ${inWords(day)}`,
      apply: (job: PartJob) => ({ ...job, terms: { ...job.terms, dueOn: day } }),
    })
  if (/^(never|none|open)$/.test(text)) return set(null)
  const day = today === undefined ? isoDay(text) : (isoDay(text) ?? fromToday(text, today))
  return day === null
    ? fail({ code: 'pattern', word: 'due', example: 'due friday, due in 2 weeks, due 12 december, due 2026-12-04' })
    : set(day)
}

/** 2026-12-04 as `Friday 4 December 2026`. */
function inWords(day: string): string {
  const date = new Date(`${day}T00:00:00Z`)
  const capital = (word: string) => word[0]!.toUpperCase() + word.slice(1)
  return `${capital(WEEKDAYS[date.getUTCDay()]!)} ${date.getUTCDate()} ${capital(MONTHS[date.getUTCMonth()]!)} ${date.getUTCFullYear()}`
}

const isoDay = (text: string): string | null =>
  /^\d{4}-\d{2}-\d{2}$/.test(text) && !Number.isNaN(Date.parse(text)) && new Date(text).toISOString().startsWith(text)
    ? text
    : null

const WEEKDAYS = ['sunday', 'monday', 'tuesday', 'wednesday', 'thursday', 'friday', 'saturday']
const MONTHS = [
  'january',
  'february',
  'march',
  'april',
  'may',
  'june',
  'july',
  'august',
  'september',
  'october',
  'november',
  'december',
]
const UNIT_DAYS: Readonly<Record<string, number>> = { day: 1, week: 7, month: 30 }

/** A day told from today; the next one of its name. */
function fromToday(text: string, today: string): string | null {
  const off = (days: number) => dayName(dayNumber(today) + days)
  if (text === 'today') return today
  if (text === 'tomorrow') return off(1)
  const [, n, unit] = /^(?:in )?(\d{1,3}|a|next) (day|week|month)s?$/.exec(text) ?? []
  if (unit) return off(UNIT_DAYS[unit]! * (Number(n) || 1))
  const weekday = WEEKDAYS.findIndex(
    (d) => text.replace(/^(next|on) /, '').startsWith(d.slice(0, 3)) && d.startsWith(text.replace(/^(next|on) /, '')),
  )
  if (weekday >= 0) {
    const ahead = (weekday - new Date(`${today}T12:00:00Z`).getUTCDay() + 7) % 7
    return off(ahead === 0 ? 7 : ahead)
  }
  const [, d1, m1, m2, d2] = /^(?:(\d{1,2})\.? ([a-z]{3,})|([a-z]{3,}) (\d{1,2}))$/.exec(text) ?? []
  const month = MONTHS.findIndex((m) => m.startsWith(m1 ?? m2 ?? '-'))
  if (month < 0) return null
  const year = Number(today.slice(0, 4))
  const dayIn = (y: number) => isoDay(`${y}-${String(month + 1).padStart(2, '0')}-${(d1 ?? d2)!.padStart(2, '0')}`)
  const here = dayIn(year)
  return here === null || here >= today ? here : dayIn(year + 1)
}
