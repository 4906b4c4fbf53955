import { seamLength } from '../../cover/index.ts'
import { areaOf, edgeLength } from '../../outline/index.ts'
import type { FillingPlan } from '../../filling/index.ts'
import type { DesignPlan } from '../../planned/index.ts'
import { figure, given, over, plus, times, type Expression } from '../../working/index.ts'
import { gate, step, type Step } from '../step.ts'
import { checking, countOfWork, lengthOfWork } from '../work.ts'
import { fillFactor } from './foam-steps.ts'
import type { OrderOf } from './order-of.ts'

/** A cushion of so many litres takes twice the minutes of a very small one. */
const FILL_LITRES = 50

/** Turning, filling, closing, buttons or staples, and the seat. */
export function closingSteps(of: OrderOf): readonly Step[] {
  const all = of.plan.designs
  const covers = all.filter((d) => !isPulledOver(d))
  return [
    ...(covers.length > 0
      ? [turning(countOf(covers)), ...hooks(covers), ...filling(of, covers), ...shutting(covers), ...buttons(covers)]
      : []),
    ...stapling(of, all.filter(isPulledOver)),
    ...lastLook(of, countOf(all)),
  ]
}

type Designs = readonly DesignPlan[]

const isPulledOver = ({ part }: DesignPlan): boolean => part.makeUp.construction.kind === 'pull-over'
const countOf = (designs: Designs): number => designs.reduce((sum, d) => sum + d.design.count, 0)

const turning = (count: number): Step =>
  step({
    id: 'close.turn',
    part: 'closing',
    resource: 'bench',
    title: 'Turn out, work the corners',
    says: ['With a blunt stick; the allowance of a piped edge lies towards the boxing.'],
    checks: ['Seams straight along the piping, corners full.'],
    work: countOfWork('turn', 'close.turn', count, 'every cushion'),
  })

function hooks(designs: Designs): readonly Step[] {
  return designs.some((d) => d.part.makeUp.closure.kind === 'hook-and-loop')
    ? [
        gate(
          {
            id: 'close.hooks',
            part: 'closing',
            resource: 'bench',
            title: 'Hook side covered',
            asks: 'Is the hook side covered with a strip of cloth, so that it does not catch the filling?',
          },
          checking('close.hooks'),
        ),
      ]
    : []
}

function filling({ plan, say }: OrderOf, designs: Designs): readonly Step[] {
  const count = countOf(designs)
  const isFilledWith = (kind: FillingPlan['kind']) => designs.some((d) => d.filling.kind === kind)
  const terms = designs.map((d): Expression => fillsOf(d))
  const amount = figure({
    id: 'work.close.fill',
    label: 'Fillings, by size and firmness',
    quantity: 'plain',
    sum: terms.length === 1 ? terms[0]! : plus(...terms),
    rule: `a cushion counts one and one more for each ${FILL_LITRES} litres; firm foam a fifth more`,
  })
  const openings = [...new Set(designs.flatMap((d) => d.cover.closures.map((c) => say(c.lengthMm.value))))]
  return [
    step({
      id: 'close.fill',
      part: 'closing',
      resource: 'bench',
      title: 'Fill',
      says: [
        ...(isFilledWith('foam')
          ? ['Fold the block, far corners first; film helps a tight one in, and comes out again.']
          : []),
        ...(isFilledWith('loose-fibre') ? ['The filled liner, corners first.'] : []),
        ...(openings.length > 0 ? [`Through ${openings.join(' and ')} of opening.`] : []),
        ...designs.map(
          (d) =>
            `${d.design.count} of ${say(d.cover.solid.width.value)} x ${say(d.cover.solid.depth.value)} x ${say(d.cover.solid.thickness.value)}${plan.designs.length > 1 ? ` (${d.design.id})` : ''}.`,
        ),
      ],
      checks: ['Arrow of the block to the front.'],
      work: [{ kind: 'fill', amount }],
      safety: ['film', 'heavy'],
    }),
    gate(
      {
        id: 'close.corners',
        part: 'closing',
        resource: 'bench',
        title: 'Before it is closed',
        asks: `Are the corners of all ${count === 1 ? '' : `${count} `}filled and dressed by hand, boxing upright, piping on the edge?`,
      },
      checking('close.corners'),
    ),
  ]
}

/** How many plain fillings a design comes to. */
function fillsOf({ design, filling }: DesignPlan): Expression {
  const { outline, thickness } = filling.sizing.cover
  const litres = given((areaOf(outline) * thickness.value) / 1e6, 'plain', `litres of a cushion ${design.id}`)
  return times(
    given(design.count, 'count', 'cushions'),
    plus(1, over(litres, given(FILL_LITRES, 'plain', 'litres'))),
    given(filling.kind === 'foam' ? fillFactor(filling.hardnessN) : 1, 'plain', 'for its firmness'),
  )
}

