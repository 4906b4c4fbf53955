import type { Cloth, FoamStock, TakeStock, Taken, Trim } from '../../contract/index.ts'

export interface Shelves {
  readonly trims: readonly Trim[]
  readonly cloths: readonly Cloth[]
  readonly foam: readonly FoamStock[]
}

/** What the shelves hold after a movement: things changed or back again, and things gone. */
export interface Movement {
  readonly trims: readonly Trim[]
  readonly cloths: readonly Cloth[]
  readonly clothsGone: readonly string[]
  readonly foam: readonly FoamStock[]
  readonly foamGone: readonly string[]
}

export type Taking =
  | { readonly ok: false; readonly faults: readonly string[] }
  | ({ readonly ok: true; readonly lines: readonly string[]; readonly taken: Taken } & Movement)

/**
 * What the shelves hold after a job has taken its share; names what is not there. Lengths that are used up and whole
 * remnants leave the shelf.
 */
export function plannedTaking(shelves: Shelves, taking: TakeStock): Taking {
  const faults: string[] = []
  const lines: string[] = []
  const taken = { trims: taking.trims, cloths: [] as Taken['cloths'], foam: [] as Taken['foam'] }
  const trims = taking.trims.flatMap(({ id, amount }) => {
    const own = shelves.trims.find((t) => t.id === id)
    if (!own) return miss(faults, `A thing of the trims shelf (${id}) is not there any more.`)
    if (own.inHand < amount - HAIR)
      return miss(faults, `${own.name}: ${round(amount)} ${own.unit} are needed, ${round(own.inHand)} are in hand.`)
    lines.push(`${own.name}: ${round(amount)} ${own.unit}`)
    return [{ ...own, inHand: Math.max(0, round(own.inHand - amount)) }]
  })
  const cloths: Cloth[] = []
  const clothsGone: string[] = []
  for (const { id, mm, jointId } of taking.cloths) {
    const own = shelves.cloths.find((c) => c.id === id)
    if (!own) miss(faults, `A cloth (${id}) is not there any more.`)
    else if (own.supply.kind === 'length' && own.supply.lengthMm < mm - HAIR)
      miss(faults, `${own.name}: ${round(mm)} mm are needed, ${round(own.supply.lengthMm)} mm are in hand.`)
    else {
      lines.push(`${own.name}: ${round(mm)} mm`)
      taken.cloths.push({ was: own, mm, jointId })
      if (own.supply.kind === 'remnant') clothsGone.push(id)
      else if (own.supply.kind === 'length' && own.supply.lengthMm - mm > HAIR) cloths.push(shortened(own, mm))
      else if (own.supply.kind === 'length') clothsGone.push(id)
    }
  }
  const foam: FoamStock[] = []
  const foamGone: string[] = []
  for (const { id, count } of taking.foam) {
    const own = shelves.foam.find((f) => f.id === id)
    if (!own) miss(faults, `A piece of foam (${id}) is not there any more.`)
    else if (own.count < count) miss(faults, `${own.name}: ${count} are needed, ${own.count} are in hand.`)
    else {
      lines.push(`${own.name}: ${count}`)
      taken.foam.push({ was: own, count })
      if (own.count > count) foam.push({ ...own, count: own.count - count })
      else foamGone.push(id)
    }
  }
  return faults.length > 0
    ? { ok: false, faults }
    : { ok: true, lines, taken, trims, cloths, clothsGone, foam, foamGone }
}

/**
 * What the shelves hold once a taking is given back, whatever was taken or put there since. A trim that left the shelf
 * for good stays away.
 */
export function plannedReturn(shelves: Shelves, { trims, cloths, foam }: Taken): Movement {
  return {
    trims: trims.flatMap(({ id, amount }) => {
      const own = shelves.trims.find((t) => t.id === id)
      return own ? [{ ...own, inHand: round(own.inHand + amount) }] : []
    }),
    cloths: cloths.map(({ was, mm }) => {
      const own = shelves.cloths.find((c) => c.id === was.id)
      return own?.supply.kind === 'length' && was.supply.kind === 'length' ? lengthened(own, was, mm) : (own ?? was)
    }),
    clothsGone: [],
    foam: foam.map(({ was, count }) => {
      const own = shelves.foam.find((f) => f.id === was.id)
      return own ? { ...own, count: own.count + count } : { ...was, count }
    }),
    foamGone: [],
  }
}

/** Cut off at the starting end: flaws move up, and what lay in the piece cut off is gone. */
const shortened = (cloth: Cloth, mm: number): Cloth => ({
  ...cloth,
  supply:
    cloth.supply.kind === 'length' ? { kind: 'length', lengthMm: round(cloth.supply.lengthMm - mm) } : cloth.supply,
  flaws: cloth.flaws.flatMap((f) => {
    const end = f.yMm + f.lengthMm - mm
    if (end <= 0) return []
    const from = Math.max(0, f.yMm - mm)
    return [{ ...f, yMm: from, lengthMm: end - from }]
  }),
})

/** The piece laid back at the starting end, with the flaws that lay in it. */
const lengthened = (cloth: Cloth, was: Cloth, mm: number): Cloth => ({
  ...cloth,
  supply:
    cloth.supply.kind === 'length' ? { kind: 'length', lengthMm: round(cloth.supply.lengthMm + mm) } : cloth.supply,
  flaws: [
    ...was.flaws.flatMap((f) => (f.yMm < mm ? [{ ...f, lengthMm: Math.min(f.lengthMm, mm - f.yMm) }] : [])),
    ...cloth.flaws.map((f) => ({ ...f, yMm: round(f.yMm + mm) })),
  ],
})

function miss(faults: string[], says: string): [] {
  faults.push(says)
  return []
}

const HAIR = 1e-6
const round = (n: number): number => Math.round(n * 1000) / 1000
