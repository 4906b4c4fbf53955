import { parseArgs } from 'node:util'

/** A mistake in how a command was called; shown without a stack. */
export class UsageError extends Error {}

export interface Arguments {
  readonly file: string
  readonly options: ReadonlyMap<string, string>
}

/** One file name and `--name value` pairs of known names. */
export function readArguments(argv: readonly string[], known: readonly string[]): Arguments {
  const { values, positionals } = parsed(argv, known)
  if (positionals.length !== 1)
    throw new UsageError(positionals.length === 0 ? 'which file?' : `one file only, not ${positionals.join(' and ')}`)
  return { file: positionals[0]!, options: new Map(Object.entries(values) as [string, string][]) }
}

/** `--name value` pairs of known names, and nothing else. */
export function readOptions(argv: readonly string[], known: readonly string[]): Pick<Arguments, 'options'> {
  const { values, positionals } = parsed(argv, known)
  if (positionals.length > 0) throw new UsageError(`"${positionals[0]}" is not wanted here`)
  return { options: new Map(Object.entries(values) as [string, string][]) }
}

function parsed(argv: readonly string[], known: readonly string[]) {
  const names = known.map((name) => `--${name}`).join(' ')
  try {
    const options = Object.fromEntries(known.map((name) => [name, { type: 'string' as const }]))
    return parseArgs({ args: [...argv], options, allowPositionals: true })
  } catch (cause) {
    // Node's own words, as far as they are of use: "Unknown option '--colour'. To specify …".
    const says = (cause as Error).message.split(/\. /)[0]!.replaceAll("'", '')
    throw new UsageError(`${says[0]!.toLowerCase()}${says.slice(1)}; known: ${names}`)
  }
}

/** A number given as `--name N`, or its usual value. @throws UsageError beyond its ends. */
export function numberOption(
  args: Pick<Arguments, 'options'>,
  name: string,
  fallback: number,
  low: number,
  high: number,
): number {
  const text = args.options.get(name)
  if (text === undefined) return fallback
  const value = Number(text)
  if (!Number.isFinite(value) || value < low || value > high)
    throw new UsageError(`--${name} wants a number from ${low} to ${high}, not "${text}"`)
  return value
}
