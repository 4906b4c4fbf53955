import type { ClothRole, Job, Part, PartJob } from '../../contract/index.ts'
import { partJob } from './part-job.ts'

/** A change of a ticket as a whole, said in words for the history. */
export interface JobEdit {
  readonly says: string
  readonly applyToJob: (job: Job) => Job
}

/** As many as a ticket may have. */
const LETTERS = [...'ABCDEFGHIJKLMNOP']
export const MOST_PARTS = LETTERS.length

/** The first letter that no part has; null where the ticket is full. */
export const freeLetter = ({ parts }: Job): string | null =>
  LETTERS.find((letter) => parts.every((p) => p.letter !== letter)) ?? null

/**
 * One part more, as it stands but for its letter and what it followed or lay on; a full ticket stays as it is. A part
 * that had no name, being the only one, gets its usual one.
 */
export function addPart(job: Job, part: Part, name: string): Job {
  const letter = freeLetter(job)
  if (letter === null) return job
  const named = job.parts.map((p) => (p.name === '' ? { ...p, name: usualName(p) } : p))
  return withoutLooseEnds({ ...job, parts: [...named, { ...part, letter, name }] })
}

/** What cushions of a use are called in the workshop. */
export function usualName({ filling, pose }: Pick<Part, 'filling' | 'pose'>): string {
  if (pose.kind === 'stands-at-back' || filling.load.use === 'back') return 'Backs'
  if (pose.kind === 'stands-at-end') return 'Bolsters'
  return filling.load.use === 'sleeping' ? 'Mattresses' : 'Seats'
}

/** A part of another ticket as a part of this one: cloths that are not this ticket's are its own. */
export function partFrom(
  job: Job,
  { letter, name, pose, follows, work, there, seat, filling, makeUp, cloth, allowances }: PartJob,
): Part {
  const { cloth: face, others, ...lies } = cloth
  const { book: _, ...own } = allowances
  const foreign = Object.fromEntries(
    Object.entries({ face, ...others }).filter(
      ([role, c]) => c.id !== (role === 'face' ? job.cloth.cloth : job.cloth.others[role as keyof typeof others])?.id,
    ),
  )
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
    cloth: { ...lies, own: foreign },
    allowances: own,
  }
}

/** Less one part; those that followed it or lay on it stand by themselves. The last part stays. */
export const removePart = (job: Job, letter: string): Job =>
  job.parts.length === 1 ? job : withoutLooseEnds({ ...job, parts: job.parts.filter((p) => p.letter !== letter) })

/** What follows or lies on a part that is not there stands by itself. */
export function withoutLooseEnds(job: Job): Job {
  const isHere = (letter: string) => job.parts.some((p) => p.letter === letter)
  const isLoose = ({ follows, pose }: Part) =>
    (follows !== null && !isHere(follows.part)) || (pose.kind === 'lies-on' && !isHere(pose.part))
  if (!job.parts.some(isLoose)) return job
  return {
    ...job,
    parts: job.parts.map((p) => ({
      ...p,
      follows: p.follows && isHere(p.follows.part) ? p.follows : null,
      pose: p.pose.kind === 'lies-on' && !isHere(p.pose.part) ? { kind: 'lies' } : p.pose,
    })),
  }
}

/** A part moved by so many places; its letter goes with it. */
export function movePart(job: Job, letter: string, by: number): Job {
  const from = job.parts.findIndex((p) => p.letter === letter)
  const to = Math.min(job.parts.length - 1, Math.max(0, from + by))
  const parts = job.parts.filter((p) => p.letter !== letter)
  return from < 0 ? job : { ...job, parts: [...parts.slice(0, to), job.parts[from]!, ...parts.slice(to)] }
}

/** A cloth of the ticket becomes a part's own for what it is for, or the part takes the ticket's again. */
export function setOwnCloth(job: Job, letter: string, role: ClothRole, isOwn: boolean): Job {
  const { cloth } = partJob(job, letter)
  const now = role === 'face' ? cloth.cloth : (cloth.others[role] ?? cloth.cloth)
  return {
    ...job,
    parts: job.parts.map((p) => {
      if (p.letter !== letter) return p
      const { [role]: _, ...others } = p.cloth.own
      return { ...p, cloth: { ...p.cloth, own: isOwn ? { ...others, [role]: now } : others } }
    }),
  }
}

/** Every part of the same face lies and is matched as this one. */
export function allLieAs(job: Job, letter: string): Job {
  const { cloth: chosen } = partJob(job, letter)
  const { cloth: face, others: _, ...lies } = chosen
  return {
    ...job,
    parts: job.parts.map((p) =>
      partJob(job, p.letter).cloth.cloth.id === face.id ? { ...p, cloth: { ...lies, own: p.cloth.own } } : p,
    ),
  }
}

/** Under which key the fit and the papers of a cushion are kept, whatever parts come and go. */
export const cushionKey = (letter: string, cushion: number): string => `${letter}${cushion + 1}`

/** The part in whose eyes a change of the whole ticket can be made. */
export const firstPart = (job: Job): PartJob => partJob(job, job.parts[0]!.letter)
