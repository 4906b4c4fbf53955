import { createClient } from '@libsql/client'
import { causeOf } from './cause.ts'

/**
 * Makes this program the only one that serves a database file, until it ends, however it ends: the lock is the
 * operating system's, held through a small file beside the database.
 * @throws Error in words when another one serves it already, or the folder cannot be written.
 */
export async function soleOwner(databaseFile: string): Promise<{ readonly release: () => void }> {
  const client = createClient({ url: `file:${databaseFile}.lock` })
  try {
    const held = await client.transaction('write')
    return {
      release: () => {
        held.close()
        client.close()
      },
    }
  } catch (error) {
    client.close()
    const cause = causeOf(error)
    throw new Error(
      cause?.kind === 'locked'
        ? `The database file ${databaseFile} is open in another Loft Seam: use that one, or stop it first.`
        : `${cause?.says ?? String(error)} (${databaseFile})`,
      { cause: error },
    )
  }
}
