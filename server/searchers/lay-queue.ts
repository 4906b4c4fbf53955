import { Queue, QueueEvents } from 'bullmq'
import type { Redis } from 'ioredis'
import { setTimeout as after } from 'node:timers/promises'
import type { Logger } from 'pino'
import type { Searchers } from '../../contract/index.ts'
import type { Better } from '../lays/lay-worker.ts'
import { names, PREFIX, readAnswer, readBetter, type QueuedAnswer, type QueuedLay } from './lay-tasks.ts'
import { plannerMark } from './planner-mark.ts'
import { whoSearches } from './presence.ts'
import { connectTo, withoutPassword } from './redis-address.ts'

export interface PlanOptions {
  readonly deadlineMs: number
  /** Stops the work wherever it is when whoever asked has gone. */
  readonly signal: AbortSignal
  readonly onBetter?: (better: Better, by: string) => void
}

/** Lays that other machines plan for the shop. */
export interface LayQueue {
  readonly searchers: () => Promise<Searchers>
  /** How many lanes search for this shop at this moment, on all other machines together. */
  readonly lanes: () => Promise<number>
  /** The lay as another machine plans it; null where none can be asked: plan it here then. */
  readonly plan: (text: string, lane: number, options: PlanOptions) => Promise<QueuedAnswer | null>
  readonly close: () => Promise<void>
}

/** A shop that plans alone. */
export const NO_QUEUE: LayQueue = {
  searchers: () => Promise.resolve({ queue: 'none', searchers: [] }),
  lanes: () => Promise.resolve(0),
  plan: () => Promise.resolve(null),
  close: () => Promise.resolve(),
}

/** More lays than this are not left waiting in the queue: the shop plans them itself. */
const MOST_WAITING = 24
/** An answer that nobody fetched is forgotten. */
const KEPT_S = 15

/** The queue on a Redis server. While that is away the shop plans alone, and comes back to it by itself. */
export function openLayQueue(address: string, log: Logger): LayQueue {
  const mark = plannerMark()
  const own = names(mark)
  const { onError, forget } = onceEach((says) => log.warn({ redis: withoutPassword(address), says }, 'lays: no queue'))
  const redis = connectTo(address, 'at once', onError)
  const [ear, hand, eventsHand] = [0, 1, 2].map(() => connectTo(address, 'patient', onError)) as [Redis, Redis, Redis]
  redis.on('ready', forget)
  const queue = new Queue<QueuedLay, QueuedAnswer>(own.queue, {
    connection: hand,
    prefix: PREFIX,
    streams: { events: { maxLen: 50 } },
  })
  const events = new QueueEvents(own.queue, { connection: eventsHand, prefix: PREFIX })
  queue.on('error', onError)
  events.on('error', onError)
  const listeners = new Map<string, NonNullable<PlanOptions['onBetter']>>()
  void ear.subscribe(own.better).catch(onError)
  ear.on('message', (_channel, text) => {
    const told = readBetter(text)
    if (told) listeners.get(told.id)?.(told, told.by)
  })

  async function searchers(): Promise<Searchers> {
    try {
      return { queue: 'reached', searchers: [...(await whoSearches(redis, mark))] }
    } catch {
      return { queue: 'lost', searchers: [] }
    }
  }
  const lanes = async () => (await searchers()).searchers.filter((s) => s.isAlike).reduce((sum, s) => sum + s.lanes, 0)

  async function plan(text: string, lane: number, options: PlanOptions): Promise<QueuedAnswer | null> {
    const { deadlineMs, signal, onBetter } = options
    const asked = await Promise.race([ask(), notInTime()]).catch(() => null)
    if (!asked) return null
    const id = asked.id!
    if (onBetter) listeners.set(id, onBetter)
    try {
      const answer = await Promise.race([
        asked.waitUntilFinished(events, deadlineMs + WAITING_MS),
        untilAborted(signal),
      ])
      return readAnswer(answer)
    } catch {
      signal.throwIfAborted()
      return null
    } finally {
      listeners.delete(id)
      if (signal.aborted) {
        await redis.publish(own.stop, id).catch(() => undefined)
        await asked.remove().catch(() => undefined)
      }
    }

    async function ask() {
      if ((await lanes()) === 0 || (await queue.getWaitingCount()) > MOST_WAITING) return null
      const kept = { age: KEPT_S }
      return queue.add('lay', { text, lane, deadlineMs }, { removeOnComplete: kept, removeOnFail: kept })
    }
  }

  return {
    searchers,
    lanes,
    plan,
    close: async () => {
      await Promise.allSettled([queue.close(), events.close()])
      for (const connection of [redis, ear, hand, eventsHand]) connection.disconnect()
    },
  }
}

/** While a server is away each attempt fails in the same words: they are told once. */
function onceEach(tell: (says: string) => void) {
  const told = new Set<string>()
  return {
    onError: ({ message }: Error): void => {
      if (!told.has(message)) tell(message)
      told.add(message)
    },
    forget: () => told.clear(),
  }
}

/** The server went away just now: the shop does not wait for it. */
const notInTime = (): Promise<null> => after(3000, null, { ref: false })

/** A lay may have to be begun again on another machine. */
const WAITING_MS = 30_000

const untilAborted = (signal: AbortSignal): Promise<never> =>
  new Promise((_, reject) => {
    if (signal.aborted) reject(signal.reason as Error)
    signal.addEventListener('abort', () => reject(signal.reason as Error), { once: true })
  })
