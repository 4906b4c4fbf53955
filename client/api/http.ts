import { Problem } from '../../contract/index.ts'

/** What the server refused, with its problem document; or what kept the request from arriving. */
export class ApiError extends Error {
  readonly problem: Problem | null

  constructor(problem: Problem | null, message: string) {
    super(message)
    this.problem = problem
  }
}

/** Fetches JSON; every failure comes as an ApiError in words. */
export async function fetchJson(url: string, init?: { method: string; body?: unknown }): Promise<unknown> {
  let response: Response
  try {
    response = await fetch(url, init ? (init.body === undefined ? { method: init.method } : { method: init.method, headers: { 'content-type': 'application/json' }, body: JSON.stringify(init.body) }) : {})
  } catch {
    throw new ApiError(null, 'The server cannot be reached. What you typed is kept in this browser and saved when it answers again.')
  }
  const body: unknown = await response.json().catch(() => null)
  if (response.ok) return body
  const problem = Problem.safeParse(body)
  throw new ApiError(problem.success ? problem.data : null, problem.success ? `${problem.data.title}. ${problem.data.detail ?? ''}` : `The server answered ${response.status}.`)
}
