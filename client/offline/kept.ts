/** Where answers of the shop are kept for pages without a network. */
export const KEPT_ANSWERS = 'kept-answers'

/** What is kept: tickets as they were last read or saved, and what the shop has. Never photos, streams or records. */
export const isKept = (path: string): boolean =>
  /^\/api\/(?:jobs(?:\/[^/]+)?|shop\/[a-z-]+|stock\/trims|access)$/.test(path)

/** Nothing of the shop stays on a machine that has left it. */
export async function forgetKept(): Promise<void> {
  if ('caches' in globalThis) await caches.delete(KEPT_ANSWERS)
}

/** Where the browser allows it: by TLS, or on the machine of the shop itself. */
export function keepForOffline(): void {
  if ('serviceWorker' in navigator && import.meta.env.PROD)
    void navigator.serviceWorker.register('/service-worker.js').catch(() => {})
}
