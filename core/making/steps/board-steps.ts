import { phrase } from '../../language/index.ts'
import { AIR_HOLE_MM, wholeId } from '../../cover/index.ts'
import { areaOf, edgeLength } from '../../outline/index.ts'
import { staysThere, type DesignPlan } from '../../planned/index.ts'
import { act, type Act } from '../acts/act.ts'
import { garmentsOf, recordKey } from '../acts/garments.ts'
import { gate, step, type Step } from '../step.ts'
import { areaOfWork, checking, countOfWork, lengthOfWork } from '../work.ts'
import type { OrderOf } from './order-of.ts'
import { nameOf } from './names.ts'

/** Boards sized, holed and eased, their foam glued on. */
export const boardActs = (of: OrderOf): readonly Act[] =>
  of.plan.sewn.filter(isPulledOver).flatMap((d) => boardOf(of, d))

/** The cloth pulled over its board and stapled: no cover is turned. */
export const coveringActs = (of: OrderOf): readonly Act[] =>
  of.plan.sewn.filter(isPulledOver).flatMap((d, i) => coveringOf(of, d, i === 0))

const isPulledOver = ({ part }: DesignPlan): boolean => part.makeUp.construction.kind === 'pull-over'

const pullOver = ({ part }: DesignPlan) =>
  part.makeUp.construction as Extract<DesignPlan['part']['makeUp']['construction'], { kind: 'pull-over' }>

function boardOf(of: OrderOf, design: DesignPlan): readonly Act[] {
  const { say } = of
  const key = recordKey(design)
  const { count } = design.design
  const { boardMm, clearanceMm, airHoles } = pullOver(design)
  const { cover } = design
  const [garment] = garmentsOf(design)
  const name = nameOf(of, garment!)
  const size = (way: string) => cover.figures.find((f) => f.id === `cover.board.${way}`)!
  const holes = cover.fittings.find((f) => f.amount.id === 'cover.airHoles')
  const roundMm = cover.closures[0]!.lengthMm.value
  const foamMm2 = areaOf(cover.solid.outline)
  const thing = `board ${key}`
  const made = (s: Step, after: readonly string[]) => act(s, thing, { kind: 'prepare' }, { after })
  const id = (what: string) => `board.${key}.${what}`
  const base = { part: 'foam', resource: 'bench' } as const
  return [
    made(
      staysThere(design.part, 'board')
        ? step({
            ...base,
            id: id('cut'),
            title: phrase`${name}Make the old board good`,
            says: [
              'Staples out, glue and old foam scraped off, screws and hinges looked at; soft or split wood is replaced after all.',
              ...(design.part.there.things.board!.note === '' ? [] : [design.part.there.things.board!.note]),
            ],
            work: checking(id('cut')),
          })
        : step({
            ...base,
            id: id('cut'),
            title: phrase`${name}Cut the board`,
            says: [
              phrase`${count} of ${say(size('width').value)} x ${say(size('depth').value)} over all, ${say(boardMm)} thick: the seat's outline, ${say(clearanceMm)} smaller all round for the cloth.`,
              'Traced from the old board where it fitted, else from the outline; edges and corners eased.',
            ],
            work: lengthOfWork('board', id('cut'), [{ count, mm: roundMm }], 'round the board'),
            safety: ['knives'],
          }),
      [],
    ),
    made(
      gate(
        {
          ...base,
          id: id('seat'),
          title: phrase`${name}The board on its seat`,
          asks: 'Does the board lie in its place, with room for the cloth all round?',
        },
        checking(id('seat')),
      ),
      [id('cut')],
    ),
    ...(airHoles && !staysThere(design.part, 'board')
      ? [
          made(
            step({
              ...base,
              id: id('holes'),
              title: phrase`${name}Drill the air holes`,
              says: [
                phrase`${holes ? phrase`${holes.amount.value} on each, ${say(AIR_HOLE_MM)} across, ${holes.note}` : 'Evenly over the board'}; before the foam is glued down.`,
              ],
              work: countOfWork('drill', id('holes'), count * (holes?.amount.value ?? 0), 'every hole'),
            }),
            [id('seat')],
          ),
        ]
      : []),
    design.liner
      ? lined(of, design, thing, [id('seat'), id('holes')])
      : made(
          step({
            ...base,
            id: id('glue'),
            title: phrase`${name}Glue the foam to the board`,
            says: ['Two thin coats on both faces; wait until it tacks, lay it on from one edge, press.'],
            checks: ['Foam flush with the edge all round.'],
            work: areaOfWork('glue', id('glue'), foamMm2 * count, 'the foot of every block'),
            safety: ['glue'],
            cures: true,
          }),
          ['foam.cut', 'foam.checked', 'foam.glue', id('holes'), id('seat')],
        ),
  ]
}

