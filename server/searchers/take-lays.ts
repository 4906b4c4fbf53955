import type { Redis } from 'ioredis'
import { Worker, type Job } from 'bullmq'
import { MessageChannel } from 'node:worker_threads'
import type { Better, LayAnswer, LayTask } from '../lays/lay-worker.ts'
import { workerPool, type WorkerPool } from '../workers/pool.ts'
import { names, PREFIX, type QueuedAnswer, type QueuedLay, type ToldBetter } from './lay-tasks.ts'
import { plannerMark } from './planner-mark.ts'
import { tellPresence } from './presence.ts'
import { connectTo } from './redis-address.ts'

export interface Taking {
  /** Finishes what is being planned first. */
  readonly stop: () => Promise<void>
}

export interface TakeOptions {
  readonly name: string
  readonly lanes: number
  /** Told whenever something changes: the queue was reached or lost, a lay begun or ended. */
  readonly say: (line: string) => void
}

/** A worker that was not heard of so long is taken for dead, and what it had begun goes to another. */
const DEAD_AFTER_MS = 5000
/** So often a lay is begun again after its worker died. */
const BEGUN_AGAIN = 3

/**
 * Plans lays for shops on a Redis server, in so many lanes at once, each in a thread of its own. Waits while the server is
 * away.
 */
export function takeLays(address: string, { name, lanes, say }: TakeOptions): Taking {
  const mark = plannerMark()
  const own = names(mark)
  let isLost = false
  const onError = (error: Error) => {
    if (!isLost) say(`The Redis server cannot be reached (${error.message || 'no answer'}): waiting for it.`)
    isLost = true
  }
  const [voice, ear, hand] = [0, 1, 2].map(() => connectTo(address, 'patient', onError)) as [Redis, Redis, Redis]
  voice.on('ready', () => {
    say(`${name} plans lays in ${lanes} ${lanes === 1 ? 'lane' : 'lanes'}; its planner's mark is ${mark}.`)
    isLost = false
  })
  const pool = workerPool<LayTask, LayAnswer>('lay-worker', lanes)
  const stops = new Map<string, AbortController>()
  void ear.subscribe(own.stop).catch(onError)
  ear.on('message', (_channel, id) => stops.get(id)?.abort())

  const tell = (better: ToldBetter) => void voice.publish(own.better, JSON.stringify(better)).catch(() => undefined)
  const worker = new Worker<QueuedLay, QueuedAnswer>(
    own.queue,
    (job) => planned(job, { pool, name, stops, tell, say }),
    {
      connection: hand,
      prefix: PREFIX,
      name,
      concurrency: lanes,
      lockDuration: DEAD_AFTER_MS,
      stalledInterval: DEAD_AFTER_MS / 2,
      maxStalledCount: BEGUN_AGAIN,
    },
  )
  worker.on('error', onError)
  const presence = tellPresence(voice, { name, lanes, mark })
  return {
    stop: async () => {
      await presence.stop()
      await worker.close()
      await pool.close()
      for (const connection of [voice, ear, hand]) connection.disconnect()
    },
  }
}

interface Planning {
  readonly pool: WorkerPool<LayTask, LayAnswer>
  readonly name: string
  /** Stops what is being planned, by its id. */
  readonly stops: Map<string, AbortController>
  readonly tell: (better: ToldBetter) => void
  readonly say: TakeOptions['say']
}

/** Plans one lay in a thread of its own, and tells the better ones on the way. */
async function planned(
  { id, data }: Job<QueuedLay>,
  { pool, name, stops, tell, say }: Planning,
): Promise<QueuedAnswer> {
  const { text, lane, deadlineMs } = data
  const stop = new AbortController()
  stops.set(id!, stop)
  const { port1, port2 } = new MessageChannel()
  port1.on('message', (better: Better) => tell({ ...better, id: id!, by: name }))
  say(`lane ${lane} of a search begins`)
  try {
    const options = { deadlineMs, signal: stop.signal, transferList: [port2] }
    return { ...(await pool.run({ text, lane, better: port2, elsewhere: null }, options)), by: name }
  } finally {
    say(`lane ${lane} of a search ${stop.signal.aborted ? 'was stopped' : 'ended'}`)
    stops.delete(id!)
    port1.close()
  }
}
