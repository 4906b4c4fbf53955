import { spawn, type ChildProcess } from 'node:child_process'
import { ROOT } from './running-app.ts'

export interface Spawned {
  readonly child: ChildProcess
  readonly address: string
  /** What it said on its way out, for a start that failed. */
  readonly kill: () => Promise<void>
}

/**
 * The server as a process of its own, from the sources or as built, to be killed at any moment. @throws Error with its
 * words when it does not start.
 */
export async function spawnServer(
  databaseFile: string,
  environment: Readonly<Record<string, string>> = {},
  script: readonly string[] = ['--import', 'tsx', 'server/main.ts'],
): Promise<Spawned> {
  const child = spawn(process.execPath, script, {
    cwd: ROOT,
    env: {
      ...process.env,
      DATABASE_FILE: databaseFile,
      PORT: '0',
      LOG_LEVEL: 'silent',
      LOFT_SEAM_ROOT: ROOT,
      ...environment,
    },
  })
  let said = ''
  child.stderr!.on('data', (d: Buffer) => (said += d.toString()))
  const gone = new Promise<void>((resolve) => child.once('exit', () => resolve()))
  const address = await new Promise<string>((resolve, reject) => {
    child.stdout!.on('data', (d: Buffer) => {
      const found = /https?:\S+/.exec(d.toString())
      if (found) resolve(found[0])
    })
    child.once('exit', (code) => reject(new Error(`the server did not start (${code}): ${said.slice(0, 400)}`)))
  })
  return {
    child,
    address,
    kill: async () => {
      child.kill('SIGKILL')
      await gone
    },
  }
}
