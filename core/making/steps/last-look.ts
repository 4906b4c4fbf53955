import { phrase } from '../../language/index.ts'
import { gate, step, type Step } from '../step.ts'
import { checking, countOfWork } from '../work.ts'
import { isSewn } from '../../planned/index.ts'
import type { OrderOf } from './order-of.ts'

/** When everything is closed: pins counted, the seat, the papers. */
export function lastLook({ job, plan }: OrderOf): readonly Step[] {
  const count = plan.designs.reduce((sum, d) => sum + d.design.count, 0)
  const matched = plan.worked.some(({ part }) => isSewn(part) && part.cloth.match.kind === 'matched')
  const hasOld = plan.worked.some(
    ({ part }) => part.seat.old.measured !== null && part.work.kind === 'cover-and-filling',
  )
  return [
    gate(
      {
        id: 'close.pins',
        part: 'closing',
        resource: 'bench',
        title: 'Pins and needles',
        asks: 'Are all pins, clips and needles counted, and none missing?',
      },
      checking('close.pins'),
    ),
    step({
      id: 'fit.seat',
      part: 'fitting',
      resource: 'bench',
      title: 'Fit on the seat, and look',
      says: [
        phrase`${count} ${count === 1 ? 'cushion' : 'cushions in their row'} on ${job.terms.furniture || 'the seat'}.`,
        ...(hasOld ? ['Keep one old cushion whole until the last new one is fitted.'] : []),
      ],
      checks: [phrase`${matched ? 'Stripes run on; ' : ''}${count > 1 ? 'fronts in one line; ' : ''}nothing rocks.`],
      work: countOfWork('fit', 'fit.seat', count, 'every cushion'),
      safety: ['not-a-lifebuoy'],
    }),
    step({
      id: 'fit.papers',
      part: 'fitting',
      resource: 'bench',
      title: 'Papers',
      says: [
        phrase`${plan.cutting?.groups.length ? 'Foam batch, ' : ''}${plan.sewn.length > 0 ? 'cloth batch ' : ''}${plan.cutting?.groups.length || plan.sewn.length > 0 ? 'and ' : ''}fire certificate of every cushion, below${plan.sewn.length > 0 ? '; the old label comes off' : ''}.`,
      ],
      safety: ['fire-label'],
    }),
  ]
}
