import { MakeLay, MOST_PIECES, readWith, type Fault, type Lay } from '../../contract/index.ts'
import { problemFaults, solveLay, type LayFailure } from '../../core/lay/index.ts'
import { standBack } from '../workers/stand-back.ts'

standBack()

export type LayAnswer =
  | { readonly kind: 'lay'; readonly lay: Lay }
  | { readonly kind: 'none'; readonly failure: LayFailure }
  | { readonly kind: 'bad-document'; readonly faults: readonly Fault[] }
  | { readonly kind: 'not-json' }

/** Reads the text of a request and plans its lay, in a worker thread: long texts and hard pieces hold up nobody. */
export default function planLay(text: string): LayAnswer {
  const started = performance.now()
  const elapsed = () => (performance.now() - started) / 1000
  let document: unknown
  try {
    document = JSON.parse(text)
  } catch {
    return { kind: 'not-json' }
  }
  const body = readWith(MakeLay, document)
  if (!body.ok) return { kind: 'bad-document', faults: body.faults }
  const { problem, seed, seconds, steps } = body.value
  const faults = problemFaults(problem, MOST_PIECES).map((f) => ({ ...f, path: f.path.replace('$', '$.problem') }))
  if (faults.length > 0) return { kind: 'bad-document', faults: faults.slice(0, 20) }
  const budget = { steps: steps ?? Infinity, isStopped: () => elapsed() > seconds }
  const solved = solveLay(problem, { seed, budget })
  return solved.ok
    ? { kind: 'lay', lay: { ...solved.value.lay, seconds: Number(elapsed().toFixed(2)) } }
    : { kind: 'none', failure: solved.error }
}
