import { PAGE_ID } from '../api/http.ts'
import { dropText, keepText, keptText } from './browser-store.ts'

const nameOf = (page: string): string => `loft-seam/page/${page}`
const BEAT_MS = 20_000
/** A page in the background may be let tick once a minute; one that says nothing for longer is gone. */
const GONE_MS = 200_000

/** Pages that hold their lock, as last looked at; null where this browser has no locks (plain HTTP of a network). */
let holding: ReadonlySet<string> | null = null

/**
 * Tells other pages of this browser that this one is open, until it is closed: by a lock, which the browser lets go
 * however the page ends; where there are none by a sign in the store, which a page that dies cannot take back.
 */
export function beAlive(): void {
  if (navigator.locks) return void navigator.locks.request(nameOf(PAGE_ID), () => new Promise(() => undefined))
  const beat = () => void keepText(nameOf(PAGE_ID), String(Date.now()))
  beat()
  setInterval(beat, BEAT_MS)
  addEventListener('pagehide', () => dropText(nameOf(PAGE_ID)))
  addEventListener('pageshow', beat)
}

/** Looks which pages are open, for whoever asks of one next. */
export async function lookRound(): Promise<void> {
  const locks = await navigator.locks?.query().catch(() => null)
  holding = locks ? new Set(locks.held?.map((lock) => lock.name ?? '')) : null
}

/** Whether another page of this browser is open, and looks after what it has not saved yet. */
export const isAlive = (page: string): boolean =>
  page !== PAGE_ID && (holding ? holding.has(nameOf(page)) : Date.now() - Number(keptText(nameOf(page)) ?? 0) < GONE_MS)
