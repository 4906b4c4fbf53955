import type { Cloth, Job } from '../../contract/index.ts'
import { usualMatch } from '../pattern/index.ts'

/** The same job made otherwise, to be quoted beside it. */
export interface Alternative {
  readonly says: string
  readonly job: Job
}

/** As it is, then without piping, unmatched, and from each other cloth. */
export function alternatives(job: Job, cloths: readonly Cloth[]): readonly Alternative[] {
  const { makeUp, cloth } = job
  return [
    { says: `as it is, ${cloth.cloth.name}`, job },
    ...(makeUp.piping.kind === 'none'
      ? []
      : [{ says: 'without piping', job: { ...job, makeUp: { ...makeUp, piping: { kind: 'none' as const } } } }]),
    ...(cloth.match.kind === 'none'
      ? []
      : [{ says: 'stripes not matched', job: { ...job, cloth: { ...cloth, match: { kind: 'none' as const } } } }]),
    ...cloths
      .filter((c) => c.id !== cloth.cloth.id)
      .map((c) => ({ says: `from ${c.name}`, job: { ...job, cloth: { ...cloth, cloth: c, match: usualMatch(c) } } })),
  ]
}
