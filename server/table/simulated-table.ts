import { createServer, type AddressInfo } from 'node:net'
import { firstLine } from './first-line.ts'
import { err } from '../../core/result/index.ts'
import { TableOrder, type SendToTable, type TableState } from '../../contract/index.ts'
import type { DrawingTask } from '../drawings/drawing-worker.ts'
import { OverDeadline, workerPool } from '../workers/pool.ts'
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

type Run = {
  readonly name: string
  readonly totalMm: number
  readonly speedMmS: number
  readonly jamAtMm: number | null
}

/**
 * A cutting table that exists in this program alone: it checks a file, "cuts" it in time, may jam, stops and resumes.
 */
export async function simulatedTable({
  bedMm,
  hurry,
  now,
  readingMs = READING_MS,
}: SimulatedTableOptions): Promise<SimulatedTable> {
  const drawings = workerPool<DrawingTask, ReturnType<typeof readCutFile>>('drawing-worker', 1)
  let run: Run | null = null
  let refused: string | null = null
  let isMoving = false
  let hasJammed = false
  let doneMm = 0
  let since = 0

  function state(): TableState {
    advance()
    if (refused !== null) return { kind: 'refused', why: refused }
    if (run === null) return { kind: 'idle' }
    const at = { name: run.name, doneMm: Math.round(doneMm), totalMm: Math.round(run.totalMm) }
    if (doneMm >= run.totalMm) return { kind: 'done', name: run.name, totalMm: at.totalMm }
    if (isMoving) return { kind: 'cutting', ...at }
    return hasJammed
      ? {
          kind: 'jammed',
          ...at,
          why: 'The cloth has bunched under the knife. Smooth it, then resume: it goes on where it was.',
        }
      : { kind: 'stopped', ...at }
  }

  function advance(): void {
    if (!run || !isMoving) return
    const before = doneMm
    doneMm = Math.min(run.totalMm, doneMm + ((now() - since) / 1000) * run.speedMmS * hurry)
    since = now()
    if (run.jamAtMm !== null && before < run.jamAtMm && doneMm >= run.jamAtMm) {
      doneMm = run.jamAtMm
      isMoving = false
      hasJammed = true
    }
  }

  async function begin({ name, dxf, speedMmS, jamAt }: SendToTable): Promise<TableState> {
    const read = await readApart(dxf)
    advance()
    if (run && doneMm < run.totalMm)
      return {
        kind: 'refused',
        why: `It is still at ${run.name}: let it finish, or stop it and take the cloth off, then send again.`,
      }
    refused = read.ok ? null : read.error
    if (read.ok) {
      run = { name, totalMm: read.value.cutMm, speedMmS, jamAtMm: jamAt === null ? null : jamAt * read.value.cutMm }
      doneMm = 0
      hasJammed = false
      move()
    }
    return state()
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

  function move(): void {
    isMoving = true
    hasJammed = false
    since = now()
  }

  async function follow(order: TableOrder): Promise<TableState> {
    switch (order.do) {
      case 'cut':
        return begin(order)
      case 'stop':
        // Stopped a second time it lets go of the cloth.
        advance()
        if (!isMoving && !hasJammed) run = null
        refused = null
        isMoving = false
        hasJammed = false
        return state()
      case 'resume':
        if (run && !isMoving) move()
        return state()
      case 'tell':
        return state()
      default:
        return order satisfies never
    }
  }

  async function answerTo(line: string): Promise<TableState> {
    try {
      const order = TableOrder.safeParse(JSON.parse(line))
      return order.success
        ? await follow(order.data)
        : { kind: 'refused', why: 'An order that this table does not know.' }
    } catch {
      return { kind: 'refused', why: 'Not a line of JSON.' }
    }
  }

  const server = createServer((socket) => {
    socket.setTimeout(readingMs * 2, () => socket.destroy())
    socket.on('error', () => socket.destroy())
    void firstLine(socket, LONGEST_ORDER)
      .then(async (line) => (line === null ? TOO_LONG : answerTo(line)))
      .then((answer) => {
        socket.end(`${JSON.stringify(answer)}\n`)
        setTimeout(() => socket.destroy(), HEARD_MS).unref()
      })
  })
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve))
  return {
    port: (server.address() as AddressInfo).port,
    close: async () => {
      await new Promise<void>((resolve) => server.close(() => resolve()))
      await drawings.close()
    },
  }
}

const READING_MS = 12_000
/** An answer is heard within this; then the line is cut, whatever still comes. */
const HEARD_MS = 500
/** A drawing of seven million characters, each at its longest in JSON, with the words round it. */
const LONGEST_ORDER = 16 * 1024 * 1024
const TOO_LONG: TableState = { kind: 'refused', why: 'The order has no end: a line of 16 MB at most is read.' }
