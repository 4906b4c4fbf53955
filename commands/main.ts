import { UsageError } from './arguments.ts'
import { bench } from './bench.ts'
import { lay } from './lay.ts'
import { layWorker } from './lay-worker.ts'
import { plan } from './plan.ts'

const COMMANDS: Record<string, (argv: readonly string[]) => number | Promise<number>> = {
  plan,
  lay,
  bench,
  'lay-worker': layWorker,
}

const [name, ...argv] = process.argv.slice(2)
try {
  const command = COMMANDS[name ?? '']
  if (!command) throw new UsageError(`which command? ${Object.keys(COMMANDS).join(', ')}`)
  process.exitCode = await command(argv)
} catch (cause) {
  if (!(cause instanceof UsageError)) throw cause
  process.stderr.write(`${name}: ${cause.message}\n`)
  process.exitCode = 2
}
