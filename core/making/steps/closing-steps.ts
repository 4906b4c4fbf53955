import { seamLength } from '../../cover/index.ts'
import { areaOf } from '../../outline/index.ts'
import type { FillingPlan } from '../../filling/index.ts'
import type { CushionSize } from '../../seat/index.ts'
import { figure, given, over, plus, times, type Expression } from '../../working/index.ts'
import { act, type Act } from '../acts/act.ts'
import { allGarments, recordKey, type InWork } from '../acts/garments.ts'
import { gate, step, type Step } from '../step.ts'
import { areaOfWork, checking, countOfWork, lengthOfWork } from '../work.ts'
import { fillFactor } from './foam-steps.ts'
import type { OrderOf } from './order-of.ts'
import { isStitchedOutside, turned } from './right-side-steps.ts'
import { nameOf, prefixOf } from './sewing-steps.ts'

/** A cushion of so many litres takes twice the minutes of a very small one. */
const FILL_LITRES = 50

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
                title: `${name}Hook side covered`,
                asks: 'Is the hook side covered with a strip of cloth, so that it does not catch the filling?',
              },
              checking(id('hooks')),
            ),
          ),
        ]
      : []),
    ...fills,
    act(dressed(of, garment, id('corners')), thing, { kind: 'look' }, { at: 'filled' }),
    ...shuts,
    ...(layer === 'cover' ? buttons(of, garment, id) : []),
  ]
}

/** What goes in: the liner of the cushion, its block, or fibre. */
function contentsOf({ design, layer }: InWork): { readonly thing: string; readonly needsShut: boolean } {
  if (layer === 'cover' && design.liner) return { thing: `${recordKey(design)}, liner`, needsShut: true }
  return { thing: design.filling.kind === 'foam' ? 'foam' : 'fibre', needsShut: false }
}

