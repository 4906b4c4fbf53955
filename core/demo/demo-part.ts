import type { Construction, EdgeSetting, FoamFilling, MakeUp, PartJob, Seat } from '../../contract/index.ts'
import { usualMakeUp } from '../cover/index.ts'
import { newPartJob, setFoam } from '../job/index.ts'
import { FACTORY_BOOK } from '../defaults/index.ts'
import { DEMO_CLOTHS } from './demo-cloths.ts'
import { DEMO_GRADES } from './demo-grades.ts'

export const meets = (what: EdgeSetting['meets'], degrees = 0): EdgeSetting => ({
  meets: what,
  lean: degrees === 0 ? null : { by: 'angle', degrees },
  riseMm: 0,
})
export const readings = (...mm: number[]) => ({ readings: mm.map((m) => ({ mm: m })) })

export const clothNamed = (id: string) => DEMO_CLOTHS.find((c) => c.id === id)!
/** Cut from other cloths than the face. */
export const withCloths = (job: PartJob, others: PartJob['cloth']['others']): PartJob => ({
  ...job,
  cloth: { ...job.cloth, others },
})
export const built = (
  job: PartJob,
  kind: Construction['kind'],
  change: (makeUp: MakeUp) => Partial<MakeUp> = () => ({}),
): PartJob => {
  const usual = usualMakeUp(kind)
  return { ...job, makeUp: { ...usual, ...change(usual) } }
}

export const gradeNamed = (name: string) => DEMO_GRADES.find((g) => g.name === name)!
export const filledWith = (job: PartJob, change: (foam: FoamFilling) => FoamFilling): PartJob =>
  setFoam('', change).apply(job)

/** Its foam comes cut to size: no sheet is so thick. */
export const orderedWhole = (job: PartJob): PartJob => ({ ...job, cutting: { ...job.cutting, supply: 'cut-to-size' } })

/** A ticket of one part, as that part sees it. */
export function ticket(number: string, title: string, gradeName: string, clothId: string, seat: Seat): PartJob {
  const grade = gradeNamed(gradeName)
  const cloth = DEMO_CLOTHS.find((c) => c.id === clothId)!
  return {
    ...newPartJob({ ticket: number, title, units: 'mm', currency: 'EUR', book: FACTORY_BOOK, grade, cloth, seat }),
    customer: 'Skerrow Light Trust',
  }
}
