import type { Cloth } from '../../../contract/index.ts'

/** Why a cloth is not cut folded. */
export type FoldFault = 'patterned' | 'deep-pile' | 'remnant'

/** A pattern must be seen to be laid right, deep pile creeps against itself, and a remnant has no two halves. */
export function foldFault({ pattern, marking, supply }: Cloth): FoldFault | null {
  if (pattern.kind !== 'plain') return 'patterned'
  if (marking === 'tacks') return 'deep-pile'
  return supply.kind === 'remnant' ? 'remnant' : null
}
