import type { Change } from '../../contract/index.ts'

/** Each thing as a change of the one with its id in what is kept; new where there is none. */
export const changesOf = <T extends { readonly id: string }>(
  things: readonly T[],
  kept: readonly T[],
): readonly Change<T>[] => things.map((value) => ({ value, base: kept.find((k) => k.id === value.id) ?? null }))