/** A block that has a liner goes onto its board in it: nothing is glued to cloth. */
function lined(of: OrderOf, design: DesignPlan, thing: string, after: readonly string[]): Act {
  const key = recordKey(design)
  const [garment] = garmentsOf(design)
  return act(
    step({
      id: `board.${key}.glue`,
      part: 'closing',
      resource: 'bench',
      title: phrase`${nameOf(of, garment!)}Lay the filled liner on its board`,
      says: ['Tacked through its seam allowance at the middles of the sides.'],
    }),
    thing,
    { kind: 'prepare' },
    { after, needs: [{ thing: `${key}, liner`, stage: 'shut' }] },
  )
}

function coveringOf(of: OrderOf, design: DesignPlan, isFirst: boolean): readonly Act[] {
  const { say } = of
  const key = recordKey(design)
  const { count } = design.design
  const { stapleMm, stapleRows, dustCover } = pullOver(design)
  const [garment] = garmentsOf(design)
  const name = nameOf(of, garment!)
  const id = (what: string) => (isFirst ? `close.${what}` : `close.${key}.${what}`)
  const roundMm = (panel: string) =>
    design.cover.panels
      .filter((p) => wholeId(p) === panel)
      .reduce(
        (sum, p) =>
          sum + p.edges.reduce((s, e, i) => s + (e.treatment === 'staple' ? edgeLength(p.finished, i) : 0), 0),
        0,
      )
  const base = { part: 'closing', resource: 'bench' } as const
  const { thing } = garment!
  return [
    act(
      step({
        ...base,
        id: id('staple'),
        title: phrase`${name}Pull over and staple`,
        says: [
          'The cloth over the foam, its folds on the edge of the top.',
          phrase`From the middles outwards, opposite sides in turn, every ${say(stapleMm)}, ${stapleRows} row${stapleRows > 1 ? 's' : ''}; corners last, their folds worked out.`,
          'Drive proud staples flat.',
        ],
        checks: ['No wave along the edge.'],
        work: lengthOfWork(
          'staple',
          id('staple'),
          [{ count: count * stapleRows, mm: roundMm('blank') }],
          'round the blank, each row',
        ),
        safety: ['stapler'],
      }),
      thing,
      { kind: 'cover-over', body: `board ${key}` },
      { leaves: 'shut', after: [`board.${key}.glue`] },
    ),
    act(
      gate(
        {
          ...base,
          id: id('flush'),
          title: phrase`${name}Staples flush`,
          asks: 'Is every staple flush, and none through the face of the board?',
        },
        checking(id('flush')),
      ),
      thing,
      { kind: 'look' },
      { at: 'shut' },
    ),
    ...(dustCover
      ? [
          act(
            step({
              ...base,
              id: id('dust'),
              title: phrase`${name}Dust cover`,
              says: ['Folded under all round, and stapled over the edge of the cloth.'],
              work: lengthOfWork('staple', id('dust'), [{ count, mm: roundMm('dust-cover') }], 'round the dust cover'),
            }),
            thing,
            { kind: 'look' },
            { at: 'shut', after: [id('flush')] },
          ),
        ]
      : []),
  ]
}
