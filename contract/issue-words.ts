import type { z } from 'zod'

/**
 * What is wrong with a value and what would cure it, to be read after the name of its field: "must be at least 10".
 * Undefined where the schema has words of its own.
 */
export function issueWords(issue: z.core.$ZodRawIssue): string | undefined {
  switch (issue.code) {
    case 'invalid_type':
      return issue.input === undefined ? 'is missing' : `must be ${TYPES[issue.expected] ?? issue.expected}`
    case 'too_small':
      return leastWords(issue.origin, Number(issue.minimum), issue.inclusive ?? true)
    case 'too_big':
      return mostWords(issue.origin, Number(issue.maximum), issue.inclusive ?? true)
    case 'invalid_value':
      return oneOf(issue.values)
    case 'invalid_union':
      return Array.isArray(issue['options']) ? oneOf(issue['options']) : 'is nothing that may stand here'
    case 'invalid_format':
      return `must be ${FORMATS[issue.format] ?? `written as ${issue.pattern ?? issue.format}`}`
    case 'not_multiple_of':
      return `must be a multiple of ${issue.divisor}`
    default:
      return undefined
  }
}

const TYPES: Readonly<Record<string, string>> = {
  number: 'a number',
  int: 'a whole number',
  string: 'a text',
  boolean: 'true or false',
  array: 'a list',
  object: 'an object',
  record: 'an object',
  null: 'null',
}

const FORMATS: Readonly<Record<string, string>> = {
  date: 'a day, as 2026-12-04',
  datetime: 'a day and time, as 2026-12-04T09:30:00Z',
}

function leastWords(origin: string, least: number, inclusive: boolean): string {
  if (origin === 'number') return `must be ${inclusive ? 'at least' : 'more than'} ${least}`
  return least === 1 ? 'is empty' : `must have at least ${countWords(origin, least)}`
}

const mostWords = (origin: string, most: number, inclusive: boolean): string =>
  origin === 'number'
    ? `must be ${inclusive ? 'at most' : 'less than'} ${most}`
    : `must have at most ${countWords(origin, most)}`

const COUNTED: Readonly<Record<string, string>> = { string: 'character', array: 'entry', set: 'entry', map: 'entry' }

function countWords(origin: string, count: number): string {
  const counted = COUNTED[origin] ?? 'part'
  return `${count} ${count === 1 ? counted : counted === 'entry' ? 'entries' : `${counted}s`}`
}

const oneOf = (values: readonly unknown[]): string =>
  values.length === 1 ? `must be ${String(values[0])}` : `must be one of ${values.map(String).join(', ')}`