function filling(of: OrderOf, garment: InWork, pocket: string, i: number, id: (what: string) => string): Act {
  const { design, layer, thing, pockets } = garment
  const { say } = of
  const isLast = i === pockets.length - 1
  const contents = contentsOf(garment)
  const own = pockets.length > 1 ? `fill-${pocket}` : 'fill'
  const plan = pocket === 'back' && design.backFilling ? design.backFilling : design.filling
  const openMm = openOf(garment, i)
  const size = ({ width, depth, thickness }: CushionSize) =>
    `${say(width.value)} x ${say(depth.value)} x ${say(thickness.value)}`
  const { count } = design.design
  const amount = figure({
    id: `work.${id(own)}`,
    label: 'Fillings, by size and firmness',
    quantity: 'plain',
    sum: fillsOf(design.design.id, count, plan),
    rule: `a cushion counts one and one more for each ${FILL_LITRES} litres; firm foam a fifth more`,
  })
  return act(
    step({
      id: id(own),
      part: 'closing',
      resource: 'bench',
      title: `${nameOf(of, garment)}${pockets.length > 1 ? `Fill the ${pocket}` : layer === 'liner' ? 'Fill the liner' : 'Fill'}`,
      says: [
        ...(contents.needsShut ? ['The filled liner, corners first.'] : []),
        ...(!contents.needsShut && plan.kind === 'foam'
          ? [
              pockets.length > 1
                ? `The block of the ${pocket}, in from its own end; flat faces the same way as the other.`
                : 'Fold the block, far corners first.',
            ]
          : []),
        ...(!contents.needsShut && plan.kind === 'loose-fibre'
          ? ['The fibre that was weighed out, corners first.']
          : []),
        ...(openMm > 0 ? [`Through ${say(openMm)} of opening.`] : []),
        `${count} of ${size(plan.sizing.cover)}.`,
      ],
      checks: plan.kind === 'foam' && !contents.needsShut ? ['Arrow of the block to the front.'] : [],
      work: [{ kind: 'fill', amount }],
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

/** How many plain fillings a design comes to. */
function fillsOf(id: string, count: number, plan: FillingPlan): Expression {
  const { outline, thickness } = plan.sizing.cover
  const litres = given((areaOf(outline) * thickness.value) / 1e6, 'plain', `litres of a cushion ${id}`)
  return times(
    given(count, 'count', 'cushions'),
    plus(1, over(litres, given(FILL_LITRES, 'plain', 'litres'))),
    given(plan.kind === 'foam' ? fillFactor(plan.hardnessN) : 1, 'plain', 'for its firmness'),
  )
}

function dressed(of: OrderOf, garment: InWork, id: string): Step {
  const { design, cover, layer } = garment
  const { count } = design.design
  const isCover = layer === 'cover'
  const asks = [
    `Are the corners of ${count === 1 ? 'it' : `all ${count}`} filled and dressed by hand`,
    ...(isCover && cover.panels.some((p) => p.role === 'boxing') ? ['boxing upright'] : []),
    ...(isCover && cover.piping ? ['piping on the edge'] : []),
  ]
  return gate(
    {
      id,
      part: 'closing',
      resource: 'bench',
      title: `${nameOf(of, garment)}Before it is closed`,
      asks: `${asks.join(', ')}?`,
    },
    checking(id),
  )
}

function shutting(of: OrderOf, garment: InWork, pocket: string, i: number, id: (what: string) => string): Act {
  const { design, cover, thing, pockets, seams } = garment
  const { say } = of
  const isLast = i === pockets.length - 1
  const finals = seams.filter((s) => s.kind === 'final' && s.pairs.length > 0)
  const seam = pockets.length > 1 ? (finals[i] ?? null) : (finals[0] ?? null)
  const where = pockets.length > 1 ? ` the ${pocket}` : ''
  const more = { at: 'filled', leaves: isLast ? 'shut' : null } as const
  const does = { kind: 'shut', pocket, seam } as const
  const { construction, trims, closure } = design.part.makeUp
  const named = (what: string) => id(pockets.length > 1 ? `${what}-${pocket}` : what)
  const name = nameOf(of, garment)
  const base = { part: 'closing', resource: 'bench' } as const
  if (!seam)
    return act(
      step({ ...base, id: named('shut'), title: `${name}Close${where}`, says: [closesWith(garment)] }),
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
  ) =>
    act(
      step({
        ...base,
        id: named('sew'),
        title: `${name}${title}`,
        says: [`${say(mm)}${design.design.count > 1 ? ` on each of ${design.design.count}` : ''}.`, ...says],
        checks,
        resource: kind === 'close' ? 'bench' : 'machine',
        work: lengthOfWork(kind, named('sew'), [{ count: design.design.count, mm }], 'the opening'),
        sews: { design: design.design.id, seam: seam.letter },
      }),
      thing,
      does,
      more,
    )
  if (construction.kind === 'rolled-edge' && garment.layer === 'cover')
    return sewn(
      'Close with the last roll',
      [
        `Turn the opening in, fold the edge out, stitch ${say(construction.rollMm)} from the fold on the filled cushion.`,
        'The machine at table height, so that the weight lies on the table.',
      ],
      'roll',
      ['The roll is as the others.'],
    )
  if (pockets.length > 1)
    return sewn(
      `Close${where}`,
      [
        `Turn the end in, top-stitch it shut${pocket === 'back' && trims.ties ? '; the ties of the top are caught there' : ''}.`,
      ],
      'top-stitch',
      ['Straight, both layers caught all along.'],
    )
  return sewn(
    garment.layer === 'inner' ? 'Base to the sides, the block in it' : 'Sew it shut',
    [
      'Ladder stitch, small, doubled thread.',
      ...(closure.kind === 'sewn-shut' && garment.layer === 'cover' && cover.panels.length > 1
        ? ['Bend the cushion backwards once.']
        : []),
    ],
    'close',
    ['No stitch shows.'],
  )
}

/** A pull is hidden where there is one; a lap is closed; what is open at the foot is pulled on. */
function closesWith({ cover, design, layer }: InWork): string {
  const kind = layer === 'cover' ? design.part.makeUp.closure.kind : cover.closures[0]?.choice.kind
  switch (kind) {
    case 'zip-gusset':
      return 'Close the zip and hide the pull; bend the cushion backwards once.'
    case 'zip-seam':
    case 'horseshoe':
      return 'Close the zip; bend the cushion backwards once.'
    case 'hook-and-loop':
      return 'Press the tape shut from one end to the other.'
    case 'snap-tape':
    case 'snaps':
      return 'Press every snap shut.'
    case 'buttons':
      return 'Button it.'
    case 'ties':
      return 'Tie it, the bows inside the lap.'
    case 'lacing':
      return 'Lace it from the middle outwards.'
    case 'slit':
      return 'Lay the laps over each other, flat.'
    case 'sewn-shut':
    case 'fixed':
    case undefined:
      return 'Close it.'
    default:
      return kind satisfies never
  }
}

/** A cube's slip cover: lined, turned, and pulled over the inner cover from above; never folded through its closure. */
function slippedOver(of: OrderOf, garment: InWork): readonly Act[] {
  const { design, cover, thing } = garment
  const key = recordKey(design)
  const { count } = design.design
  const name = nameOf(of, garment)
  const id = (what: string) => `slip.${key}.${what}`
  const base = { part: 'closing', resource: 'bench' } as const
  const wadding = cover.fittings.find((f) => f.use === 'wadding')
  const { grip } = design.part.makeUp.trims
  return [
    turned(of, garment, 'closing', id('turn')),
    act(
      step({
        ...base,
        id: id('lining'),
        title: `${name}Wadding and lining into the slip cover`,
        says: [
          'Both shorter than the cover by its hem; wrong sides together, caught at the seam of the top.',
          ...(wadding ? [`${wadding.note}.`] : []),
        ],
        work: wadding ? areaOfWork('wrap', id('lining'), wadding.amount.value * count, 'the wadding') : [],
      }),
      thing,
      { kind: 'look' },
      { at: 'right-side', after: lastSeamOf(design) },
    ),
    act(
      step({
        ...base,
        id: id('over'),
        title: `${name}Pull the slip cover over`,
        says: [
          'From above, a corner at a time; never folded through its closure.',
          ...(grip.kind === 'non-slip' ? ['The non-slip base stays in sight below.'] : []),
          closesWith(garment),
        ],
        checks: ['Corners upright, the hem level all round.'],
        work: countOfWork('fill', id('over'), count, 'every cushion'),
      }),
      thing,
      { kind: 'cover-over', body: `${key}, inner cover` },
      { at: 'right-side', leaves: 'shut', needs: [{ thing: `${key}, inner cover`, stage: 'shut' }] },
    ),
  ]
}

/** The lining is sewn before it goes in. */
const lastSeamOf = (design: InWork['design']): readonly string[] =>
  design.cover.seams
    .filter((s) => s.layer === 'lining')
    .slice(-1)
    .map((s) => `${prefixOf({ design, layer: 'cover' } as InWork)}${s.letter}`)

function buttons(
  of: OrderOf,
  { design, cover, thing, ...garment }: InWork,
  id: (what: string) => string,
): readonly Act[] {
  const { buttons: wanted } = design.part.makeUp.trims
  const places = cover.panels.find((p) => p.marks.some((m) => m.kind === 'button'))?.marks ?? []
  const each = places.filter((m) => m.kind === 'button').length
  if (!wanted || each === 0) return []
  const count = design.design.count * each
  const name = nameOf(of, { design, cover, thing, ...garment })
  const base = { part: 'closing', resource: 'bench' } as const
  const at = 'shut'
  return [
    act(
      gate(
        {
          ...base,
          id: id('caps'),
          title: `${name}Caps of the buttons`,
          asks: 'Was each covered button pulled hard by its shank before it is set?',
        },
        checking(id('caps')),
      ),
      thing,
      { kind: 'look' },
      { at },
    ),
    act(
      step({
        ...base,
        id: id('buttons'),
        title: `${name}Set the buttons`,
        says: [`${count} buttons, twine doubled, through the block; from the middle outwards, all at one depth.`],
        work: countOfWork('button', id('buttons'), count, 'every button'),
        safety: ['small-parts'],
      }),
      thing,
      { kind: 'button' },
      { at, after: [id('caps')] },
    ),
    act(
      gate(
        { ...base, id: id('pulled'), title: `${name}Buttons hold`, asks: 'Was each button pulled hard once?' },
        checking(id('pulled')),
      ),
      thing,
      { kind: 'look' },
      { at, after: [id('buttons')] },
    ),
  ]
}

/** When everything is closed: pins counted, the seat, the papers. */
export function lastLook({ job, plan }: OrderOf): readonly Step[] {
  const count = plan.designs.reduce((sum, d) => sum + d.design.count, 0)
  const matched = plan.worked.some(({ part }) => part.cloth.match.kind === 'matched')
  const hasOld = plan.worked.some(({ part }) => part.seat.old.measured !== null)
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
        `${count} ${count === 1 ? 'cushion' : 'cushions in their row'} on ${job.terms.furniture || 'the seat'}.`,
        ...(hasOld ? ['Keep one old cushion whole until the last new one is fitted.'] : []),
      ],
      checks: [`${matched ? 'Stripes run on; ' : ''}${count > 1 ? 'fronts in one line; ' : ''}nothing rocks.`],
      work: countOfWork('fit', 'fit.seat', count, 'every cushion'),
      safety: ['not-a-lifebuoy'],
    }),
    step({
      id: 'fit.papers',
      part: 'fitting',
      resource: 'bench',
      title: 'Papers',
      says: ['Foam batch, cloth batch and fire certificate of every cushion, below; the old label comes off.'],
      safety: ['fire-label'],
    }),
  ]
}
