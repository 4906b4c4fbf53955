import { existsSync, mkdirSync, rmSync } from 'node:fs'
import path from 'node:path'

/** An archive that was looked into waits so long to be taken in. */
const WAITS_MS = 30 * 60_000

/** An archive waits, is being taken in, or is in: that is kept, so that an answer that was lost can be had again. */
type Standing = 'waits' | 'under-way' | 'taken'

/** Archives that were looked into, by their tokens, each a file in a folder. */
export function waitingArchives(folder: string) {
  const standing = new Map<string, Standing>()
  const fileOf = (token: string): string => path.join(folder, `${token}.zip`)
  mkdirSync(folder, { recursive: true, mode: 0o700 })

  function forget(token: string): void {
    if (standing.get(token) === 'under-way') return
    rmSync(fileOf(token), { force: true })
    standing.delete(token)
  }

  return {
    fileOf,
    /** How an archive stands; undefined where it was never looked into, or too long ago. */
    standingOf: (token: string): Standing | undefined => {
      const stands = standing.get(token)
      return stands === 'waits' && !existsSync(fileOf(token)) ? undefined : stands
    },
    set: (token: string, stands: Standing): void => void standing.set(token, stands),
    /** Keeps one until it is taken in, or for its time. */
    keep: (token: string): void => {
      standing.set(token, 'waits')
      setTimeout(() => forget(token), WAITS_MS).unref()
    },
  }
}
