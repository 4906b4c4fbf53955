import { phrase } from '../language/index.ts'
import type { Edit } from './edits.ts'
import { usualMatch } from '../pattern/index.ts'
import type { ClothRole, Job, Part, PartJob } from '../../contract/index.ts'

/** A ticket as one of its parts sees it; throws for a letter that no part has. */
export function partJob(job: Job, letter: string): PartJob {
  const part = job.parts.find((p) => p.letter === letter)
  if (!part) throw new Error(`no part ${letter}`)
  const { parts: _, format: _f, version: _v, book, cloth: shared, ...ticket } = job
  const { own, ...lies } = part.cloth
  const { face, ...others } = own
  return {
    ...ticket,
    ...part,
    cloth: { ...lies, cloth: face ?? shared.cloth, others: { ...shared.others, ...others } },
    allowances: { book, ...part.allowances },
  }
}

/** A ticket as each of its parts sees it, in order. */
export const partJobs = (job: Job): readonly PartJob[] => job.parts.map((p) => partJob(job, p.letter))

/**
 * A ticket with what one of its parts has changed. A cloth that the part chose for itself stays its own; any other is
 * the ticket's, and so every part's that has none of its own; those match the new face as it is usual.
 */
export function withPart(job: Job, letter: string, changed: PartJob): Job {
  const { name, pose, follows, work, there, seat, filling, makeUp, cloth, allowances, letter: _, ...ticket } = changed
  const { book, ...allowed } = allowances
  const { cloth: face, others, ...lies } = cloth
  const before = job.parts.find((p) => p.letter === letter)!.cloth.own
  const own: Part['cloth']['own'] = before.face ? { face } : {}
  const shared: Job['cloth']['others'] = { ...job.cloth.others }
  for (const role of OTHER_ROLES) {
    const chosen = others[role]
    if (before[role]) {
      if (chosen) own[role] = chosen
    } else if (chosen) shared[role] = chosen
    else delete shared[role]
  }
  const isNewFace = !before.face && face.id !== job.cloth.cloth.id
  return {
    ...job,
    ...ticket,
    parts: job.parts.map((p) => {
      if (p.letter === letter)
        return {
          letter,
          name,
          pose,
          follows,
          work,
          there,
          seat,
          filling,
          makeUp,
          cloth: { ...lies, own },
          allowances: allowed,
        }
      return isNewFace && !p.cloth.own.face ? { ...p, cloth: { ...p.cloth, match: usualMatch(face) } } : p
    }),
    cloth: { cloth: before.face ? job.cloth.cloth : face, others: shared },
    book,
  }
}

const OTHER_ROLES: readonly Exclude<ClothRole, 'face'>[] = [
  'second-face',
  'boxing',
  'piping',
  'base',
  'lining',
  'wadding',
  'protector',
  'liner',
]

/** A ticket with an edit made in the eyes of one of its parts. */
export const applyEdit = (job: Job, letter: string, edit: Edit): Job =>
  withPart(job, letter, edit.apply(partJob(job, letter)))

/** The same change in every part. */
export const inEveryPart = (job: Job, change: (part: PartJob) => PartJob): Job =>
  job.parts.reduce((so, { letter }) => withPart(so, letter, change(partJob(so, letter))), job)

/** A ticket of one part. */
export function jobOf({
  letter,
  name,
  pose,
  follows,
  work,
  there,
  seat,
  filling,
  makeUp,
  cloth,
  allowances,
  ...ticket
}: PartJob): Job {
  const { book, ...allowed } = allowances
  const { cloth: face, others, ...lies } = cloth
  return {
    format: 'loft-seam/job',
    version: 13,
    ...ticket,
    parts: [
      {
        letter,
        name,
        pose,
        follows,
        work,
        there,
        seat,
        filling,
        makeUp,
        cloth: { ...lies, own: {} },
        allowances: allowed,
      },
    ],
    cloth: { cloth: face, others },
    book,
  }
}

/** What a part is called: its name, or its letter. */
export const partName = ({ letter, name }: Pick<Part, 'letter' | 'name'>): string => name || phrase`Part ${letter}`
