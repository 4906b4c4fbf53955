import { phrase } from '../../language/index.ts'
import type { Ties } from '../../../contract/index.ts'
import { openingVerdict, seamLength, usualShut, type WayIn } from '../../cover/index.ts'
import type { FillingPlan } from '../../filling/index.ts'
import type { CushionSize } from '../../seat/index.ts'
import { given, over } from '../../working/index.ts'
import { act, type Act } from '../acts/act.ts'
import { allGarments, recordKey, type InWork } from '../acts/garments.ts'
import { gate, step, type Step } from '../step.ts'
import { checking, lengthOfWork } from '../work.ts'
import { fillsOf } from './fill-work.ts'
import { OLD_FILLING } from './there-steps.ts'
import { buttons } from './button-steps.ts'
import { closesWith } from './closes-with.ts'
import type { OrderOf } from './order-of.ts'
import { slippedOver } from './slip-cover-steps.ts'
import { isStitchedOutside, turned } from './right-side-steps.ts'
import { nameOf } from './names.ts'

/** Turning, filling and shutting, each liner before the cover that it goes into. */
export function closingActs(of: OrderOf): readonly Act[] {
  const garments = allGarments(of.plan)
  const first = garments.find((g) => g.layer === 'cover' && g.pockets.length > 0)
  return garments
    .toSorted((a, b) => Number(a.layer === 'cover') - Number(b.layer === 'cover'))
    .flatMap((g) => (isSlipCover(g) ? slippedOver(of, g) : g.pockets.length > 0 ? filledActs(of, g, g === first) : []))
}

const isSlipCover = ({ design, layer }: InWork): boolean =>
  design.part.makeUp.construction.kind === 'cube' && layer === 'cover'

function filledActs(of: OrderOf, garment: InWork, isFirst: boolean): readonly Act[] {
  const { design, layer, thing, pockets } = garment
  const own = `${recordKey(design)}.${layer === 'cover' ? '' : `${layer}.`}`
  /** The first cover keeps the plain names, so that what was ticked of it stays ticked. */
  const id = (what: string) => (isFirst ? `close.${what}` : `close.${own}${what}`)
  const name = nameOf(of, garment)
  const look = (s: Step, after: readonly string[] = []) => act(s, thing, { kind: 'look' }, { at: 'right-side', after })
  const fills = pockets.map((pocket, i) => filling(of, garment, pocket, i, id))
  const shuts = pockets.map((pocket, i) => shutting(of, garment, pocket, i, id))
  return [
    ...(isStitchedOutside(garment) ? [] : [turned(of, garment, 'closing', id('turn'))]),
    ...(layer === 'cover' && design.part.makeUp.closure.kind === 'hook-and-loop'
      ? [
          look(
            gate(
              {
                id: id('hooks'),
                part: 'closing',
                resource: 'bench',
                title: phrase`${name}Hook side covered`,
                asks: 'Is the hook side covered with a strip of cloth, so that it does not catch the filling?',
              },
              checking(id('hooks')),
            ),
          ),
        ]
      : []),
    ...fills,
    act(dressed(of, garment, id('corners')), thing, { kind: 'look' }, { at: 'filled' }),
    ...secondHalf(of, garment, id),
    ...shuts,
    ...(layer === 'cover' ? buttons(of, garment, id) : []),
  ]
}

/** What goes in: the liner of the cushion, its block, or fibre. */
function contentsOf({ design, layer }: InWork): { readonly thing: string; readonly needsShut: boolean } {
  if (layer === 'cover' && design.liner) return { thing: `${recordKey(design)}, liner`, needsShut: true }
  if (design.part.work.kind === 'cover-only') return { thing: OLD_FILLING, needsShut: false }
  return { thing: THINGS[design.filling.kind], needsShut: false }
}

const THINGS = { foam: 'foam', 'loose-fibre': 'fibre', insert: 'insert' } as const

