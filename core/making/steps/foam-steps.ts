import { firmnessOf, toolWords } from '../../filling/index.ts'
import { partName } from '../../job/index.ts'
import { boxOf, perimeterOf } from '../../outline/index.ts'
import type { CushionSize } from '../../seat/index.ts'
import { sayFigure } from '../../working/index.ts'
import { gate, step, type Step } from '../step.ts'
import { areaOfWork, checking, lengthOfWork } from '../work.ts'
import type { OrderOf } from './order-of.ts'

/** From the readings to wrapped blocks: measuring again, cutting, gluing, wrapping, measuring once more. */
export const foamSteps = (of: OrderOf): readonly Step[] => [
  measured(of),
  ...(of.plan.cutting ? [...cutting(of), ...gluing(of), ...wrapping(of), ...filming(of)] : []),
  ...weighing(of),
]

function measured({ job, plan, say }: OrderOf): Step {
  return gate(
    {
      id: 'foam.measured',
      part: 'foam',
      resource: 'bench',
      title: 'Sizes once more',
      asks: 'Was every size of the seat measured twice, and do both readings agree?',
      says: plan.worked.map(
        ({ part, prefix, cushions }) =>
          `${prefix === '' ? job.ticket : partName(part)}: ${cushions.measured.map((f) => `${f.label} ${say(f.value)}`).join(', ')}.`,
      ),
    },
    checking('foam.measured'),
  )
}

function cutting({ plan, say }: OrderOf): readonly Step[] {
  const { blocks, cutting: ways } = plan.cutting!
  if (ways.supply === 'cut-to-size')
    return [
      step({
        id: 'foam.checked',
        part: 'foam',
        resource: 'bench',
        title: 'Check the foam that was cut to order',
        says: blocks.map(
          (b) =>
            `${b.count} of block ${b.letter}: ${say(b.block.width.value)} x ${say(b.block.depth.value)} x ${say(b.block.thickness.value)}.`,
        ),
        checks: ['Let rolled foam lie open for a day before it is measured.'],
        work: checking('foam.checked'),
      }),
    ]
  const parts = blocks.flatMap((b) => b.parts)
  const thickest = Math.max(...parts.map((p) => p.thicknessMm))
  const cut = step({
    id: 'foam.cut',
    part: 'foam',
    resource: 'bench',
    title: 'Cut the foam',
    says: [
      ...parts.map(
        (p) =>
          `${p.count} of ${p.id}: ${say(boxOf(p.outline).maxX - boxOf(p.outline).minX)} x ${say(boxOf(p.outline).maxY - boxOf(p.outline).minY)} from ${p.grade.name}, ${say(p.thicknessMm)} thick${p.where ? ` (${p.where})` : ''}.`,
      ),
      `With ${toolWords(thickest, ways.tool)}.`,
    ],
    checks: [
      'Upright cut: both faces the same size by the tape.',
      'Label on the top face of each, its arrow to the front.',
    ],
    work: lengthOfWork(
      'cut-foam',
      'foam.cut',
      parts.map((p) => ({ count: p.count, mm: perimeterOf(p.outline) })),
      'round every part',
    ),
    safety: ['knives', 'hot-wire', 'old-foam-dust'],
  })
  const several = parts.some((p) => p.count > 1)
  return several
    ? [
        cut,
        gate(
          {
            id: 'foam.first',
            part: 'foam',
            resource: 'bench',
            title: 'The first of several',
            asks: 'Was the first block laid on the seat, or measured, before the rest were cut?',
          },
          checking('foam.first'),
        ),
      ]
    : [cut]
}

function gluing({ job, plan }: OrderOf): readonly Step[] {
  const { blocks, supplies } = plan.cutting!
  if (!supplies.glue) return []
  const gluedMm2 = blocks.reduce((sum, b) => sum + b.count * b.gluedMm2, 0)
  return [
    step({
      id: 'foam.glue',
      part: 'foam',
      resource: 'bench',
      title: 'Glue layers and joins',
      says: [
        `Both faces thinly, a few minutes until it tacks, then press. ${sayFigure(supplies.glue, job.units)} of glue for all.`,
        'Let it cure before the cover is closed.',
      ],
      checks: ['Edges flush; no hard ridge where you can feel one.'],
      work: areaOfWork('glue', 'foam.glue', gluedMm2, 'glued faces, once each'),
      safety: ['glue'],
      cures: true,
    }),
  ]
}

function wrapping({ job, plan, say }: OrderOf): readonly Step[] {
  const area = plan.cutting!.supplies.waddingM2
  if (!area) return []
  const wrapped = plan.worked.flatMap(({ part, prefix, designs }) =>
    part.filling.kind === 'foam' && part.filling.wadding
      ? [{ wadding: part.filling.wadding, name: prefix === '' ? '' : `${partName(part)}: `, designs }]
      : [],
  )
  const size = ({ width, depth, thickness }: CushionSize) =>
    `${say(width.value)} x ${say(depth.value)} x ${say(thickness.value)}`
  return [
    step({
      id: 'foam.wrap',
      part: 'foam',
      resource: 'bench',
      title: 'Wrap the blocks in wadding',
      says: [
        `${sayFigure(area, job.units)} of wadding.`,
        ...wrapped.map(
          ({ wadding, name }) => `${name}${say(wadding.loftMm)} high, front to back, ends ${wadding.ends}.`,
        ),
      ],
      checks: ['Seams of the wadding at the back or below.'],
      work: areaOfWork('wrap', 'foam.wrap', area, 'faces that are wrapped'),
    }),
    gate(
      {
        id: 'foam.wrapped',
        part: 'foam',
        resource: 'bench',
        title: 'Measure the wrapped block',
        asks: 'Was a wrapped block measured, and does it agree with the size that the cover is cut to?',
        says: wrapped.map(
          ({ name, designs }) => `${name}the cover is cut for ${size(designs[0]!.filling.sizing.cover)}.`,
        ),
      },
      checking('foam.wrapped'),
    ),
  ]
}

/** Film eases a tight block into its cover. */
function filming({ job, plan }: OrderOf): readonly Step[] {
  const { filmM2 } = plan.cutting!.supplies
  return filmM2
    ? [
        step({
          id: 'foam.film',
          part: 'foam',
          resource: 'bench',
          title: 'Slip the blocks into film',
          says: [`${sayFigure(filmM2, job.units)} of film; close round the block, open at the end that goes in last.`],
          work: areaOfWork('wrap', 'foam.film', filmM2, 'the film'),
          safety: ['film'],
        }),
      ]
    : []
}

function weighing({ job, plan, say }: OrderOf): readonly Step[] {
  const filled = plan.designs.filter((d) => d.filling.kind === 'loose-fibre')
  return filled.length === 0
    ? []
    : [
        step({
          id: 'foam.weigh',
          part: 'foam',
          resource: 'bench',
          title: 'Weigh out the fibre',
          says: filled.map(
            (d) =>
              `${d.design.count} liners ${d.design.id} with ${sayFigure(d.filling.mass, job.units)} each, ${say(d.filling.sizing.cover.width.value)} x ${say(d.filling.sizing.cover.depth.value)}.`,
          ),
          checks: ['Tease it open; corners first.'],
          work: checking('foam.weigh'),
        }),
      ]
}

/** How the firmness of a block slows its filling. */
export const fillFactor = (hardnessN: number): number =>
  ({ soft: 1, medium: 1, firm: 1.2, 'extra firm': 1.4 })[firmnessOf(hardnessN)]
