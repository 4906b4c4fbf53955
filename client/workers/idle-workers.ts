type Kind = new () => Worker

/** Kept for the next piece of work for so long: a worker that has run is several times as fast as a new one. */
const KEPT_MS = 60_000
/** Of each kind, as many as may run at once. */
const MOST_KEPT = 4

interface Idle {
  readonly worker: Worker
  readonly timer: ReturnType<typeof setTimeout>
}
const idle = new Map<Kind, Idle[]>()

/** The last worker that was put aside, else a new one. */
export function takeWorker(kind: Kind): Worker {
  const kept = idle.get(kind)?.pop()
  if (!kept) return new kind()
  clearTimeout(kept.timer)
  return kept.worker
}

/** Keeps a worker that has done its work; it ends when nobody takes it in time, or where there are enough. */
export function putAside(kind: Kind, worker: Worker): void {
  const kept = idle.get(kind) ?? []
  if (kept.length >= MOST_KEPT) return worker.terminate()
  worker.onmessage = worker.onerror = worker.onmessageerror = null
  const timer = setTimeout(() => {
    idle.set(
      kind,
      idle.get(kind)!.filter((other) => other.worker !== worker),
    )
    worker.terminate()
  }, KEPT_MS)
  idle.set(kind, [...kept, { worker, timer }])
}
