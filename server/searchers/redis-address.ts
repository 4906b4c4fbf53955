import { Redis } from 'ioredis'

/** What is wrong with the address of a Redis server, in words; null where it is sound. */
export function addressFault(address: string): string | null {
  const url = URL.canParse(address) ? new URL(address) : null
  if (url && /^rediss?:$/.test(url.protocol) && url.hostname !== '' && /^(?:\/\d*)?$/.test(url.pathname)) return null
  return `"${withoutPassword(address)}" is not the address of a Redis server: write it as redis://127.0.0.1:6379, or rediss:// with TLS.`
}

/** An address as it may be shown and logged. */
export const withoutPassword = (address: string): string => address.replace(/\/\/[^@/]*@/, '//…@')

/**
 * A connection that goes on trying by itself when the server is away. `patient`: what is asked meanwhile waits for it,
 * as a queue's worker wants it; without it, it fails at once, so that nobody at a page waits.
 */
export function connectTo(address: string, wait: 'patient' | 'at once', onError: (error: Error) => void): Redis {
  const redis = new Redis(address, {
    maxRetriesPerRequest: wait === 'patient' ? null : 0,
    enableOfflineQueue: wait === 'patient',
    retryStrategy: (times) => Math.min(2000, 100 * times),
    connectTimeout: 3000,
  })
  redis.on('error', onError)
  return redis
}
