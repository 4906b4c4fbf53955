import { z } from 'zod'
import { SupplierOffer } from '../../contract/index.ts'
import type { Supplier } from './driver.ts'

/** Asks a supplier's service over HTTP; what does not answer in time, or not soundly, is away. */
export const supplierOverHttp = (address: string, patienceMs: number): Supplier => ({
  ask: async (items, mood) => {
    try {
      const response = await fetch(`${address}/offers?mood=${mood}`, {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify(items),
        signal: AbortSignal.timeout(patienceMs),
      })
      if (!response.ok)
        return {
          kind: 'away',
          why: `The supplier answered with a fault (${response.status}). Ask again later; the prices of the shelf stand.`,
        }
      const offers = z.array(SupplierOffer).safeParse(await response.json())
      return offers.success
        ? { kind: 'offers', offers: offers.data }
        : {
            kind: 'away',
            why: 'The supplier answered something that cannot be understood. The prices of the shelf stand.',
          }
    } catch (cause) {
      const silent = cause instanceof Error && cause.name === 'TimeoutError'
      return {
        kind: 'away',
        why: silent
          ? `The supplier did not answer within ${patienceMs / 1000} s. Ask again later; the prices of the shelf stand.`
          : 'The supplier cannot be reached. The prices of the shelf stand.',
      }
    }
  },
})
