import type { Job, PartJob } from '../../contract/index.ts'
import { jobOf, newPartJob, newSeat, USUAL_PIPING } from '../job/index.ts'
import { DEMO_CLOTHS } from './demo-cloths.ts'
import { DEMO_GRADES } from './demo-grades.ts'
import { FACTORY_BOOK } from '../defaults/index.ts'

/** The demo ticket SL-02: a straight bench in three cushions, squeezed together by 2 mm. */
export const keepersBench = (): Job => jobOf(keepersBenchPart())

/** The same, as its only part sees it. */
export function keepersBenchPart(gradeName = 'Fulmar 50/220'): PartJob {
  const grade = DEMO_GRADES.find((g) => g.name === gradeName)!
  const cloth = DEMO_CLOTHS.find((c) => c.id === 'lamp-room-ticking')!
  const seat = newSeat('bench', 2236, 468, 75, 3)
  const job = newPartJob({
    ticket: 'SL-02',
    title: "Keepers' bench",
    units: 'mm',
    currency: 'EUR',
    book: FACTORY_BOOK,
    grade,
    cloth,
    seat,
  })
  return {
    ...job,
    customer: 'Skerrow Light Trust',
    seat: {
      ...seat,
      footprint: {
        kind: 'rectangle',
        width: { readings: [{ mm: 2236 }, { mm: 2235 }, { mm: 2237 }] },
        depth: { readings: [{ mm: 468 }, { mm: 468 }] },
        rising: null,
        falling: null,
      },
      division: { kind: 'run', count: 3, gapMm: -2, cuts: 'straight' },
    },
    makeUp: { ...job.makeUp, piping: { ...USUAL_PIPING, cut: 'along' } },
    cloth: { ...job.cloth, match: { kind: 'matched', rule: { kind: 'band-on-centre', band: 3 } } },
  }
}
