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
  const key = recordKey(design)
  const [garment] = garmentsOf(design)
  const own: Parcel = {
    design,
    key,
    name: nameOf(of, garment!),
    thing: garment!.thing,
    lap: of.say(construction.lapMm),
    needs: design.liner ? [{ thing: `${key}, liner`, stage: 'shut' }] : [],
    id: (what) => (isFirst ? `wrap.${what}` : `wrap.${key}.${what}`),
  }
  const isBonded = construction.fastening === 'bonded'
  return [...filmed(own), wrapped(own), endsFolded(own), ...(isBonded ? [bonded(own)] : []), held(own, isBonded)]
}

/** A parcel that is made up, by what its acts need. */
interface Parcel {
  readonly design: DesignPlan
  readonly key: string
  readonly name: string
  readonly thing: string
  /** How far it laps, in words. */
  readonly lap: string
  readonly needs: Act['needs']
  readonly id: (what: string) => string
}

const BASE = { part: 'closing', resource: 'bench' } as const

const filmOf = ({ design }: Parcel) => design.cover.fittings.find((f) => f.use === 'film')

function filmed(own: Parcel): readonly Act[] {
  const { name, key, needs, design } = own
  const film = filmOf(own)
  if (!film) return []
  const id = own.id('film')
  const filming = step({
    ...BASE,
    id,
    title: phrase`${name}Film round the block`,
    says: ['Close round it, the seam of the film underneath, its ends folded in.'],
    work: areaOfWork('wrap', id, film.amount.value * design.design.count, 'the film'),
    safety: ['film'],
  })
  const foamIsReady = ['foam.cut', 'foam.checked', 'foam.glue', 'foam.wrap', 'foam.wrapped']
  return [act(filming, `film ${key}`, { kind: 'prepare' }, { after: foamIsReady, needs })]
}

function wrapped(own: Parcel): Act {
  const { name, key, thing, needs, design, lap } = own
  const id = own.id('long')
  const mm = design.cover.solid.width.value
  const wrapping = step({
    ...BASE,
    id,
    title: phrase`${name}Wrap the long sides`,
    says: [
      phrase`The block face down on the cloth; once round it, the lap of ${lap} underneath.`,
      'Pulled tight and pinned from the middle outwards.',
    ],
    work: lengthOfWork('close', id, [{ count: design.design.count, mm }], 'along the lap'),
  })
  const body = filmOf(own) ? `film ${key}` : 'foam'
  return act(wrapping, thing, { kind: 'cover-over', body }, { leaves: 'shut', needs, after: [own.id('film')] })
}

function endsFolded(own: Parcel): Act {
  const { name, thing, design } = own
  const id = own.id('ends')
  const mm = design.cover.solid.depth.value
  const folding = step({
    ...BASE,
    id,
    title: phrase`${name}Fold the ends like a parcel`,
    says: ['Sides in, then top and bottom, each fold on the edge of the block; pinned tight.'],
    checks: ['Both ends folded the same way.'],
    work: lengthOfWork('close', id, [{ count: 2 * design.design.count, mm }], 'both ends'),
  })
  return act(folding, thing, { kind: 'look' }, { at: 'shut', after: [own.id('long')] })
}

function bonded(own: Parcel): Act {
  const { name, thing, design } = own
  const id = own.id('bond')
  const { width, thickness } = design.cover.solid
  const mm = width.value + 2 * thickness.value
  const bonding = step({
    ...BASE,
    id,
    title: phrase`${name}Bond the laps`,
    says: ['Thinly under each lap, pin by pin; pressed until it holds. Let it cure before it is handled.'],
    work: lengthOfWork('close', id, [{ count: design.design.count, mm }], 'every lap'),
    safety: ['glue'],
    cures: true,
  })
  return act(bonding, thing, { kind: 'look' }, { at: 'shut', after: [own.id('ends')] })
}

function held(own: Parcel, isBonded: boolean): Act {
  const { name, thing } = own
  const id = own.id('firm')
  const asks = isBonded
    ? 'Has the bond cured, and does every fold lie flat and hold?'
    : 'Is every pin in from underneath, and none to be felt?'
  const holding = gate({ ...BASE, id, title: phrase`${name}It holds`, asks }, checking(id))
  return act(holding, thing, { kind: 'look' }, { at: 'shut', after: [own.id('bond'), own.id('ends')] })
}
