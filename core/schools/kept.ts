import type { PartJob, KeptSchool } from '../../contract/index.ts'
import type { School } from './school.ts'

/** The shop's own named ways of the job's make-up, each with its construction, closure and allowances. */
export const keptSchools = ({ makeUp }: PartJob, kept: readonly KeptSchool[]): readonly School[] =>
  kept
    .filter(isOf(makeUp.construction.kind))
    .map((school): School => ({
      id: `kept-${school.name}`,
      name: school.name,
      says: 'kept by the shop',
      edit: {
        says: school.name,
        apply: (job) => ({
          ...job,
          makeUp: { ...job.makeUp, construction: school.construction, closure: school.closure },
          allowances: { ...job.allowances, overrides: school.overrides },
        }),
      },
    }))

/** The list with the way of this job under a name; one of that name and make-up gives way to it. */
export function withSchool(kept: readonly KeptSchool[], name: string, { makeUp, allowances }: PartJob): KeptSchool[] {
  const school: KeptSchool = {
    name: name.trim(),
    construction: makeUp.construction,
    closure: makeUp.closure,
    overrides: allowances.overrides,
  }
  return [...withoutSchool(kept, school.name, makeUp.construction.kind), school]
}

export const withoutSchool = (
  kept: readonly KeptSchool[],
  name: string,
  kind: KeptSchool['construction']['kind'],
): KeptSchool[] => kept.filter((s) => !(s.name === name && isOf(kind)(s)))

export const isOf =
  (kind: KeptSchool['construction']['kind']) =>
  (school: KeptSchool): boolean =>
    school.construction.kind === kind
