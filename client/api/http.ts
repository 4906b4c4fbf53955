import type { z } from 'zod'
import { Problem } from '../../contract/index.ts'

/** What the server refused, with its problem document; or what kept the request from arriving. */
export class ApiError extends Error {
  readonly problem: Problem | null
  constructor(problem: Problem | null, message: string) {
    super(message)
    this.problem = problem
  }
}

/** Whether a request got no answer: it may have arrived all the same. */
export const isLost = (cause: unknown): boolean => cause instanceof ApiError && cause.problem === null

/** Names this page to the server, so that it does not listen to itself. */
export const PAGE_ID = Math.random().toString(36).slice(2, 12)

/** Called when the server wants a passphrase first. */
let onSignIn: () => void = () => undefined
export const whenSignInIsWanted = (go: () => void): void => {
  onSignIn = go
}

export interface Ask {
  readonly method: string
  readonly body?: unknown
  /** Goes as it is. */
  readonly file?: Blob
  /** An act that is no put has an id of its own: when its answer is lost it is asked for again, and done once. */
  readonly act?: string
  /** How often an act is asked for before it is given up; three times where nothing is said. */
  readonly tries?: number
  /** Gives it up. */
  readonly signal?: AbortSignal
}

const TRIES = 3
const TRY_AGAIN_MS = 700

/** Fetches JSON; every failure comes as an ApiError in words. */
export async function fetchJson(url: string, ask?: Ask): Promise<unknown> {
  const response = await arrived(url, ask, ask?.act === undefined ? 1 : (ask.tries ?? TRIES))
  const body: unknown = await response.json().catch(() => null)
  if (response.ok) return body
  throw refusedBy(response, body)
}

/** Asks for an answer that comes line by line, a document each, as long as the signal lets it. @throws ApiError in words. */
export async function fetchLines(
  url: string,
  body: unknown,
  signal: AbortSignal,
  onLine: (document: unknown) => void,
): Promise<void> {
  const response = await fetch(url, requestOf({ method: 'POST', body, signal }))
  if (!response.ok) throw refusedBy(response, await response.json().catch(() => null))
  const reader = response.body!.pipeThrough(new TextDecoderStream()).getReader()
  let rest = ''
  for (;;) {
    const { value, done } = await reader.read()
    const lines = (rest + (value ?? '')).split('\n')
    rest = lines.pop()!
    lines.forEach((line) => onLine(JSON.parse(line)))
    if (done) return
  }
}

function refusedBy(response: Response, body: unknown): ApiError {
  if (response.status === 401) onSignIn()
  const problem = Problem.safeParse(body)
  return new ApiError(
    problem.success ? problem.data : null,
    problem.success ? `${problem.data.title}. ${problem.data.detail ?? ''}` : `The server answered ${response.status}.`,
  )
}

async function arrived(url: string, ask: Ask | undefined, tries: number): Promise<Response> {
  try {
    return await fetch(url, ask ? requestOf(ask) : {})
  } catch {
    if (tries <= 1) throw new ApiError(null, 'The server cannot be reached. Try again when it answers.')
    await new Promise((resolve) => setTimeout(resolve, TRY_AGAIN_MS))
    return arrived(url, ask, tries - 1)
  }
}

function requestOf({ method, body, file, act, signal }: Ask): RequestInit {
  const isJson = body !== undefined
  return {
    method,
    headers: {
      'x-page': PAGE_ID,
      ...(isJson ? { 'content-type': 'application/json' } : {}),
      ...(act === undefined ? {} : { 'x-act': act }),
    },
    ...(isJson ? { body: JSON.stringify(body) } : file ? { body: file } : {}),
    ...(signal ? { signal } : {}),
  }
}

/** An answer of the form this page knows. @throws ApiError in words where a server of another release answered. */
export function known<T>(schema: z.ZodType<T>, answer: unknown): T {
  const read = schema.safeParse(answer)
  if (read.success) return read.data
  throw new ApiError(
    null,
    'The server answers in a way this page does not know: reload the page, it may be of an older release.',
  )
}

/** A new id for an act; plain pages of a network have no `randomUUID`. */
export function newAct(): string {
  if (typeof crypto.randomUUID === 'function') return crypto.randomUUID()
  const bytes = crypto.getRandomValues(new Uint8Array(16))
  bytes[6] = (bytes[6]! & 0x0f) | 0x40
  bytes[8] = (bytes[8]! & 0x3f) | 0x80
  const hex = [...bytes].map((b) => b.toString(16).padStart(2, '0')).join('')
  return hex.replace(/^(.{8})(.{4})(.{4})(.{4})(.{12})$/, '$1-$2-$3-$4-$5')
}
