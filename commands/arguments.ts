/** A mistake in how a command was called; shown without a stack. */
export class UsageError extends Error {}

export interface Arguments {
  readonly file: string
  readonly options: ReadonlyMap<string, string>
}

/** One file name and `--name value` pairs of known names. */
export function readArguments(argv: readonly string[], known: readonly string[]): Arguments {
  const options = new Map<string, string>()
  const files: string[] = []
  for (let i = 0; i < argv.length; i++) {
    const word = argv[i]!
    if (!word.startsWith('--')) {
      files.push(word)
      continue
    }
    const name = word.slice(2)
    if (!known.includes(name))
      throw new UsageError(`unknown option ${word}; known: ${known.map((k) => `--${k}`).join(' ')}`)
    const value = argv[++i]
    if (value === undefined) throw new UsageError(`${word} wants a value`)
    options.set(name, value)
  }
  if (files.length !== 1)
    throw new UsageError(files.length === 0 ? 'which file?' : `one file only, not ${files.join(' and ')}`)
  return { file: files[0]!, options }
}

export function numberOption(args: Arguments, name: string, fallback: number, low: number, high: number): number {
  const text = args.options.get(name)
  if (text === undefined) return fallback
  const value = Number(text)
  if (!Number.isFinite(value) || value < low || value > high)
    throw new UsageError(`--${name} wants a number from ${low} to ${high}, not "${text}"`)
  return value
}