/** A pull is hidden where there is one; a lap is closed; what is open at the foot is pulled on. */
function closesWith(designs: readonly DesignPlan[]): string {
  const isZipped = designs.some((d) => d.cover.closures.some((c) => c.fittings.some((f) => f.use === 'zip')))
  return `${isZipped ? 'Close the zip, hide the pull' : 'Close it'}; bend the cushion backwards once.`
}

function shutting(designs: Designs): readonly Step[] {
  const lengths = designs
    .map((d) => ({
      count: d.design.count,
      mm: d.cover.seams.filter((s) => s.kind === 'final').reduce((sum, s) => sum + seamLength(s), 0),
    }))
    .filter((l) => l.mm > 0)
  return lengths.length === 0
    ? [step({ id: 'close.shut', part: 'closing', resource: 'bench', title: 'Close', says: [closesWith(designs)] })]
    : [
        step({
          id: 'close.sew',
          part: 'closing',
          resource: 'bench',
          title: 'Sew it shut',
          says: ['Ladder stitch, small, doubled thread; bend the cushion backwards once.'],
          checks: ['No stitch shows.'],
          work: lengthOfWork('close', 'close.sew', lengths, 'the openings that are sewn shut'),
        }),
      ]
}

function buttons(all: Designs): readonly Step[] {
  const designs = all.filter((d) => d.part.makeUp.trims.buttons)
  if (designs.length === 0) return []
  const count = designs.reduce(
    (sum, d) =>
      sum +
      d.design.count *
        (d.cover.panels.find((p) => p.marks.some((m) => m.kind === 'button'))?.marks.filter((m) => m.kind === 'button')
          .length ?? 0),
    0,
  )
  return [
    step({
      id: 'close.buttons',
      part: 'closing',
      resource: 'bench',
      title: 'Set the buttons',
      says: [`${count} buttons, twine doubled, from the middle outwards, all at one depth.`],
      work: countOfWork('button', 'close.buttons', count, 'every button'),
      safety: ['small-parts'],
    }),
    gate(
      {
        id: 'close.pulled',
        part: 'closing',
        resource: 'bench',
        title: 'Buttons hold',
        asks: 'Was each button pulled hard once?',
      },
      checking('close.pulled'),
    ),
  ]
}

function stapling({ say }: OrderOf, designs: Designs): readonly Step[] {
  const [first] = designs
  const construction = first?.part.makeUp.construction
  if (construction?.kind !== 'pull-over') return []
  const rows = ({ part: { makeUp } }: DesignPlan): number =>
    makeUp.construction.kind === 'pull-over' ? makeUp.construction.stapleRows : 0
  const edges = (panel: string) =>
    designs.map((d) => ({
      count: d.design.count,
      mm: d.cover.panels
        .filter((p) => p.id === panel)
        .reduce((sum, p) => sum + p.edges.reduce((s, _, i) => s + edgeLength(p.finished, i), 0), 0),
    }))
  return [
    ...(construction.airHoles
      ? [
          step({
            id: 'close.holes',
            part: 'closing',
            resource: 'bench',
            title: 'Drill the air holes',
            says: ['Before the foam is glued down; break the edges.'],
          }),
        ]
      : []),
    step({
      id: 'close.staple',
      part: 'closing',
      resource: 'bench',
      title: 'Pull over and staple',
      says: [
        `From the middles outwards, opposite sides in turn, every ${say(construction.stapleMm)}, ${construction.stapleRows} row${construction.stapleRows > 1 ? 's' : ''}; corners last.`,
      ],
      checks: ['No wave along the edge.'],
      work: lengthOfWork(
        'staple',
        'close.staple',
        edges('blank').map((e, i) => ({ ...e, count: e.count * rows(designs[i]!) })),
        'round the blank, each row',
      ),
      safety: ['stapler'],
    }),
    gate(
      {
        id: 'close.flush',
        part: 'closing',
        resource: 'bench',
        title: 'Staples flush',
        asks: 'Is every staple flush, and none through the face of the board?',
      },
      checking('close.flush'),
    ),
    ...(construction.dustCover
      ? [
          step({
            id: 'close.dust',
            part: 'closing',
            resource: 'bench',
            title: 'Dust cover',
            says: ['Turned in, stapled over the edge of the blank.'],
            work: lengthOfWork('staple', 'close.dust', edges('dust-cover'), 'round the dust cover'),
          }),
        ]
      : []),
  ]
}

const lastLook = ({ job }: OrderOf, count: number): readonly Step[] => [
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
      `${count} ${count === 1 ? 'cushion' : 'cushions in their row'} on ${job.terms.furniture || 'the seat'}. Keep one old cushion whole until the last new one is fitted.`,
    ],
    checks: ['Stripes run on; fronts in one line; nothing rocks.'],
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
