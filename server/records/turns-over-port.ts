import { once } from 'node:events'
import type { MessagePort } from 'node:worker_threads'

type FromWorker =
  { readonly kind: 'turn' } | { readonly kind: 'over' } | { readonly kind: 'told'; readonly share: number }

/** A worker's side: does a work in a turn that the shop gives it, between its own writes. */
export function turnsOver(port: MessagePort): {
  readonly turn: <T>(work: () => Promise<T>) => Promise<T>
  readonly told: (share: number) => void
} {
  const say = (message: FromWorker) => port.postMessage(message)
  return {
    told: (share) => say({ kind: 'told', share }),
    turn: async (work) => {
      say({ kind: 'turn' })
      await once(port, 'message')
      try {
        return await work()
      } finally {
        say({ kind: 'over' })
      }
    },
  }
}

/** The shop's side: gives turns in its queue of writes for as long as the worker lives. */
export function giveTurns(
  port: MessagePort,
  write: (work: () => Promise<void>) => Promise<void>,
  told: (share: number) => void,
): { readonly end: () => void } {
  let endTurn: () => void = () => undefined
  port.on('message', (message: FromWorker) => {
    if (message.kind === 'told') told(message.share)
    else if (message.kind === 'over') endTurn()
    else
      void write(
        () =>
          new Promise((resolve) => {
            endTurn = resolve
            port.postMessage('yours')
          }),
      )
  })
  return {
    // A worker that died in its turn must not hold up the saves.
    end: () => {
      port.close()
      endTurn()
    },
  }
}
