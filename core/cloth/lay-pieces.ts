import { phrase } from '../language/index.ts'
import type { Cloth, ClothChoice, LayPiece } from '../../contract/index.ts'
import { clothFor, cushionFrames, cutOutline, framesAsLaid, usableWidth, type Cover } from '../cover/index.ts'
import { flatten, type Outline } from '../outline/index.ts'
import { washed, washedChoice } from '../pattern/index.ts'
import { CHORD_MM } from './chord.ts'
import { clothProblem } from './cloth-problem.ts'
import { clothRow } from './cloth-row.ts'
import type { ClothLay, ClothPlan, LaidPiece } from './cloth-lay.ts'
import { foldFault } from './folded/fold-fault.ts'
import { foldedLay } from './folded/fold.ts'
import { notFollowing, ruledOf, type RuledPart } from './follow.ts'
import { matchedWays, turnsOf } from './lay-turns.ts'
import { pieceId } from './piece-id.ts'
import { pipingStrips, stripOutline, type PipingStrips } from './piping-strips.ts'
import { stripPlace } from './strip-words.ts'
import { readySides } from './ready-sides.ts'
import { matchingsOf, matchOf, rowPattern, ruledPlaces } from './match.ts'

/** The covers of one cushion of a design: what is seen, and a liner inside it. */
export interface DesignCovers {
  readonly cover: Cover
  readonly liner: Cover | null
}

/** A part of a ticket, as its cloth is planned. */
export interface PartCovers extends Pick<RuledPart, 'letter' | 'follows' | 'division' | 'cushions'> {
  /** Before the numbers of its cushions: its letter, or nothing where it is the only one. */
  readonly prefix: string
  /** Cloths as they are bought or kept. */
  readonly cloth: ClothChoice
  readonly designs: readonly DesignCovers[]
}

/** A part with what its pieces are cut by. */
interface CutPart extends PartCovers, RuledPart {
  /** The only cushions of the ticket, all alike. */
  readonly isAlone: boolean
  /** By design. */
  readonly strips: readonly (readonly PipingStrips[])[]
}

/**
 * Every piece of all parts to be laid, by cloth, with its turns and phases, as lay problems; `folded` by the ids of
 * their cloths.
 */
export function planCloth(parts: readonly PartCovers[], folded: readonly string[] = []): ClothPlan {
  const isAlone = parts.length === 1 && parts[0]!.designs.length === 1
  const cut = parts.map((part): CutPart => {
    const laid = washedChoice(part.cloth)
    return {
      ...part,
      isAlone,
      laid,
      row: clothRow(
        part.cushions,
        part.designs.map((d) => d.cover),
      ),
      strips: part.designs.map(({ cover }, i) =>
        cover.piping ? pipingStrips(laid, cover.piping, part.cushions.designs[i]!, isAlone) : [],
      ),
    }
  })
  const lays = clothsOf(parts).map((cloth) => {
    const lay = layOf(cloth, cut)
    return folded.includes(cloth.id) && !foldFault(cloth) && lay.pieces.length > 0 ? foldedLay(lay) : lay
  })
  return {
    lays: lays.filter((l, i) => l.pieces.length > 0 || (i === 0 && lays.length === 1)),
    strips: cut.flatMap((p) => p.strips),
    notFolded: clothsOf(parts).flatMap((cloth) => {
      const because = folded.includes(cloth.id) ? foldFault(cloth) : null
      return because ? [{ cloth: cloth.name, because }] : []
    }),
    loose: cut.flatMap((p) => {
      const because = notFollowing(p, cut)
      return because ? [{ part: p.letter, leader: p.follows!.part, because }] : []
    }),
  }
}

/** Each cloth of all parts once, the faces first. */
function clothsOf(parts: readonly PartCovers[]): readonly Cloth[] {
  const all = [...parts.map((p) => p.cloth.cloth), ...parts.flatMap((p) => Object.values(p.cloth.others))]
  return all.filter((cloth, i) => all.findIndex((c) => c.id === cloth.id) === i)
}

