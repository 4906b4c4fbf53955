import type { MessagePort } from 'node:worker_threads'
import { MakeLay, MOST_PIECES, readWith, type Fault, type LayProblem } from '../../contract/index.ts'
import {
  acceptLay,
  placementKey,
  problemFaults,
  solveAround,
  type Found,
  type LayFailure,
} from '../../core/lay/index.ts'
import { standBack } from '../workers/stand-back.ts'

standBack()

export interface LayTask {
  /** The body of a request to plan a lay. */
  readonly text: string
  /** Which of several searches of one problem this is. */
  readonly lane: number
  /** Where better lays are told as they come; null where only the last one is wanted. */
  readonly better: MessagePort | null
  /** What another machine found: it is the answer where it passes the check, else the lay is planned here. */
  readonly elsewhere: Laid | null
}

/** A lay on the way, and the seconds it took. */
export interface Better {
  readonly found: Found
  readonly seconds: number
}

export type Laid = { readonly kind: 'lay' } & Better
export type LayAnswer =
  | Laid
  | { readonly kind: 'none'; readonly failure: LayFailure }
  | { readonly kind: 'bad-document'; readonly faults: readonly Fault[] }
  | { readonly kind: 'not-json' }

/** Reads the text of a request and plans its lay, in a worker thread: long texts and hard pieces hold up nobody. */
export default function planLay({ text, lane, better, elsewhere }: LayTask): LayAnswer {
  const started = performance.now()
  const elapsed = () => Number(((performance.now() - started) / 1000).toFixed(2))
  let document: unknown
  try {
    document = JSON.parse(text)
  } catch {
    return { kind: 'not-json' }
  }
  const body = readWith(MakeLay, document)
  if (!body.ok) return { kind: 'bad-document', faults: body.faults }
  const { problem, seed, seconds, steps, locked } = body.value
  const faults = problemFaults(problem, MOST_PIECES).map((f) => ({ ...f, path: f.path.replace('$', '$.problem') }))
  if (faults.length > 0) return { kind: 'bad-document', faults: faults.slice(0, 20) }
  const strange = locked && strangeLocks(problem, locked.lay.placements)
  if (strange) return { kind: 'bad-document', faults: [strange] }
  if (elsewhere && acceptLay(problem, { ...elsewhere.found.lay, seconds: elsewhere.seconds }).length === 0)
    return elsewhere
  const solved = solveAround(problem, locked?.lay ?? { placements: [], offsets: {} }, new Set(locked?.keys), {
    seed,
    lane,
    budget: { steps: steps ?? Infinity, isStopped: () => elapsed() > seconds },
    ...(better ? { onBetter: (found) => better.postMessage({ found, seconds: elapsed() } satisfies Better) } : {}),
  })
  return solved.ok ? { kind: 'lay', found: solved.value, seconds: elapsed() } : { kind: 'none', failure: solved.error }
}

/** A place of a piece that the problem does not have, or of one twice. */
function strangeLocks(
  problem: LayProblem,
  placements: readonly { readonly id: string; readonly copy: number }[],
): Fault | null {
  const left = new Set(
    problem.pieces.flatMap(({ id, qty }) => Array.from({ length: qty }, (_, i) => placementKey({ id, copy: i + 1 }))),
  )
  const at = placements.findIndex((place) => !left.delete(placementKey(place)))
  return at < 0
    ? null
    : {
        path: `$.locked.lay.placements[${at}]`,
        message: `is of no piece of the problem, or of one that lies already: ${placementKey(placements[at]!)}`,
      }
}
