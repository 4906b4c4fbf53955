import { phrase } from '../../language/index.ts'
import { toolWords } from '../../filling/index.ts'
import { partName } from '../../job/index.ts'
import { boxOf, perimeterOf } from '../../outline/index.ts'
import type { CushionSize } from '../../seat/index.ts'
import { sayFigure } from '../../working/index.ts'
import { gate, step, type Step } from '../step.ts'
import { areaOfWork, checking, lengthOfWork } from '../work.ts'
import type { DesignPlan } from '../../planned/index.ts'
import type { OrderOf } from './order-of.ts'

/** From the readings to wrapped blocks: measuring again, cutting, gluing, wrapping, measuring once more. */
export const foamSteps = (of: OrderOf): readonly Step[] => [
  measured(of),
  ...(of.plan.cutting ? [...cutting(of), ...faceUp(of), ...gluing(of), ...wrapping(of), ...filming(of)] : []),
  ...weighing(of),
  ...inserts(of),
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
          phrase`${prefix === '' ? job.ticket : partName(part)}: ${cushions.measured.map((f) => phrase`${f.label} ${say(f.value)}`).join(', ')}.`,
      ),
    },
    checking('foam.measured'),
  )
}

function cutting({ plan, say }: OrderOf): readonly Step[] {
  const { blocks: all, cutting: ways } = plan.cutting!
  const blocks = all.filter((b) => b.parts.length > 0)
  if (blocks.length === 0) return []
  if (ways.supply === 'cut-to-size')
    return [
      step({
        id: 'foam.checked',
        part: 'foam',
        resource: 'bench',
        title: 'Check the foam that was cut to order',
        says: blocks.map(
          (b) =>
            phrase`${b.count} of block ${b.letter}: ${say(b.block.width.value)} x ${say(b.block.depth.value)} x ${say(b.block.thickness.value)}.`,
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
          phrase`${p.count} of ${p.id}: ${say(boxOf(p.outline).maxX - boxOf(p.outline).minX)} x ${say(boxOf(p.outline).maxY - boxOf(p.outline).minY)} from ${p.grade.name}, ${say(p.thicknessMm)} thick${p.where ? ` (${p.where})` : ''}.`,
      ),
      phrase`With ${toolWords(thickest, ways.tool, say)}.`,
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
  const gluedMm2 = blocks.reduce((sum, b) => sum + b.count * b.joints.reduce((s, j) => s + j.areaMm2, 0), 0)
  return [
    step({
      id: 'foam.glue',
      part: 'foam',
      resource: 'bench',
      title: 'Glue layers and joins',
      says: [
        phrase`Both faces thinly, a few minutes until it tacks, then press. ${sayFigure(supplies.glue, job.units)} of glue for all.`,
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
    phrase`${say(width.value)} x ${say(depth.value)} x ${say(thickness.value)}`
  return [
    step({
      id: 'foam.wrap',
      part: 'foam',
      resource: 'bench',
      title: 'Wrap the blocks in wadding',
      says: [
        phrase`${sayFigure(area, job.units)} of wadding.`,
        ...wrapped.map(
          ({ wadding, name }) => phrase`${name}${say(wadding.loftMm)} high, front to back, ends ${wadding.ends}.`,
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
          ({ name, designs }) => phrase`${name}the cover is cut for ${size(designs[0]!.filling.sizing.cover)}.`,
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
          says: [
            phrase`${sayFigure(filmM2, job.units)} of film; close round the block, open at the end that goes in last.`,
          ],
          work: areaOfWork('wrap', 'foam.film', filmM2, 'the film'),
          safety: ['film'],
        }),
      ]
    : []
}

function weighing({ job, plan, say }: OrderOf): readonly Step[] {
  const filled = plan.designs.filter(isNewFilling('loose-fibre'))
  return filled.length === 0
    ? []
    : [
        step({
          id: 'foam.weigh',
          part: 'foam',
          resource: 'bench',
          title: filled.every((d) => d.part.filling.kind === 'loose-fibre' && d.part.filling.of === 'scrap')
            ? 'Weigh out the scrap'
            : 'Weigh out the fibre',
          says: filled.map(
            (d) =>
              phrase`${d.design.count} liners ${d.design.id} with ${d.filling.mass ? sayFigure(d.filling.mass, job.units) : 'as much as fills it'} each, ${say(d.filling.sizing.cover.width.value)} x ${say(d.filling.sizing.cover.depth.value)}.`,
          ),
          checks: ['Tease it open; corners first.'],
          work: checking('foam.weigh'),
        }),
      ]
}

const isNewFilling = (kind: DesignPlan['filling']['kind']) => (d: DesignPlan) =>
  d.filling.kind === kind && d.part.work.kind !== 'cover-only'

/** Ready-made inserts come as they are, and are measured before a cover is cut for them. */
function inserts({ plan, say }: OrderOf): readonly Step[] {
  const bought = plan.designs.filter(isNewFilling('insert'))
  return bought.length === 0
    ? []
    : [
        gate(
          {
            id: 'foam.inserts',
            part: 'foam',
            resource: 'bench',
            title: 'The inserts, by the tape',
            asks: 'Are the inserts there, and as large as they were sold?',
            says: bought.map(({ design, filling: { sizing } }) => {
              const { width, depth, thickness } = sizing.block
              return phrase`${design.count} of ${say(width.value)} x ${say(depth.value)} flat, ${say(thickness.value)} thick filled.`
            }),
          },
          checking('foam.inserts'),
        ),
      ]
}

/** A profiled face carries otherwise than a flat one. */
function faceUp({ plan }: OrderOf): readonly Step[] {
  const profiled = plan.designs.flatMap((d) =>
    d.part.filling.kind === 'foam' && d.part.work.kind !== 'cover-only'
      ? d.part.filling.layers.flatMap((l) => (l.profile ? [phrase`${l.grade.name}: profiled face ${l.profile}.`] : []))
      : [],
  )
  return profiled.length === 0
    ? []
    : [
        gate(
          {
            id: 'foam.profile',
            part: 'foam',
            resource: 'bench',
            title: 'Which face is up',
            asks: 'Does the profiled face of every block lie the way it was planned?',
            says: [...new Set(profiled)],
          },
          checking('foam.profile'),
        ),
      ]
}
