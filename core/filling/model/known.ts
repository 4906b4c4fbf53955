import { isLifeKnown } from './ageing.ts'
import { isForceKnown } from './points.ts'
import type { SettledLayer } from './support.ts'

/** What nobody knows of a foam: how heavy it is, how hard it is, how long it lives. */
export type Unknown = 'density' | 'force' | 'life'

/** What is not known of a stack of layers; empty where it can be judged, weighed and told how long it lives. */
export function unknownsOf(layers: readonly SettledLayer[]): readonly Unknown[] {
  const lacks = (known: (grade: SettledLayer['grade']) => boolean) => layers.some((l) => !known(l.grade))
  return [
    ...(lacks((g) => g.densityKgM3 !== null) ? (['density'] as const) : []),
    ...(lacks(isForceKnown) ? (['force'] as const) : []),
    ...(lacks(isLifeKnown) ? (['life'] as const) : []),
  ]
}

/** Whether a stack can be held against a load, new and aged. */
export const isJudgeable = (layers: readonly SettledLayer[]): boolean => {
  const unknown = unknownsOf(layers)
  return !unknown.includes('force') && !unknown.includes('life')
}
