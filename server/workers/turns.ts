export interface Turns {
  /** Waits for a turn; the answer ends it. A signal that aborts takes whoever waits out of the row. */
  readonly next: (signal?: AbortSignal) => Promise<() => void>
  readonly waiting: () => number
}

/** So many at once, the others in the order they came. */
export function takeTurns(most: number): Turns {
  let running = 0
  const row: (() => void)[] = []
  const end = () => {
    running--
    row.shift()?.()
  }
  const begin = () => {
    running++
    let isOver = false
    return () => {
      if (!isOver) end()
      isOver = true
    }
  }
  return {
    waiting: () => row.length,
    next: (signal) =>
      new Promise((resolve, reject) => {
        if (signal?.aborted) return reject(signal.reason as Error)
        if (running < most) return resolve(begin())
        const go = () => {
          signal?.removeEventListener('abort', leave)
          resolve(begin())
        }
        const leave = () => {
          const place = row.indexOf(go)
          if (place >= 0) row.splice(place, 1)
          reject(signal!.reason as Error)
        }
        signal?.addEventListener('abort', leave, { once: true })
        row.push(go)
      }),
  }
}
