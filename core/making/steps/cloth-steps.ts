import { phrase } from '../../language/index.ts'
import type { Cloth } from '../../../contract/index.ts'
import type { ClothLay } from '../../cloth/index.ts'
import { usableWidth } from '../../cover/index.ts'
import { perimeterOf } from '../../outline/index.ts'
import { trimmed } from '../../units/index.ts'
import { gate, step, type Step } from '../step.ts'
import { checking, countOfWork, lengthOfWork } from '../work.ts'
import { isSewn } from '../../planned/index.ts'
import type { OrderOf } from './order-of.ts'

/** From the roll to pieces that lie as they will sit. */
export function clothSteps(of: OrderOf): readonly Step[] {
  const { lays } = of.plan.cloth
  if (lays.length === 0) return []
  const pieces = lays.reduce((sum, l) => sum + piecesOf(l), 0)
  return [
    ...lays.flatMap((lay, i) => preparing(of, lay.cloth, i)),
    ...cord(of),
    ...lays.flatMap((lay, i) => cutting(of, lay, i)),
    ...together(of, pieces),
  ]
}

const piecesOf = (lay: ClothLay): number => lay.pieces.reduce((sum, p) => sum + p.qty, 0)
/** The first cloth has the plain id, so that a second one does not move its records. */
const idOf = (what: string, i: number): string => (i === 0 ? `cloth.${what}` : `cloth.${what}.${i + 1}`)

function preparing({ say }: OrderOf, cloth: Cloth, i: number): readonly Step[] {
  const usable = usableWidth(cloth)
  const shrinks = cloth.shrink.across > 0 || cloth.shrink.along > 0
  return [
    step({
      id: idOf('prepare', i),
      part: 'cloth',
      resource: 'table',
      title: phrase`Prepare the ${cloth.name}`,
      says: [
        ...(cloth.washFirst ? ['Wash it, dry it as it will be dried.'] : []),
        smoothing(cloth),
        'Find the right side and mark it with chalk at the starting end.',
        cloth.nap === 'one-way'
          ? 'One-way pile: chalk an arrow the way it strokes smooth, every metre.'
          : 'Both ways alike: no arrow needed.',
      ],
      checks: [
        cloth.flaws.length > 0
          ? phrase`${cloth.flaws.length} flaws are marked: chalk round them.`
          : 'Look for flaws against the light, and chalk round them.',
      ],
      work: countOfWork('prepare', idOf('prepare', i), 1, 'once for each cloth'),
    }),
    gate(
      {
        id: idOf('width', i),
        part: 'cloth',
        resource: 'table',
        title: 'Width of this very piece',
        measures: { what: 'cloth-width', clothId: cloth.id, plannedMm: usable },
        asks: phrase`Is the ${cloth.name} ${say(usable)} wide between its selvedges, by the tape?`,
        says: [
          phrase`${say(cloth.widthMm)} over all, selvedges ${say(cloth.selvedgeMm[0])} and ${say(cloth.selvedgeMm[1])}.`,
        ],
      },
      checking(idOf('width', i)),
    ),
    ...(shrinks
      ? [
          gate(
            {
              id: idOf('shrink', i),
              part: 'cloth',
              resource: 'table',
              title: 'Shrinkage',
              asks: cloth.washFirst
                ? phrase`Was the ${cloth.name} washed before it is cut?`
                : phrase`Are the pieces of ${cloth.name} cut larger for the wash: ${percent(cloth.shrink.across)} across, ${percent(cloth.shrink.along)} along?`,
            },
            checking(idOf('shrink', i)),
          ),
        ]
      : []),
  ]
}

/** Deep pile is not ironed, and what is synthetic only where a corner has borne it. */
const smoothing = (cloth: Cloth): string =>
  cloth.nap === 'one-way'
    ? 'Shake it out and brush it; no iron on pile.'
    : cloth.fibre === 'synthetic'
      ? 'Roll it out flat; no iron unless a corner has borne it.'
      : 'Press it.'

function cord({ plan, say }: OrderOf): readonly Step[] {
  const cords = plan.worked.flatMap(({ part: { makeUp, work } }) =>
    makeUp.piping.kind === 'corded' && isSewn({ work }) ? [makeUp.piping.cordMm] : [],
  )
  return cords.length > 0
    ? [
        gate(
          {
            id: 'cloth.cord',
            part: 'cloth',
            resource: 'table',
            title: 'Measure the cord',
            ...(new Set(cords).size === 1 ? { measures: { what: 'cord', plannedMm: cords[0]! } as const } : {}),
            asks: phrase`Is the cord in hand ${[...new Set(cords)].map(say).join(' and ')} thick? The strips are cut for that.`,
          },
          checking('cloth.cord'),
        ),
      ]
    : []
}

