import { hostname, networkInterfaces } from 'node:os'

/** Addresses of this machine itself, to the letter: a name that only begins like one is somebody else's. */
export const isLoopback = (host: string): boolean =>
  host === 'localhost' || host === '::1' || /^127\.\d{1,3}\.\d{1,3}\.\d{1,3}$/.test(host)

/** Where other machines of the network find this one. */
export const networkAddresses = (): readonly string[] =>
  Object.values(networkInterfaces())
    .flatMap((list) => list ?? [])
    .filter((a) => a.family === 'IPv4' && !a.internal)
    .map((a) => a.address)

/**
 * Whether a host of a request is a name this shop goes by on the network: its addresses, its own name, and names given
 * to it.
 */
export function isOwnName(host: string, given: readonly string[]): boolean {
  const own = hostname().toLowerCase()
  const name = host.toLowerCase()
  return (
    isLoopback(name) ||
    name === own ||
    name === `${own}.local` ||
    given.some((g) => g.toLowerCase() === name) ||
    Object.values(networkInterfaces()).some((list) => list?.some((a) => a.address.toLowerCase() === name))
  )
}
