import { phrase } from '../../language/index.ts'
import type { DesignPlan } from '../../planned/index.ts'
import { act, type Act } from '../acts/act.ts'
import { garmentsOf, recordKey } from '../acts/garments.ts'
import { gate, step } from '../step.ts'
import { areaOfWork, checking, lengthOfWork } from '../work.ts'
import type { OrderOf } from './order-of.ts'
import { nameOf } from './names.ts'

/** A parcel: film round the block, then cloth, folded, pinned and bonded. Nothing is sewn, turned or filled. */
export const wrapActs = (of: OrderOf): readonly Act[] =>
  of.plan.sewn
    .filter(({ part }) => part.makeUp.construction.kind === 'no-sew-wrap')
    .flatMap((d, i) => parcel(of, d, i === 0))

function parcel(of: OrderOf, design: DesignPlan, isFirst: boolean): readonly Act[] {
  const { construction } = design.part.makeUp
  if (construction.kind !== 'no-sew-wrap') return []
  const { say } = of
  const key = recordKey(design)
  const { count } = design.design
  const [garment] = garmentsOf(design)
  const name = nameOf(of, garment!)
  const id = (what: string) => (isFirst ? `wrap.${what}` : `wrap.${key}.${what}`)
  const { width, depth, thickness } = design.cover.solid
  const film = design.cover.fittings.find((f) => f.use === 'film')
  const lapsMm = width.value + 2 * thickness.value
  const base = { part: 'closing', resource: 'bench' } as const
  const { thing } = garment!
  const needs = design.liner ? [{ thing: `${key}, liner`, stage: 'shut' } as const] : []
  const isBonded = construction.fastening === 'bonded'
  return [
    ...(film
      ? [
          act(
            step({
              ...base,
              id: id('film'),
              title: phrase`${name}Film round the block`,
              says: ['Close round it, the seam of the film underneath, its ends folded in.'],
              work: areaOfWork('wrap', id('film'), film.amount.value * count, 'the film'),
              safety: ['film'],
            }),
            `film ${key}`,
            { kind: 'prepare' },
            { after: ['foam.cut', 'foam.checked', 'foam.glue', 'foam.wrap', 'foam.wrapped'], needs },
          ),
        ]
      : []),
    act(
      step({
        ...base,
        id: id('long'),
        title: phrase`${name}Wrap the long sides`,
        says: [
          phrase`The block face down on the cloth; once round it, the lap of ${say(construction.lapMm)} underneath.`,
          'Pulled tight and pinned from the middle outwards.',
        ],
        work: lengthOfWork('close', id('long'), [{ count, mm: width.value }], 'along the lap'),
      }),
      thing,
      { kind: 'cover-over', body: film ? `film ${key}` : 'foam' },
      { leaves: 'shut', needs, after: [id('film')] },
    ),
    act(
      step({
        ...base,
        id: id('ends'),
        title: phrase`${name}Fold the ends like a parcel`,
        says: ['Sides in, then top and bottom, each fold on the edge of the block; pinned tight.'],
        checks: ['Both ends folded the same way.'],
        work: lengthOfWork('close', id('ends'), [{ count: 2 * count, mm: depth.value }], 'both ends'),
      }),
      thing,
      { kind: 'look' },
      { at: 'shut', after: [id('long')] },
    ),
    ...(isBonded
      ? [
          act(
            step({
              ...base,
              id: id('bond'),
              title: phrase`${name}Bond the laps`,
              says: ['Thinly under each lap, pin by pin; pressed until it holds. Let it cure before it is handled.'],
              work: lengthOfWork('close', id('bond'), [{ count, mm: lapsMm }], 'every lap'),
              safety: ['glue'],
              cures: true,
            }),
            thing,
            { kind: 'look' },
            { at: 'shut', after: [id('ends')] },
          ),
        ]
      : []),
    act(
      gate(
        {
          ...base,
          id: id('firm'),
          title: phrase`${name}It holds`,
          asks: isBonded
            ? 'Has the bond cured, and does every fold lie flat and hold?'
            : 'Is every pin in from underneath, and none to be felt?',
        },
        checking(id('firm')),
      ),
      thing,
      { kind: 'look' },
      { at: 'shut', after: [id('bond'), id('ends')] },
    ),
  ]
}
