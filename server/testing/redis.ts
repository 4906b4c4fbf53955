import { spawn, type ChildProcess } from 'node:child_process'
import { once } from 'node:events'
import { createServer } from 'node:net'
import type { AddressInfo } from 'node:net'
import { connect } from 'node:net'

export interface TestRedis {
  readonly address: string
  /** Ends it as a crash would. */
  readonly crash: () => Promise<void>
  /** Begins it anew, empty, on the same port. */
  readonly begin: () => Promise<void>
}

/** A Redis server of the test's own, on a free port of this machine, that keeps nothing. */
export async function startRedis(): Promise<TestRedis> {
  const port = await freePort()
  let child: ChildProcess | null = null
  const begin = async () => {
    child = spawn(process.env['REDIS_SERVER'] ?? '/usr/bin/redis-server', [
      ...['--port', String(port), '--bind', '127.0.0.1'],
      ...['--save', '', '--appendonly', 'no'],
    ])
    await once(child, 'spawn')
    while (!(await answers(port))) await new Promise((resolve) => setTimeout(resolve, 50))
  }
  await begin()
  return {
    address: `redis://127.0.0.1:${port}`,
    begin,
    crash: async () => {
      const gone = once(child!, 'exit')
      child!.kill('SIGKILL')
      await gone
    },
  }
}

async function freePort(): Promise<number> {
  const server = createServer().listen(0, '127.0.0.1')
  await once(server, 'listening')
  const { port } = server.address() as AddressInfo
  server.close()
  await once(server, 'close')
  return port
}

const answers = (port: number): Promise<boolean> =>
  new Promise((resolve) => {
    const socket = connect(port, '127.0.0.1')
    socket.once('connect', () => (socket.destroy(), resolve(true)))
    socket.once('error', () => resolve(false))
  })
