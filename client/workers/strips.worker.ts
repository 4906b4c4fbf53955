import highsLoader from 'highs'
import wasm from 'highs/runtime?url'
import {
  solveStrips,
  type SolveMip,
  type StripFault,
  type StripGroup,
  type StripPlan,
} from '../../core/strips/index.ts'

export interface StripsMessage {
  readonly answers: readonly (StripPlan | StripFault)[]
}

const loaded = highsLoader({ locateFile: () => wasm })

/** The rows of every group of strips, solved exactly. */
self.onmessage = async ({ data }: MessageEvent<readonly StripGroup[]>) => {
  const highs = await loaded
  const solve: SolveMip = (lp, columns) => {
    const { Status, Columns } = highs.solve(lp, { time_limit: LONGEST_SECONDS }) as {
      Status: string
      Columns: Record<string, { Primal?: number }>
    }
    const hasAnswer = Status === 'Optimal' || Status === 'Time limit reached'
    return hasAnswer
      ? {
          isOptimal: Status === 'Optimal',
          values: Array.from({ length: columns }, (_, i) => Columns[`x${i}`]?.Primal ?? 0),
        }
      : null
  }
  self.postMessage({
    answers: data.map(({ wanted, stock }) => solveStrips(wanted, stock, solve)),
  } satisfies StripsMessage)
}

const LONGEST_SECONDS = 5
