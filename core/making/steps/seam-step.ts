import { phrase } from '../../language/index.ts'
import type { Construction, ZipEnds } from '../../../contract/index.ts'
import { isPressedOn, seamLength, type Cover, type Panel, type Seam } from '../../cover/index.ts'
import { distance } from '../../outline/index.ts'
import type { DesignPlan } from '../../planned/index.ts'
import type { InWork } from '../acts/garments.ts'
import { OVERLAP_MM } from '../machine-card.ts'
import { step, type Sewing, type Step, type Work } from '../step.ts'
import { countOfWork, lengthOfWork } from '../work.ts'
import type { OrderOf } from './order-of.ts'

/** What a seam is sewn on, and what its step is called by. */
export interface SewnCover {
  readonly of: OrderOf
  readonly design: DesignPlan
  readonly cover: Cover
  /** Before the id of each step: `sew.A.` or `sew.A.liner.`. */
  readonly prefix: string
  /** Before the title, where there are several designs or a liner. */
  readonly name: string
}

/** One of the things in work, as its seams are sewn. */
export interface Sewn extends SewnCover {
  readonly garment: InWork
}

/** One seam, with its length, its way of sewing, the notches that meet, and its minutes. */
export function seamStep(sewn: SewnCover, seam: Seam): Step {
  const { of, design, cover, prefix, name } = sewn
  const length = seam.kind === 'divider' ? dividerMm(cover) : seamLength(seam)
  const letters = notchLetters(cover, seam)
  return step({
    id: `${prefix}${seam.letter}`,
    part: 'sewing',
    resource: 'machine',
    title: phrase`${name}${name ? 'seam' : 'Seam'} ${seam.letter}: ${seam.name}`,
    says: [
      ...(length > 0
        ? [`${of.say(length)}${design.design.count > 1 ? phrase` on each of ${design.design.count} cushions` : ''}.`]
        : []),
      ...seamSays(seam, cover, design.part.makeUp.construction.kind, of.say),
      ...hingedTies(design, seam),
      ...(letters.length > 0 ? [phrase`Notches ${letters.join(' ')} meet.`] : []),
    ],
    checks: checksOf(seam, design),
    work: seamWork(sewn, seam, length),
    safety: seam === cover.seams[0] ? ['needles'] : [],
    sews: { design: design.design.id, layer: cover === design.liner ? 'liner' : 'cover', seam: seam.letter },
    sewing: sewingOf(seam, design, cover),
  })
}

/** The ties of a hinged pair are sewn in with its sides: those of the hinge, and those at the ends of its edges. */
function hingedTies({ part: { makeUp } }: DesignPlan, seam: Seam): readonly string[] {
  if (makeUp.construction.kind !== 'hinged-pair' || seam.kind !== 'plate' || !makeUp.trims.ties) return []
  const { places } = makeUp.trims.ties
  const where = [
    ...(places.some((p) => p.at === 'hinge') ? ['at the hinge'] : []),
    ...(places.some((p) => p.at === 'edge' && (p.side === 'left' || p.side === 'right')) ? ['along the sides'] : []),
  ]
  return where.length > 0 ? [phrase`Ties caught between the layers, ${where.join(' and ')}.`] : []
}

/** A divider joins no edges: it is as long as the line chalked for it. */
const dividerMm = (cover: Cover): number =>
  cover.panels
    .flatMap((p) => p.marks.filter((m) => m.kind === 'sew'))
    .slice(0, 1)
    .reduce((sum, { path }) => sum + path.slice(1).reduce((l, q, i) => l + distance(path[i]!, q), 0), 0)

function seamSays(seam: Seam, cover: Cover, built: Construction['kind'], say: OrderOf['say']): readonly string[] {
  const closure = cover.closures.find((c) => c.seam === seam.letter)
  switch (seam.kind) {
    case 'closure':
      return closure ? closureSays(closure, built) : []
    case 'join':
      return [
        cover.panels.some(
          (p) => p.role === 'boxing' && seam.pairs.some((x) => x.a.panel === p.id || x.b.panel === p.id),
        )
          ? 'Right sides together, band to band. Do not backstitch where a corner opens later: stop one allowance short.'
          : 'Right sides together; lock both ends.',
      ]
    case 'corner':
      // The border of a cap is sewn to its base corner to corner: there the seam must still open.
      return built === 'capped'
        ? [
            'Right sides together, from the fold down; stop one allowance above the free edge and leave it open, nothing clipped there.',
          ]
        : ['Right sides together, from the cut edge to the corner point; lock both ends.']
    case 'tuck':
      return ['Fold on the marks towards the middle, baste across.']
    case 'plate':
      return built === 'bolster'
        ? [
            phrase`Right sides together, the end on top. Clip the edge of the body all round, and ease it to the end; overlap the start by ${say(OVERLAP_MM)}.`,
          ]
        : built === 'capped'
          ? ['Right sides together, corner to corner: the open ends of the corner seams spread as the needle turns.']
          : [
              'Right sides together, panel with clips on top. Start in the middle of a side; at each corner clip, needle down, lift, pivot.',
            ]
    case 'divider':
      return ['Through both panels on the chalked line, from outside, straight from side to side; lock both ends.']
    case 'final':
      return []
    default:
      return seam.kind satisfies never
  }
}

