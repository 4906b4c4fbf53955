import { openJobKeeper } from './open-job.ts'

/** Sends what was left on this browser. What it takes to put versions together is fetched for it, not before. */
export async function sendLeft(): Promise<void> {
  const { sendLeftDrafts } = await import('./outbox.ts')
  await sendLeftDrafts(openJobKeeper().isOpen)
}
