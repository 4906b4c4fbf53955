import { connect } from 'node:net'
import { TableState, type TableOrder } from '../../contract/index.ts'
import type { CuttingTable } from './driver.ts'
import { firstLine } from './first-line.ts'

/** A table that does not answer within this is away. */
const PATIENCE_MS = 15_000
const LONGEST_ANSWER = 64 * 1024

/** A table that listens on a port: one order a connection, one line each way. */
export function tableOverPort(host: string, port: number, patienceMs = PATIENCE_MS): CuttingTable {
  const order = (what: TableOrder): Promise<TableState> =>
    new Promise((resolve) => {
      const away = (why: string) => {
        socket.destroy()
        resolve({ kind: 'away', why })
      }
      const socket = connect({ host, port }, () => socket.write(`${JSON.stringify(what)}\n`))
      socket.setTimeout(patienceMs, () => away('It does not answer: see that it is switched on, then try again.'))
      socket.on('error', () => away('It cannot be reached: see that it is switched on and connected, then try again.'))
      void firstLine(socket, LONGEST_ANSWER).then((line) => {
        socket.destroy()
        const read = TableState.safeParse(parsed(line ?? ''))
        resolve(
          read.success
            ? read.data
            : { kind: 'away', why: 'It answers in a way that is not understood: another program may be on its port.' },
        )
      })
    })
  return {
    cut: (file) => order({ do: 'cut', ...file }),
    stop: () => order({ do: 'stop' }),
    resume: () => order({ do: 'resume' }),
    state: () => order({ do: 'tell' }),
  }
}

function parsed(line: string): unknown {
  try {
    return JSON.parse(line)
  } catch {
    return null
  }
}
