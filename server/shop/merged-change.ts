import { ChangeOf, readWith, type Change, type Fault, type ReadDocument } from '../../contract/index.ts'
import { mergeDocuments } from '../../core/job/index.ts'
import type { z } from 'zod'

export type ChangeOutcome<T> =
  | { readonly kind: 'kept'; readonly value: T }
  /** Somebody changed the same thing otherwise meanwhile, or took it out. */
  | { readonly kind: 'conflict'; readonly theirs: T | null; readonly where: string }
  | { readonly kind: 'bad-document'; readonly faults: readonly Fault[] }

/**
 * A change put on top of what is kept now. What others changed since the change began stays beside it; what is counted
 * goes by both movements. `counted` names the places of amounts.
 */
export function mergedChange<T>(
  schema: z.ZodType<T>,
  kept: T | null,
  { value, base }: Change<T>,
  counted: readonly string[],
): ChangeOutcome<T> {
  if (kept === null) return base === null ? { kind: 'kept', value } : { kind: 'conflict', theirs: null, where: '' }
  if (same(kept, base)) return { kind: 'kept', value }
  if (same(kept, value)) return { kind: 'kept', value }
  if (base === null) return { kind: 'conflict', theirs: kept, where: 'id' }
  const merged = mergeDocuments(base, value, kept, (path) => counted.includes(path))
  if (merged.clashes.length > 0) return { kind: 'conflict', theirs: kept, where: merged.clashes[0]! }
  const read = readWith(schema, merged.value)
  return read.ok ? { kind: 'kept', value: read.value } : { kind: 'bad-document', faults: read.faults }
}

/** A change read from a request; faults are named by their place in the thing itself, or by its absence. */
export const readChange = <T>(schema: z.ZodType<T>, body: unknown): ReadDocument<Change<T>> =>
  inTheThing(readWith(ChangeOf(schema) as unknown as z.ZodType<Change<T>>, body))

export const readChanges = <T>(
  list: z.ZodType<readonly Change<T>[]>,
  body: unknown,
): ReadDocument<readonly Change<T>[]> => inTheThing(readWith(list, body))

const inTheThing = <T>(read: ReadDocument<T>): ReadDocument<T> =>
  read.ok
    ? read
    : {
        ok: false,
        faults: read.faults.map((f) => ({ ...f, path: f.path.replace(/^(\$(?:\[\d+\])?)\.value(?=[.[])/, '$1') })),
      }

const same = (a: unknown, b: unknown): boolean => JSON.stringify(a) === JSON.stringify(b)
