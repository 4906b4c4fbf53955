import { createServer, type AddressInfo } from 'node:net'
import { firstLine } from './first-line.ts'
import { err } from '../../core/result/index.ts'
import { TableOrder, type SendToTable, type TableState } from '../../contract/index.ts'
import type { DrawingTask } from '../drawings/drawing-worker.ts'
import { OverDeadline, workerPool } from '../workers/pool.ts'
import { begun, IDLE, movedOn, resumed, stateOf, stopped, unfinished, type AtTable, type Run } from './at-table.ts'
import type { readCutFile } from './cut-file.ts'

export interface SimulatedTable {
  readonly port: number
  readonly close: () => Promise<void>
}

export interface SimulatedTableOptions {
  /** Its bed: so wide, and so long with the cloth drawn on. */
  readonly bedMm: readonly [number, number]
  /** Simulated seconds in a real one, so that nobody waits an hour. */
  readonly hurry: number
  readonly now: () => number
  /** A drawing that takes longer to read is refused. */
  readonly readingMs?: number
}

/**
 * A cutting table that exists in this program alone: it checks a file, "cuts" it in time, may jam, stops and resumes.
 */
export async function simulatedTable(options: SimulatedTableOptions): Promise<SimulatedTable> {
  const { bedMm, hurry, now, readingMs = READING_MS } = options
  const drawings = workerPool<DrawingTask, ReturnType<typeof readCutFile>>('drawing-worker', 1)
  let at: AtTable = IDLE

  async function follow(order: TableOrder): Promise<TableState> {
    const read = order.do === 'cut' ? await readApart(order.dxf) : null
    at = movedOn(at, now(), hurry)
    switch (order.do) {
      case 'cut': {
        const before = unfinished(at)
        if (before !== null) return { kind: 'refused', why: stillAt(before) }
        at = read!.ok ? begun(runOf(order, read!.value.cutMm), now()) : { kind: 'refused', why: read!.error }
        break
      }
      case 'stop':
        at = stopped(at)
        break
      case 'resume':
        at = resumed(at, now())
        break
      case 'tell':
        break
      default:
        return order satisfies never
    }
    return stateOf(at)
  }

  async function readApart(dxf: string): Promise<ReturnType<typeof readCutFile>> {
    try {
      return await drawings.run({ dxf, bedMm }, { deadlineMs: readingMs })
    } catch (error) {
      if (error instanceof OverDeadline)
        return err('The file cannot be read in time: save the lay again and send that.')
      throw error
    }
  }

  const line = await listening(follow, readingMs * 2)
  return {
    port: line.port,
    close: async () => {
      await line.close()
      await drawings.close()
    },
  }
}

const runOf = ({ name, speedMmS, jamAt }: SendToTable, cutMm: number): Run => ({
  name,
  totalMm: cutMm,
  speedMmS,
  jamAtMm: jamAt === null ? null : jamAt * cutMm,
})

const stillAt = (name: string): string =>
  `It is still at ${name}: let it finish, or stop it and take the cloth off, then send again.`

/** A port on this machine that takes one line of JSON an order and answers with one. */
async function listening(
  follow: (order: TableOrder) => Promise<TableState>,
  silentMs: number,
): Promise<{ readonly port: number; readonly close: () => Promise<void> }> {
  const server = createServer((socket) => {
    socket.setTimeout(silentMs, () => socket.destroy())
    socket.on('error', () => socket.destroy())
    void firstLine(socket, LONGEST_ORDER)
      .then(async (line) => (line === null ? TOO_LONG : answerTo(line, follow)))
      .then((answer) => {
        socket.end(`${JSON.stringify(answer)}\n`)
        setTimeout(() => socket.destroy(), HEARD_MS).unref()
      })
  })
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve))
  return {
    port: (server.address() as AddressInfo).port,
    close: () => new Promise<void>((resolve) => server.close(() => resolve())),
  }
}

async function answerTo(line: string, follow: (order: TableOrder) => Promise<TableState>): Promise<TableState> {
  try {
    const order = TableOrder.safeParse(JSON.parse(line))
    return order.success
      ? await follow(order.data)
      : { kind: 'refused', why: 'An order that this table does not know.' }
  } catch {
    return { kind: 'refused', why: 'Not a line of JSON.' }
  }
}

const READING_MS = 12_000
/** An answer is heard within this; then the line is cut, whatever still comes. */
const HEARD_MS = 500
/** A drawing of seven million characters, each at its longest in JSON, with the words round it. */
const LONGEST_ORDER = 16 * 1024 * 1024
const TOO_LONG: TableState = { kind: 'refused', why: 'The order has no end: a line of 16 MB at most is read.' }
