import { codesOf } from '../db/cause.ts'

/**
 * What the log says of an error: its kind, its codes and where it came from. Its message may hold a statement with what
 * was to be saved, and stays out.
 */
export function toldError(error: unknown): Readonly<Record<string, unknown>> {
  if (!(error instanceof Error)) return { error: typeof error }
  const stack = (error.stack ?? '').split('\n').filter((line) => /^\s+at /.test(line))
  const isOurs = codesOf(error).length === 0 && !/^Failed query/.test(error.message)
  return {
    error: error.name,
    ...(isOurs ? { says: error.message.slice(0, 200) } : {}),
    codes: codesOf(error),
    at: stack.slice(0, 6).map((line) => line.trim()),
    ...(error.cause ? { cause: toldError(error.cause) } : {}),
  }
}
