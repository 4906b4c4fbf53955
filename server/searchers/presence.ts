import { randomUUID } from 'node:crypto'
import type { Redis } from 'ioredis'
import { Searcher } from '../../contract/index.ts'

/** Told again so often; one who was not heard for longer is gone. */
const TELL_EVERY_MS = 1500
const GONE_AFTER_MS = 5000
const KEY = 'loft-seam:searcher:'
const MOST = 200

/** Says that this process searches, until it is stopped. */
export function tellPresence(
  redis: Redis,
  of: { readonly name: string; readonly lanes: number; readonly mark: string },
) {
  const key = `${KEY}${randomUUID()}`
  const tell = () => void redis.set(key, JSON.stringify(of), 'PX', GONE_AFTER_MS).catch(() => undefined)
  tell()
  const timer = setInterval(tell, TELL_EVERY_MS)
  return {
    stop: async () => {
      clearInterval(timer)
      await redis.del(key).catch(() => undefined)
    },
  }
}

/** Who searches at this moment; those whose planner has another mark are told as not alike. */
export async function whoSearches(redis: Redis, mark: string): Promise<readonly Searcher[]> {
  const keys: string[] = []
  let cursor = '0'
  do {
    const [next, found] = await redis.scan(cursor, 'MATCH', `${KEY}*`, 'COUNT', 100)
    keys.push(...found)
    cursor = next
  } while (cursor !== '0' && keys.length < MOST)
  const told = keys.length > 0 ? await redis.mget(keys.slice(0, MOST)) : []
  return told.flatMap((text) => {
    const { name, lanes, mark: own } = parsed(text)
    const read = Searcher.safeParse({ name, lanes, isAlike: own === mark })
    return read.success ? [read.data] : []
  })
}

function parsed(text: string | null): Record<string, unknown> {
  try {
    return (JSON.parse(text ?? '{}') ?? {}) as Record<string, unknown>
  } catch {
    return {}
  }
}