function cutting(of: OrderOf, lay: ClothLay, i: number): readonly Step[] {
  const matched = lay.pieces.some((p) => p.matched)
  const count = piecesOf(lay)
  return [
    step({
      id: idOf('mark', i),
      part: 'cloth',
      resource: 'table',
      title: phrase`Mark out the ${lay.cloth.name}`,
      says: [
        ...(lay.isFolded
          ? [
              'Fold it lengthwise, right side in, selvedge on selvedge, and pin it: every line is cut through both layers.',
              ...(lay.pieces.some((p) => p.way === 'on-the-fold')
                ? ['What is marked on the fold is not cut there: opened out it is whole.']
                : []),
            ]
          : []),
        phrase`${count} pieces by the chalk list, from the starting end on.`,
        ...(lay.cloth.nap === 'one-way' ? ['Every arrow the way of the pile.'] : []),
      ],
      checks: ['Diagonals of the large pieces agree.'],
      work: countOfWork('mark', idOf('mark', i), count, 'every piece of the lay'),
    }),
    ...(matched
      ? [
          gate(
            {
              id: idOf('stripes', i),
              part: 'cloth',
              resource: 'table',
              title: 'Stripes before the shears',
              asks: 'Do the stripes at the start and at the end of the lay fall where the chalk list says?',
            },
            checking(idOf('stripes', i)),
          ),
        ]
      : []),
    ...(i === 0 ? carriedOver(of) : []),
    step({
      id: idOf('cut', i),
      part: 'cloth',
      resource: 'table',
      title: phrase`Cut the ${lay.cloth.name}`,
      says: [
        'On the cut line: allowances are counted in.',
        ...(lay.pieces.some((p) => p.qty > 1)
          ? ['Of equal pieces the first, once checked, is the template of the rest.']
          : []),
      ],
      checks: ['Notches no deeper than half the allowance.'],
      work: lengthOfWork(
        'cut-cloth',
        idOf('cut', i),
        lay.pieces.map((p) => ({ count: p.qty, mm: perimeterOf(p.cut) })),
        'round every piece',
      ),
      safety: i === 0 ? ['hot-knife'] : [],
    }),
  ]
}

/** What the old cover had, marked on the new one before it is cut. */
function carriedOver({ plan, say }: OrderOf): readonly Step[] {
  const tucks = plan.worked.flatMap(({ part }) => (isSewn(part) ? part.there.tucks : []))
  return tucks.length === 0
    ? []
    : [
        step({
          id: 'cloth.tucks',
          part: 'cloth',
          resource: 'table',
          title: 'Carry over the tucks of the old cover',
          says: tucks.map(
            (t) =>
              `${t.kind[0]!.toUpperCase()}${t.kind.slice(1)}, ${t.where}${t.intakeMm > 0 ? phrase`, ${say(t.intakeMm)} taken in` : ''}.`,
          ),
          work: countOfWork('mark', 'cloth.tucks', tucks.length, 'every tuck, clip and dart'),
        }),
      ]
}

function together({ plan }: OrderOf, pieces: number): readonly Step[] {
  const count = plan.sewn.reduce((sum, d) => sum + d.design.count, 0)
  const several = plan.sewn.some((d) => d.design.count > 1)
  const hasBoxing = plan.sewn.some((d) =>
    [d.cover, d.liner].some((c) => c?.panels.some((p) => p.role === 'boxing' || p.role === 'gusset')),
  )
  const hasNap = plan.cloth.lays.some((l) => l.cloth.nap === 'one-way')
  const isMatched = plan.worked.some(({ part }) => isSewn(part) && part.cloth.match.kind === 'matched')
  const hasNotches = plan.sewn.some((d) => d.cover.panels.some((p) => p.notches.length > 0))
  return [
    ...(several
      ? [
          gate(
            {
              id: 'cloth.first',
              part: 'cloth',
              resource: 'table',
              title: 'The first of several',
              asks: 'Was the first of the equal pieces checked against its size before the rest were cut?',
            },
            checking('cloth.first'),
          ),
        ]
      : []),
    step({
      id: 'cloth.label',
      part: 'cloth',
      resource: 'table',
      title: 'Label the pieces and lay them out',
      says: [
        phrase`As they will sit${hasBoxing ? ', boxing beside its edge' : ''}${count > 1 ? ', in their row' : ''}; right side up.`,
      ],
      work: countOfWork('label', 'cloth.label', pieces, 'every piece'),
    }),
    gate(
      {
        id: 'cloth.laid',
        part: 'cloth',
        resource: 'table',
        title: 'Laid out as they will sit',
        asks: `${isMatched ? 'Do the stripes run on from piece to piece' : 'Does everything lie the right way'}${hasNap ? ', with every pile arrow the same way' : ''}?`,
      },
      checking('cloth.laid'),
    ),
    ...(hasNotches
      ? [
          gate(
            {
              id: 'cloth.notches',
              part: 'cloth',
              resource: 'table',
              title: 'Notches on both halves',
              asks: 'Is every notch letter there twice: on a piece and on its partner?',
            },
            checking('cloth.notches'),
          ),
        ]
      : []),
  ]
}

const percent = (share: number) => `${trimmed(share * 100, 1)} %`
