import type { Job } from '../../contract/index.ts'
import { textKey } from '../text-key/index.ts'
import type { Warning } from './warnings.ts'

/**
 * The key under which a doubt is overruled: what it says, to the millimetre. When its figures change it is another
 * doubt, and said again.
 */
export const warningKey = (w: Warning): string =>
  textKey(
    JSON.stringify(w, (_, value: unknown) =>
      typeof value === 'number' && Math.abs(value) > 1 ? Math.round(value) : value,
    ),
  )

/** Stops cannot be overruled, nor what can hurt someone. */
export const canBeMeant = ({ level }: Warning): boolean => level === 'warning' || level === 'note'

/** Without the doubts that the maker has overruled. */
export function withoutMeant({ meant }: Pick<Job, 'meant'>, warnings: readonly Warning[]): readonly Warning[] {
  if (meant.length === 0) return warnings
  const keys = new Set(meant)
  return warnings.filter((w) => !canBeMeant(w) || !keys.has(warningKey(w)))
}
