import { createServer, type Server } from 'node:http'
import type { AddressInfo } from 'node:net'
import { z } from 'zod'
import { SupplierItem, SupplierMood, type SupplierOffer } from '../../contract/index.ts'

/** How long the slow one thinks; the silent one never answers. */
const SLOW_MS = 2500

export interface SimulatedSupplier {
  readonly address: string
  readonly close: () => Promise<void>
}

/**
 * A supplier on a port of its own: prices within a tenth of the last one, days by the name, out of some things, slow,
 * failing or silent on demand.
 */
export async function simulatedSupplier(): Promise<SimulatedSupplier> {
  const server: Server = createServer((req, res) => {
    const mood = SupplierMood.catch('as-usual').parse(new URL(req.url ?? '/', 'http://local').searchParams.get('mood'))
    let text = ''
    req.on('data', (chunk) => (text += String(chunk)))
    req.on('end', () => {
      if (mood === 'silent') return
      if (mood === 'failing') return void res.writeHead(503).end()
      const items = readItems(text)
      const answer = () =>
        res
          .writeHead(items ? 200 : 400, { 'content-type': 'application/json' })
          .end(JSON.stringify(items?.map((item) => offerFor(item, mood)) ?? []))
      if (mood === 'slow') setTimeout(answer, SLOW_MS)
      else answer()
    })
  })
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve))
  return {
    address: `http://127.0.0.1:${(server.address() as AddressInfo).port}`,
    close: () =>
      new Promise((resolve) => {
        server.close(() => resolve())
        server.closeAllConnections()
      }),
  }
}

function readItems(text: string): readonly SupplierItem[] | null {
  try {
    const read = z.array(SupplierItem).safeParse(JSON.parse(text))
    return read.success ? read.data : null
  } catch {
    return null
  }
}

/** The same thing is always offered at the same price: by a number made of its name. */
function offerFor({ ref, lastPrice }: SupplierItem, mood: SupplierMood): SupplierOffer {
  const number = [...ref].reduce((sum, c) => (sum * 31 + c.codePointAt(0)!) % 1009, 7)
  if (mood === 'short-of-stock' ? number % 2 === 0 : number % 13 === 0)
    return { kind: 'out-of-stock', ref, backInDays: number % 3 === 0 ? null : 10 + (number % 20) }
  return {
    kind: 'offered',
    ref,
    price: Math.round(lastPrice * (0.95 + (number % 21) / 100) * 1000) / 1000,
    leadDays: 2 + (number % 7),
  }
}
