import type { PartJob, JobSummary } from '../../contract/index.ts'

export interface Lesson {
  readonly id: string
  readonly ticket: string
  readonly lesson: string
  readonly because: string
}

/** Lessons of other jobs that share the cloth, the make-up or the seat; the nearest first. */
export function lessonsFor(ownId: string, job: PartJob, others: readonly JobSummary[]): readonly Lesson[] {
  const found = others.flatMap(({ id, ticket, card }) => {
    if (id === ownId || card.lesson.trim() === '') return []
    const shared = [
      ...(job.terms.furniture !== '' && card.furniture === job.terms.furniture ? ['the same seat'] : []),
      ...(card.cloth.id === job.cloth.cloth.id ? ['the same cloth'] : []),
      ...(card.makeUp === job.makeUp.construction.kind ? ['the same make-up'] : []),
    ]
    return shared.length > 0
      ? [{ id, ticket, lesson: card.lesson, because: shared.join(', '), count: shared.length }]
      : []
  })
  return found.toSorted((a, b) => b.count - a.count)
}
