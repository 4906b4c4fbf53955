import type { z } from 'zod'
import { migrateJob } from './migrations/index.ts'
import { issueWords } from './issue-words.ts'
import { Job, JOB_FORMAT, JOB_VERSION } from './job.ts'

/** One thing wrong with a document: where, and what, in words. */
export interface Fault {
  readonly path: string
  readonly message: string
}

export type ReadDocument<T> =
  { readonly ok: true; readonly value: T } | { readonly ok: false; readonly faults: readonly Fault[] }

/** Checks a document against a schema; every fault names its JSON path. */
export function readWith<T>(schema: z.ZodType<T>, document: unknown): ReadDocument<T> {
  const parsed = schema.safeParse(document, { error: issueWords })
  return parsed.success ? { ok: true, value: parsed.data } : { ok: false, faults: firstOf(parsed.error.issues) }
}

/** Where in a ticket a fault is, as one who looks at one of its parts would say. */
export const placeOf = ({ path }: Fault): string => path.replace(/^\$\.?(parts\[\d+\]\.)?/, '')

/** More of them help nobody, and would be most of the answer. */
const MOST_TOLD = 20

function firstOf(issues: readonly z.core.$ZodIssue[]): readonly Fault[] {
  const told = issues.slice(0, MOST_TOLD).map(faultOf)
  return issues.length <= MOST_TOLD
    ? told
    : [...told, { path: '$', message: `and ${issues.length - MOST_TOLD} faults more` }]
}

/** Reads a job document of any known version; says plainly when it is foreign or newer. */
export function readJob(document: unknown): ReadDocument<Job> {
  if (typeof document !== 'object' || document === null || Array.isArray(document))
    return refuse('$', 'is not a job file: a JSON object is expected')
  const { format, version } = document as Record<string, unknown>
  if (format !== JOB_FORMAT) return refuse('$.format', `is not a job file of this program: "${JOB_FORMAT}" is expected`)
  if (typeof version === 'number' && version > JOB_VERSION) {
    return refuse(
      '$.version',
      `was written by a newer release (version ${version}; this one reads up to ${JOB_VERSION}): update, then open it again`,
    )
  }
  return readWith(Job, migrateJob(document as Record<string, unknown>))
}

/** `pieces`, 3, `outline` to `$.pieces[3].outline`. */
export const jsonPath = (path: readonly PropertyKey[]): string =>
  path.reduce<string>(
    (text, key) =>
      text +
      (typeof key === 'number'
        ? `[${key}]`
        : /^[A-Za-z_]\w*$/.test(String(key))
          ? `.${String(key)}`
          : `[${JSON.stringify(String(key))}]`),
    '$',
  )

const refuse = (path: string, message: string): { ok: false; faults: readonly Fault[] } => ({
  ok: false,
  faults: [{ path, message }],
})

function faultOf(issue: z.core.$ZodIssue): Fault {
  if (issue.code === 'unrecognized_keys')
    return {
      path: jsonPath([...issue.path, issue.keys[0]!]).slice(0, MOST_CHARACTERS),
      message: `unknown key${issue.keys.length > 1 ? 's' : ''} ${issue.keys.slice(0, 5).join(', ').slice(0, MOST_CHARACTERS)}${issue.keys.length > 5 ? ' …' : ''}`,
    }
  return { path: jsonPath(issue.path).slice(0, MOST_CHARACTERS), message: issue.message.slice(0, MOST_CHARACTERS) }
}

const MOST_CHARACTERS = 400
