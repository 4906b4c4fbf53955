import { Problem } from '../../contract/index.ts'

/** What the server refused, with its problem document; or what kept the request from arriving. */
export class ApiError extends Error {
  readonly problem: Problem | null

  constructor(problem: Problem | null, message: string) {
    super(message)
    this.problem = problem
  }
}

/** Names this page to the server, so that it does not listen to itself. */
export const PAGE_ID = Math.random().toString(36).slice(2, 12)

/** Called when the server wants a passphrase first. */
let onSignIn: () => void = () => undefined
export const whenSignInIsWanted = (go: () => void): void => {
  onSignIn = go
}

/** Fetches JSON; every failure comes as an ApiError in words. A file goes as it is. */
export async function fetchJson(url: string, init?: { method: string; body?: unknown; file?: Blob }): Promise<unknown> {
  const isJson = init?.body !== undefined
  let response: Response
  try {
    response = await fetch(url, init ? { method: init.method, headers: { 'x-page': PAGE_ID, ...(isJson ? { 'content-type': 'application/json' } : {}) }, ...(isJson ? { body: JSON.stringify(init.body) } : init.file ? { body: init.file } : {}) } : {})
  } catch {
    throw new ApiError(null, 'The server cannot be reached. What you typed is kept in this browser and saved when it answers again.')
  }
  const body: unknown = await response.json().catch(() => null)
  if (response.ok) return body
  if (response.status === 401) onSignIn()
  const problem = Problem.safeParse(body)
  throw new ApiError(problem.success ? problem.data : null, problem.success ? `${problem.data.title}. ${problem.data.detail ?? ''}` : `The server answered ${response.status}.`)
}
