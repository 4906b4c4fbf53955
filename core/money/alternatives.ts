import { phrase } from '../language/index.ts'
import type { Cloth, Job } from '../../contract/index.ts'
import { inEveryPart, partName, removePart } from '../job/index.ts'
import { usualMatch } from '../pattern/index.ts'

/** The same job made otherwise, to be quoted beside it. */
export interface Alternative {
  readonly says: string
  readonly job: Job
}

/** As it is, then without piping, unmatched, without each part of a set, and from each other cloth. */
export function alternatives(job: Job, cloths: readonly Cloth[]): readonly Alternative[] {
  const { cloth } = job.cloth
  const none = { kind: 'none' } as const
  return [
    { says: `as it is, ${cloth.name}`, job },
    ...(job.parts.every((p) => p.makeUp.piping.kind === 'none')
      ? []
      : [
          {
            says: 'without piping',
            job: inEveryPart(job, (part) => ({ ...part, makeUp: { ...part.makeUp, piping: none } })),
          },
        ]),
    ...(job.parts.every((p) => p.cloth.match.kind === 'none')
      ? []
      : [
          {
            says: 'stripes not matched',
            job: inEveryPart(job, (part) => ({ ...part, cloth: { ...part.cloth, match: none } })),
          },
        ]),
    ...(job.parts.length > 1
      ? job.parts.map((p) => ({ says: phrase`without ${partName(p).toLowerCase()}`, job: removePart(job, p.letter) }))
      : []),
    ...cloths
      .filter((c) => c.id !== cloth.id)
      .map((c) => ({
        says: phrase`from ${c.name}`,
        job: inEveryPart({ ...job, cloth: { ...job.cloth, cloth: c } }, (part) =>
          part.cloth.cloth.id === c.id ? { ...part, cloth: { ...part.cloth, match: usualMatch(c) } } : part,
        ),
      })),
  ]
}