function filling(of: OrderOf, garment: InWork, pocket: string, i: number, id: (what: string) => string): Act {
  const { design, layer, thing, pockets } = garment
  const { say } = of
  const isLast = i === pockets.length - 1
  const contents = contentsOf(garment)
  const film = contents.thing === 'foam' && of.plan.cutting !== null ? of.plan.cutting.cutting.film : 'none'
  const own = pockets.length > 1 ? `fill-${pocket}` : 'fill'
  const plan = pocket === 'back' && design.backFilling ? design.backFilling : design.filling
  const openMm = openOf(garment, i)
  const size = ({ width, depth, thickness }: CushionSize) =>
    phrase`${say(width.value)} x ${say(depth.value)} x ${say(thickness.value)}`
  const { count } = design.design
  return act(
    step({
      id: id(own),
      part: 'closing',
      resource: 'bench',
      title: phrase`${nameOf(of, garment)}${pockets.length > 1 ? phrase`Fill the ${pocket}` : layer === 'liner' ? 'Fill the liner' : 'Fill'}`,
      says: [
        ...(contents.needsShut ? ['The filled liner, corners first.'] : []),
        ...(!contents.needsShut && contents.thing !== OLD_FILLING && plan.kind === 'foam'
          ? [
              pockets.length > 1
                ? phrase`The block of the ${pocket}, in from its own end; flat faces the same way as the other.`
                : design.part.makeUp.construction.kind === 'bolster'
                  ? 'Slide the roll in, its ends square.'
                  : blockGoesIn(garment, plan, film !== 'none'),
            ]
          : []),
        ...(contents.thing === 'insert' ? ['The insert, far corners first.'] : []),
        ...(contents.thing === 'fibre' ? ['The fibre that was weighed out, corners first.'] : []),
        ...(film === 'taken-out' ? ['In its film, which is drawn out again once it is in.'] : []),
        ...(film === 'left-in' ? ['In its film, which stays.'] : []),
        ...(contents.thing === OLD_FILLING ? ['The filling that stays, its top face up and its front in front.'] : []),
        ...(openMm > 0 && layer !== 'inner' ? [phrase`Through ${say(openMm)} of opening.`] : []),
        phrase`${count} of ${size(plan.sizing.cover)}.`,
      ],
      checks: plan.kind === 'foam' && !contents.needsShut ? ['Arrow of the block to the front.'] : [],
      work: [fillsOf(`work.${id(own)}`, [{ id: design.design.id, count, plan }])],
      safety: ['film', 'heavy'],
    }),
    thing,
    { kind: 'fill', pocket, with: contents.thing },
    {
      at: 'right-side',
      leaves: isLast ? 'filled' : null,
      needs: contents.needsShut ? [{ thing: contents.thing, stage: 'shut' }] : [],
    },
  )
}

/** What the filling of a pocket must pass: its closure, or the seam that is left open for it. */
function openOf({ cover, seams, layer }: InWork, i: number): number {
  const finals = seams.filter((s) => s.kind === 'final' && s.pairs.length > 0)
  const closure = layer === 'inner' ? undefined : cover.closures[Math.min(i, cover.closures.length - 1)]
  const final = finals[Math.min(i, finals.length - 1)]
  return closure?.lengthMm.value ?? (final ? seamLength(final) : 0)
}

function dressed(of: OrderOf, garment: InWork, id: string): Step {
  const { design, cover, layer } = garment
  const { count } = design.design
  const isCover = layer === 'cover'
  const asks = [
    phrase`Are the corners of ${count === 1 ? 'it' : phrase`all ${count}`} filled and dressed by hand`,
    ...(isCover && cover.panels.some((p) => p.role === 'boxing') ? ['boxing upright'] : []),
    ...(isCover && cover.piping ? ['piping on the edge'] : []),
  ]
  return gate(
    {
      id,
      part: 'closing',
      resource: 'bench',
      title: phrase`${nameOf(of, garment)}Before it is closed`,
      asks: `${asks.join(', ')}?`,
    },
    checking(id),
  )
}

/** The closure of a wrapped tube is set to the body that it has to close round. */
function secondHalf(of: OrderOf, garment: InWork, id: (what: string) => string): readonly Act[] {
  const { design, cover, layer, thing } = garment
  const [closure] = cover.closures
  const { kind } = design.part.makeUp.construction
  if (kind !== 'wrapped-tube' || layer !== 'cover' || !closure?.lap) return []
  const set = step({
    id: id('second-half'),
    part: 'closing',
    resource: 'machine',
    title: phrase`${nameOf(of, garment)}Second half of the closure, with the cover on the body`,
    says: [
      phrase`Lap the ends by ${of.say(closure.lap.value)} and as tight as they shall sit; mark, set the second half from the same end as the first.`,
    ],
    work: lengthOfWork(
      'zip',
      id('second-half'),
      [{ count: design.design.count, mm: over(closure.lengthMm, given(2, 'count', 'halves')) }],
      'half of the closure',
    ),
  })
  return [act(set, thing, { kind: 'look' }, { at: 'filled' })]
}

