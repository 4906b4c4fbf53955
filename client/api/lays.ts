import { Lay, SearchMessage, Searchers, type LayProblem } from '../../contract/index.ts'
import { acceptLay } from '../../core/lay/index.ts'
import { ApiError, fetchJson, fetchLines, known } from './http.ts'

export const whoSearches = async (): Promise<Searchers> => known(Searchers, await fetchJson('/api/lays/searchers'))

/** A search that other machines are asked for; pieces by their keys stay where the lay has them. */
export interface AskOthers {
  readonly problem: LayProblem
  readonly seed: number
  readonly seconds: number
  readonly locked: { readonly lay: Pick<Lay, 'placements' | 'offsets'>; readonly keys: readonly string[] }
}

/** Tells each better lay of other machines as it comes, and the end. @throws ApiError in words. */
export const searchElsewhere = (
  { problem, seed, seconds, locked }: AskOthers,
  signal: AbortSignal,
  onMessage: (message: SearchMessage) => void,
): Promise<void> => {
  const { placements, offsets } = locked.lay
  const body = { problem, seed, seconds, locked: { lay: { placements, offsets }, keys: locked.keys } }
  return fetchLines('/api/lays/search', body, signal, (line) => onMessage(known(SearchMessage, line)))
}

/** A lay as the shop plans it, on another machine where there is one; null where the problem has none. @throws ApiError. */
export async function layElsewhere(problem: LayProblem, seconds: number, signal: AbortSignal): Promise<Lay | null> {
  try {
    const body = { problem, seconds, seed: 1 }
    const lay = known(Lay, await fetchJson('/api/lays', { method: 'POST', body, signal }))
    if (acceptLay(problem, lay).length > 0) throw new ApiError(null, 'The lay that came back is not sound.')
    return lay
  } catch (cause) {
    if (cause instanceof ApiError && cause.problem?.type === 'urn:loft-seam:problem:no-lay') return null
    throw cause
  }
}
