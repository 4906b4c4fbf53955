import type { FirstWeekday } from '../../contract/index.ts'

/** Days are counted from 1970-01-01, so that they can be added to. */
export const dayNumber = (day: string): number => Math.round(Date.parse(`${day}T00:00:00Z`) / MS_A_DAY)
export const dayName = (number: number): string => new Date(number * MS_A_DAY).toISOString().slice(0, 10)

/** 0 for Monday to 6 for Sunday; 1970-01-01 was a Thursday. */
export const weekdayOf = (number: number): number => (((number + 3) % 7) + 7) % 7

/** The seven weekdays in the order of a week that begins on one of them: 0 for Monday to 6 for Sunday. */
export const weekFrom = (first: FirstWeekday): readonly number[] =>
  Array.from({ length: 7 }, (_, i) => (BEGINS[first] + i) % 7)

const BEGINS: Readonly<Record<FirstWeekday, number>> = { monday: 0, saturday: 5, sunday: 6 }

const MS_A_DAY = 86_400_000