function shutting(of: OrderOf, garment: InWork, pocket: string, i: number, id: (what: string) => string): Act {
  const { design, cover, thing, pockets, seams } = garment
  const { say } = of
  const isLast = i === pockets.length - 1
  const finals = seams.filter((s) => s.kind === 'final' && s.pairs.length > 0)
  const seam = pockets.length > 1 ? (finals[i] ?? null) : (finals[0] ?? null)
  const where = pockets.length > 1 ? phrase` the ${pocket}` : ''
  const more = { at: 'filled', leaves: isLast ? 'shut' : null } as const
  const does = { kind: 'shut', pocket, seam } as const
  const { construction, trims, closure } = design.part.makeUp
  const named = (what: string) => id(pockets.length > 1 ? `${what}-${pocket}` : what)
  const name = nameOf(of, garment)
  const base = { part: 'closing', resource: 'bench' } as const
  if (!seam)
    return act(
      step({ ...base, id: named('shut'), title: phrase`${name}Close${where}`, says: [closesWith(garment)] }),
      thing,
      does,
      more,
    )
  const mm = seamLength(seam)
  const sewn = (
    title: string,
    says: readonly string[],
    kind: 'close' | 'top-stitch' | 'roll',
    checks: readonly string[],
    hands = 1,
  ) =>
    act(
      step({
        ...base,
        id: named('sew'),
        title: phrase`${name}${title}`,
        says: [`${say(mm)}${design.design.count > 1 ? phrase` on each of ${design.design.count}` : ''}.`, ...says],
        checks,
        resource: kind === 'close' ? 'bench' : 'machine',
        work: lengthOfWork(
          kind,
          named('sew'),
          [{ count: hands * design.design.count, mm }],
          hands > 1 ? 'the opening, by two' : 'the opening',
        ),
        sews: { design: design.design.id, layer: garment.layer === 'liner' ? 'liner' : 'cover', seam: seam.letter },
      }),
      thing,
      does,
      more,
    )
  if (construction.kind === 'rolled-edge' && garment.layer === 'cover')
    return sewn(
      'Close with the last roll',
      [
        phrase`Turn the opening in, fold the edge out, stitch ${say(construction.rollMm)} from the fold on the filled cushion.`,
        'The machine at table height, so that the weight lies on the table.',
      ],
      'roll',
      ['The roll is as the others.'],
    )
  const way = closure.kind === 'sewn-shut' && garment.layer === 'cover' ? closure.shut : undefined
  const pocketTies = pocket === 'back' && isTiedAtTheTop(trims.ties) ? '; the ties of the top are caught there' : ''
  switch (garment.layer === 'inner' ? 'by-hand' : (way ?? usualShut(construction.kind))) {
    case 'top-stitched':
      return sewn(phrase`Close${where}`, [phrase`Turn the end in, top-stitch it shut${pocketTies}.`], 'top-stitch', [
        'Straight, both layers caught all along.',
      ])
    case 'held-down':
      return sewn(
        phrase`Close${where} by machine, the filling held down`,
        [
          phrase`Press the filling back from the opening: in film with the air drawn out, or by a second pair of hands${pocketTies}.`,
          'Stitch close to the fold, from end to end, then let it rise.',
        ],
        'top-stitch',
        ['Straight, both layers caught all along; the filling has come up behind the seam.'],
        HELD_BY,
      )
    case 'by-hand':
      return sewn(
        garment.layer === 'inner' ? 'Base to the sides, the block in it' : phrase`Sew it shut${where}`,
        [
          'Ladder stitch, small, doubled thread.',
          ...(pocketTies === '' ? [] : ['The ties of the top are caught there.']),
          ...(closure.kind === 'sewn-shut' && garment.layer === 'cover' && cover.panels.length > 1
            ? ['Bend the cushion backwards once.']
            : []),
        ],
        'close',
        ['No stitch shows.'],
      )
  }
}

/** How a block goes in, by its opening, its thickness and its firmness: never folded where it cannot be. */
function blockGoesIn({ cover, layer }: InWork, filling: FillingPlan, isFilmed: boolean): string {
  const [closure] = cover.closures
  if (layer === 'inner' || !closure) return 'Straight in through the open side, the block as it will stand.'
  return blockWays[openingVerdict({ choice: closure.choice, lengthMm: closure.lengthMm.value }, filling, isFilmed).way]
}

const blockWays: Readonly<Record<WayIn, string>> = {
  'whole-end': 'Straight in through the open side, far corners first.',
  flat: 'Flat, squeezed at the opening, far corners first: it is too thick or too firm to fold.',
  folded: 'Fold the block, far corners first.',
  film: 'Drawn flat in its film, far corners first.',
  fibre: 'Corners first.',
}

/** One sews, one holds the filling down. */
const HELD_BY = 2

/** The far end of a hinged pair's back is its top. */
const isTiedAtTheTop = (ties: Ties | null): boolean =>
  ties?.places.some((p) => p.at === 'edge' && p.side === 'back') ?? false