function layOf(bought: Cloth, parts: readonly CutPart[]): ClothLay {
  const cloth = washed(bought)
  const cut = [
    ...parts.flatMap((part) => panelsOf(part, parts, cloth)),
    ...parts.flatMap((part) => stripsOf(part, cloth)),
  ]
  const isMatching = parts.some((p) => p.laid.cloth.id === cloth.id && p.laid.match.kind === 'matched')
  return {
    cloth: bought,
    laidOn: cloth,
    isFolded: false,
    pieces: cut.map((c) => c.laid),
    usableMm: usableWidth(cloth),
    problem: {
      format: 'loft-seam/lay-problem',
      version: cut.some((c) => c.piece.sides) ? 2 : 1,
      ...clothProblem(cloth, isMatching),
      gap: 0,
      pieces: cut.map((c) => c.piece),
    },
  }
}

interface Cut {
  readonly laid: LaidPiece
  readonly piece: LayPiece
}

/** The panels of a part that are cut from a cloth, cushion by cushion. */
function panelsOf(part: CutPart, parts: readonly CutPart[], cloth: Cloth): readonly Cut[] {
  const { laid: choice, cushions, designs, row, prefix } = part
  // Stripes are matched on the cloth of the face alone.
  const own: ClothChoice = cloth.id === choice.cloth.id ? choice : { ...choice, cloth, match: { kind: 'none' } }
  const cuts = designs.map(({ cover, liner }) =>
    layersOf({ cover, liner }).flatMap(({ of, layer }) =>
      [...of.panels, ...of.layers]
        .filter((p) => clothFor(choice, p.cloth).id === cloth.id)
        .map((panel) => ({ of, layer, panel, cut: cutOutline(panel) }))
        .map((p) => ({ ...p, flat: asOutline(p.cut) })),
    ),
  )
  const pattern = rowPattern(own)
  return cushions.inOrder.flatMap(({ design }, cushion) => {
    const ruled = own === choice ? ruledOf(part, parts, cushion) : ruledPlaces(own, pattern, row, cushion)
    return cuts[design]!.map(({ of, layer, panel, cut, flat }): Cut => {
      const id = pieceId({ part: prefix, cushion, layer, panel: panel.id })
      const frames = layer === 'cover' ? framesAsLaid(own, cushionFrames(own, of, panel), panel.lies) : null
      const ways = frames && matchedWays(own, panel, matchingsOf(own, pattern, frames, ruled, row, cushion))
      const match = ways && matchOf(panel, ways.matchings)
      const sides = readySides(cloth, panel, flat)
      return {
        laid: {
          id,
          name: phrase`${layer === 'liner' ? 'Liner, ' : ''}${panel.name}, cushion ${prefix}${cushion + 1}`,
          qty: panel.times,
          cut,
          of: { part: prefix, cushion, layer, panel },
          matched: match !== null,
          way: 'flat',
        },
        piece: {
          id,
          qty: panel.times,
          outline: flat,
          turns: [...(ways?.turns ?? turnsOf(own, panel))],
          flip: false,
          match,
          ...(sides.length > 0 ? { sides } : {}),
        },
      }
    })
  })
}

/** The strips of a part's piping, where they are cut from a cloth. */
function stripsOf({ isAlone, laid: choice, cushions, strips }: CutPart, cloth: Cloth): readonly Cut[] {
  if (clothFor(choice, 'piping').id !== cloth.id) return []
  return strips.flatMap((groups, design) =>
    groups.flatMap((own) => {
      const alone = isAlone ? 'Piping strip' : phrase`Piping strip ${cushions.designs[design]!.id}`
      const name = own.group.isClosed ? alone : phrase`${alone}, open run`
      return own.cut.map(({ id, qty, sewn }, i): Cut => {
        const outline = stripOutline(own.shape, sewn.value)
        return {
          laid: {
            id,
            name: own.id === own.of ? name : phrase`${name}, ${stripPlace(own, i)}`,
            qty,
            cut: outline,
            of: null,
            matched: false,
            way: 'flat',
          },
          piece: { id, qty, outline: asOutline(outline), turns: [...own.turns], flip: false, match: null },
        }
      })
    }),
  )
}

const layersOf = ({ cover, liner }: DesignCovers) => [
  { of: cover, layer: 'cover' as const },
  ...(liner ? [{ of: liner, layer: 'liner' as const }] : []),
]

const asOutline = (outline: Outline): [number, number][] => flatten(outline, CHORD_MM).map((p) => [p.x, p.y])
