import { readFileSync, renameSync, writeFileSync } from 'node:fs'
import { UsageError } from './arguments.ts'

/** Reads a JSON file; tells in words what is wrong with it. */
export function readJson(file: string): unknown {
  let text: string
  try {
    text = readFileSync(file, 'utf8')
  } catch (cause) {
    throw new UsageError(
      `cannot read ${file}: ${(cause as NodeJS.ErrnoException).code === 'ENOENT' ? 'no such file' : (cause as Error).message}`,
    )
  }
  try {
    return JSON.parse(text)
  } catch (cause) {
    throw new UsageError(`${file} is not JSON: ${(cause as Error).message}`)
  }
}

/** Writes whole or not at all: a reader never finds half a file. */
export function writeJson(file: string, document: unknown): void {
  const text = `${JSON.stringify(document, null, 2)}\n`
  if (file === '-') {
    process.stdout.write(text)
    return
  }
  const draft = `${file}.${process.pid}.part`
  try {
    writeFileSync(draft, text)
    renameSync(draft, file)
  } catch (cause) {
    throw new UsageError(`cannot write ${file}: ${(cause as Error).message}`)
  }
}