/** How each kind of opening is set in, half by half. */
function closureSays(
  { choice, fittings, places }: Cover['closures'][number],
  built: Construction['kind'],
): readonly string[] {
  const notes = fittings.flatMap((f) => (f.note === '' ? [] : [`${f.note[0]!.toUpperCase()}${f.note.slice(1)}.`]))
  switch (choice.kind) {
    case 'slit':
      return ['Lapped, and tacked at both ends only.']
    case 'zip-gusset':
    case 'zip-seam':
      return [
        'Both sides of the zip marked from the same end; the slider put on before the ends are held.',
        zipEndSays(choice.ends),
        ...notes,
      ]
    case 'horseshoe':
      return ['Both sides of the zip marked from the same end; the slider put on before the ends are held.', ...notes]
    case 'hook-and-loop':
    case 'snap-tape':
      if (isPressedOn(choice))
        return [
          'Iron the hem flat, press the tape on within it, from the same end on both halves; let it set before it is closed.',
          ...notes,
        ]
      return [
        built === 'wrapped-tube'
          ? 'The first half of the tape now, clear of the seams; the second with the cover on the body.'
          : 'One half of the tape on each side, from the same end, clear of the seams.',
        ...notes,
      ]
    case 'snaps':
    case 'buttons':
    case 'ties':
    case 'lacing':
      return [phrase`${places.length} places, marked from the same end on both halves.`, ...notes]
    case 'sewn-shut':
    case 'fixed':
      return notes
    default:
      return choice satisfies never
  }
}

function zipEndSays(ends: ZipEnds = { kind: 'sewn-across' }): string {
  switch (ends.kind) {
    case 'sewn-across':
      return 'Sew across both ends of the tape, back and forth, so that the slider cannot run off.'
    case 'stops':
      return 'Clamp a stop on both ends of the chain.'
    case 'tabs':
      return 'Fold a tab over each end of the tape and stitch it down.'
    default:
      return ends satisfies never
  }
}

/** A seam that closes on itself is overlapped; a join whose corner opens later stops short of it. */
function sewingOf(seam: Seam, { part }: DesignPlan, cover: Cover): Sewing {
  const { cloth } = part.cloth
  const zips = cover.closures.some((c) => c.seam === seam.letter && c.fittings.some((f) => f.use === 'zip'))
  switch (seam.kind) {
    case 'closure':
      return { kind: zips ? 'zip' : 'seam', cloth, lock: 'both-ends' }
    case 'plate':
      return { kind: cover.piping ? 'piping' : 'seam', cloth, lock: 'overlap' }
    case 'join':
      return { kind: 'seam', cloth, lock: 'stop-short' }
    case 'divider':
    case 'final':
      return { kind: 'top-stitch', cloth, lock: 'both-ends' }
    case 'corner':
    case 'tuck':
      return { kind: 'seam', cloth, lock: 'both-ends' }
    default:
      return seam.kind satisfies never
  }
}

const checksOf = (seam: Seam, { part }: DesignPlan): readonly string[] =>
  seam.kind === 'plate' && part.cloth.match.kind === 'matched'
    ? [...SEAM_CHECKS.plate, 'Stripes meet.']
    : SEAM_CHECKS[seam.kind]

const SEAM_CHECKS: Readonly<Record<Seam['kind'], readonly string[]>> = {
  closure: ['It opens and closes along its whole length.'],
  join: ['Both bands the same height at the join.'],
  corner: ['The point is sharp, no pucker.'],
  tuck: ['Tucks on both sides alike.'],
  plate: ['Corners without holes, no tuck caught.'],
  divider: ['Straight, at the same distance from both sides.'],
  final: ['Stitches small and drawn in.'],
}

function seamWork({ design, cover, prefix }: SewnCover, seam: Seam, length: number): readonly Work[] {
  const { count } = design.design
  const id = `${prefix}${seam.letter}`
  const along = (kind: 'zip' | 'join' | 'plate' | 'top-stitch') =>
    lengthOfWork(kind, id, [{ count, mm: length }], 'this seam on every cushion')
  switch (seam.kind) {
    case 'closure':
      return along(cover.closures.find((c) => c.seam === seam.letter)?.choice.kind === 'slit' ? 'join' : 'zip')
    case 'plate':
      return [
        ...along('plate'),
        ...countOfWork('corner', id, count * turnsOf(cover, seam), 'where the plate turns, on every cushion'),
      ]
    case 'join':
    case 'corner':
    case 'tuck':
    case 'final':
      return along('join')
    case 'divider':
      return along('top-stitch')
    default:
      return seam.kind satisfies never
  }
}

/** A plate turns once between any two of its edges that the seam follows. */
function turnsOf(cover: Pick<Cover, 'panels'>, seam: Seam): number {
  const plates = cover.panels.filter(
    (p) => (p.role === 'plate' || p.role === 'base') && seam.pairs.some((x) => x.a.panel === p.id),
  )
  const edges = (p: Panel) => new Set(seam.pairs.filter((x) => x.a.panel === p.id).map((x) => x.a.edge)).size
  return plates.reduce((sum, p) => sum + (edges(p) === p.edges.length ? edges(p) : Math.max(0, edges(p) - 1)), 0)
}

function notchLetters(cover: Cover, seam: Seam): readonly string[] {
  const edges = seam.pairs.map((p) => p.a)
  return [
    ...new Set(
      cover.panels.flatMap((p) =>
        p.notches
          .filter((n) => edges.some((e) => e.panel === p.id && e.edge === n.edge && isWithin(n.atMm, e.from, e.to)))
          .map((n) => n.letter),
      ),
    ),
  ]
}

const isWithin = (at: number, from: number, to: number): boolean =>
  at > Math.min(from, to) - 0.5 && at < Math.max(from, to) + 0.5
