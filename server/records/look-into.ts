import { execFile } from 'node:child_process'
import { fileURLToPath } from 'node:url'
import { BackupContents } from '../../contract/index.ts'
import { runsSources, scriptAt } from '../workers/scripts.ts'
import { takeTurns } from '../workers/turns.ts'

const LOOK_PATIENCE_MS = 30_000
const turns = takeTurns(1)

/** Opens a file from outside in a process of its own, one at a time: a broken one may take that down, not the shop. */
export async function lookInto(file: string, migrations: string): Promise<BackupContents> {
  const end = await turns.next()
  const args = [...runsSources(), fileURLToPath(scriptAt('look-worker')), file, migrations]
  return new Promise<BackupContents>((resolve) => {
    execFile(process.execPath, args, { timeout: LOOK_PATIENCE_MS }, (error, stdout) => {
      end()
      const read = error ? null : BackupContents.safeParse(JSON.parse(stdout || 'null'))
      resolve(read?.success ? read.data : { kind: 'damaged', why: 'it cannot be opened' })
    })
  })
}
