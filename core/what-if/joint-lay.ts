import type { Job, JointCut, Lay, LayProblem } from '../../contract/index.ts'
import type { ClothLay } from '../cloth/index.ts'
import { usedLength } from '../lay/index.ts'
import { textKey } from '../text-key/index.ts'

/** A ticket's share of a cloth that several are cut from. */
export interface JointTicket {
  readonly jobId: string
  readonly ticket: string
  readonly own: ClothLay
}

/** Says which pieces a lay was made for: another key, another lay. */
export const problemKey = (problem: LayProblem): string => textKey(JSON.stringify(problem))

/** A lay as a ticket keeps it by itself, for the pieces with that key. */
export const keptLay = (
  key: string,
  lay: Lay,
  byHand = false,
  locked: readonly string[] = [],
): Job['lays'][string] => ({ problemKey: key, lay, byHand, locked: [...locked], joint: null })

/** How long the cloth of a kept lay is, mm, and which share of it the ticket pays for: all, of a lay of its own. */
export const takenBy = ({ lay, joint }: Job['lays'][string]): { readonly laidMm: number; readonly share: number } =>
  joint ? { laidMm: joint.lengthMm, share: joint.shareMm / joint.lengthMm } : { laidMm: lay.length, share: 1 }

/**
 * Several tickets on one cloth: their pieces, each with its ticket, and one problem for all. The pattern of each ticket
 * is free of the others'. @throws RangeError without a ticket.
 */
export function cutTogether(tickets: readonly JointTicket[]): ClothLay {
  const [first] = tickets
  if (!first) throw new RangeError('cutTogether: no tickets')
  return {
    ...first.own,
    pieces: tickets.flatMap(({ ticket, own }, i) =>
      own.pieces.map((p) => ({ ...p, id: jointId(i, p.id), name: `${ticket}: ${p.name}`, ticket })),
    ),
    problem: {
      ...first.own.problem,
      gap: Math.max(...tickets.map(({ own }) => own.problem.gap)),
      groups: Object.fromEntries(
        tickets.flatMap(({ own }, i) =>
          Object.entries(own.problem.groups).map(([group, phases]) => [jointId(i, group), phases]),
        ),
      ),
      pieces: tickets.flatMap(({ own }, i) =>
        own.problem.pieces.map((p) => ({
          ...p,
          id: jointId(i, p.id),
          match: p.match && { ...p.match, group: jointId(i, p.match.group) },
        })),
      ),
    },
  }
}

/**
 * What each ticket keeps of a joint lay: its own pieces where they lie, and where those of the others lie. The length
 * is shared in proportion to what each would take alone, so that none pays more than by itself while all save.
 */
export function jointShares(
  id: string,
  lay: Lay,
  tickets: readonly (JointTicket & { readonly aloneMm: number })[],
): readonly Job['lays'][string][] {
  const aloneMm = tickets.reduce((sum, t) => sum + t.aloneMm, 0)
  const parts = tickets.map(({ jobId, ticket, own }, i) => ({
    jobId,
    ticket,
    problemKey: problemKey(own.problem),
    lay: ownPart(lay, own, i),
  }))
  return parts.map(({ problemKey: key, lay: ownLay }, i) => ({
    problemKey: key,
    lay: ownLay,
    byHand: false,
    locked: [],
    joint: {
      id,
      lengthMm: lay.length,
      boundMm: lay.bound,
      shareMm: (lay.length * tickets[i]!.aloneMm) / aloneMm,
      place: i,
      others: parts
        .filter((_, j) => j !== i)
        .map(({ jobId, ticket, problemKey: other, lay: { placements, offsets } }) => ({
          jobId,
          ticket,
          problemKey: other,
          placements,
          offsets,
        })),
    },
  }))
}

/** The whole joint lay again, from what one of its tickets keeps of it, for the pieces that `cutTogether` gives. */
export function wholeLay(own: Lay, joint: JointCut): Lay {
  const parts = [...joint.others.slice(0, joint.place), own, ...joint.others.slice(joint.place)]
  return {
    ...own,
    length: joint.lengthMm,
    bound: joint.boundMm,
    placements: parts.flatMap(({ placements }, i) => placements.map((p) => ({ ...p, id: jointId(i, p.id) }))),
    offsets: Object.fromEntries(
      parts.flatMap(({ offsets }, i) => Object.entries(offsets).map(([group, at]) => [jointId(i, group), at])),
    ),
  }
}

/** The pieces of one ticket alone, as long as they reach; the names they have in their own ticket. */
function ownPart(lay: Lay, own: ClothLay, i: number): Lay {
  const names = new Map(
    [...own.problem.pieces.map((p) => p.id), ...Object.keys(own.problem.groups)].map((name) => [
      jointId(i, name),
      name,
    ]),
  )
  const placements = lay.placements.flatMap((p) => (names.has(p.id) ? [{ ...p, id: names.get(p.id)! }] : []))
  return {
    ...lay,
    length: usedLength(own.problem, placements),
    bound: 0,
    placements,
    offsets: Object.fromEntries(
      Object.entries(lay.offsets).flatMap(([group, at]) => (names.has(group) ? [[names.get(group)!, at]] : [])),
    ),
  }
}

/** Tickets number their pieces alike, so each name gets the number of its ticket. */
const jointId = (ticket: number, id: string): string => `${ticket + 1}:${id}`
