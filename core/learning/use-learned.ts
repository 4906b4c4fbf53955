import type { PartJob, Learned } from '../../contract/index.ts'
import type { Edit } from '../job/index.ts'
import type { WorkedPlan } from '../planned/index.ts'

type JobLearned = NonNullable<PartJob['allowances']['learned']>

/** What the shop has accepted for covers and foam like this job's; null where it has learnt nothing of them. */
export function learnedFor(
  job: PartJob,
  plan: Pick<WorkedPlan, 'designs'> | null,
  learned: readonly Learned[],
): JobLearned | null {
  const size = learned.find(
    (l) => l.kind === 'size' && l.makeUp === job.makeUp.construction.kind && l.clothId === job.cloth.cloth.id,
  )
  const filling = plan?.designs[0]?.filling
  const firmness = filling?.kind === 'foam' ? filling.firmness : null
  const fit = learned.find((l) => l.kind === 'fit-window' && l.firmness === firmness)
  if (size?.kind !== 'size' && fit?.kind !== 'fit-window') return null
  return {
    widthShare: size?.kind === 'size' ? size.widthShare : 0,
    depthShare: size?.kind === 'size' ? size.depthShare : 0,
    fitShiftShare: fit?.kind === 'fit-window' ? fit.shiftShare : 0,
    says: [size?.says, fit?.says]
      .filter((s) => s)
      .join(' ')
      .slice(0, 300),
  }
}

/** Takes what was learnt over into this job, or gives it up again. */
export const setLearned = (learned: JobLearned | null): Edit => ({
  says: learned ? 'Uses what the shop has learnt' : 'Without what the shop has learnt',
  apply: (job) => ({ ...job, allowances: { ...job.allowances, learned } }),
})

/** What to leave on an edge to be trimmed: what covers of this kind keep of it, and as much to trim as ever. */
export const reserveFor = ({ makeUp, cloth }: Pick<PartJob, 'makeUp' | 'cloth'>, learned: readonly Learned[]): number =>
  learned.reduce(
    (mm, l) =>
      l.kind === 'reserve' && l.makeUp === makeUp.construction.kind && l.clothId === cloth.cloth.id ? mm + l.mm : mm,
    TO_TRIM_MM,
  )

const TO_TRIM_MM = 25

/** How much longer than its lay a cloth is really used; 1 where nothing was learnt. */
export const wasteFactor = (clothId: string, learned: readonly Learned[]): number =>
  learned.reduce((f, l) => (l.kind === 'waste' && l.clothId === clothId ? l.factor : f), 1)
