import { phrase } from '../../language/index.ts'
import type { OldBody } from '../../../contract/index.ts'
import { bodiesIn, bodySizes } from '../../filling/index.ts'
import { partName } from '../../job/index.ts'
import { isSewn, type DesignPlan, type WorkedPart } from '../../planned/index.ts'
import { act, type Act } from '../acts/act.ts'
import { recordKey } from '../acts/garments.ts'
import { gate, step, type Step } from '../step.ts'
import { checking, countOfWork, lengthOfWork } from '../work.ts'
import { fillsOf } from './fill-work.ts'
import type { OrderOf } from './order-of.ts'

/** The thing that an old filling is, where all of it stays. */
export const OLD_FILLING = 'the old filling'

/** From the cushion as it came to what of it stays: photographed, opened, taken apart, rested, measured again. */
export const thereActs = (of: OrderOf): readonly Act[] =>
  of.plan.worked
    .filter(isThere)
    .flatMap((worked, i) =>
      stripping(of, worked, i === 0 ? 'there' : `there.${worked.part.letter}`).map((s) =>
        act(s, OLD_FILLING, { kind: 'prepare' }),
      ),
    )

/** Covers that stay are filled and closed again; nothing of them is cut or sewn. */
export const refillingActs = (of: OrderOf): readonly Act[] =>
  of.plan.designs
    .filter((d) => !isSewn(d.part))
    .flatMap((d, i) => refilling(of, d, i === 0 ? 'refill' : `refill.${recordKey(d)}`))

const isThere = ({ part: { work, there } }: WorkedPart): boolean =>
  work.kind !== 'cover-and-filling' || there.bodies.length > 0 || there.things.cover !== undefined

function stripping(of: OrderOf, { part, prefix, cushions }: WorkedPart, id: string): readonly Step[] {
  const { work, there } = part
  const name = prefix === '' ? '' : `${partName(part)}: `
  const base = { part: 'foam', resource: 'bench' } as const
  const [{ cover }] = of.plan.designs.filter((d) => d.part.letter === part.letter) as [DesignPlan]
  const [opening] = cover.closures
  const isByHand = !opening || opening.choice.kind === 'sewn-shut'
  const opens =
    work.kind === 'filling-only' && work.unpicking !== ''
      ? work.unpicking
      : opening
        ? phrase`${isByHand ? 'The hand-sewn seam' : 'Its closure'}, ${of.say(opening.lengthMm.value)}.`
        : 'Open it where the hand-sewn seam is.'
  const staying = part.filling.kind === 'foam' ? bodiesIn(part.filling.layers, there) : []
  const isTemplate = there.things.cover?.use === 'template' || there.bodies.some((b) => b.use === 'template')
  return [
    step({
      ...base,
      id: `${id}.photo`,
      title: phrase`${name}Photograph it as it came`,
      says: ['Every side, the label, the opening, where it wrinkles.'],
      work: checking(`${id}.photo`),
    }),
    step({
      ...base,
      id: `${id}.open`,
      title: phrase`${name}${work.kind !== 'filling-only' ? 'Take the old cover off' : isByHand ? 'Unpick the opening' : 'Open the cover'}`,
      says: [
        opens,
        ...(work.kind === 'filling-only' && isByHand
          ? ['Only the stitches: a blade across the seam line costs the cover. Mark both ends of the opening.']
          : []),
        'Mark which face was on top, and which edge in front.',
      ],
      checks:
        there.fireLabelOffOn === null
          ? ['A fire label stays with its cover; where one comes off, write down the day.']
          : [],
      work:
        opening && isByHand
          ? lengthOfWork('unpick', `${id}.open`, [{ count: cushions.count, mm: opening.lengthMm }], 'the opening')
          : countOfWork('turn', `${id}.open`, cushions.count, 'every cushion'),
    }),
    step({
      ...base,
      id: `${id}.out`,
      title: phrase`${name}Take the filling out`,
      says: [
        'In the order in which it lies; each piece marked with its top face and its front.',
        ...there.bodies.filter((b) => b.use === 'replace').map((b) => phrase`${b.name || 'The old body'} is replaced.`),
      ],
      work: countOfWork('turn', `${id}.out`, cushions.count, 'every cushion'),
      safety: ['old-foam-dust'],
    }),
    ...staying.flatMap((body, i) => recovering(of, body, part.letter, cushions.count, `${id}.body-${i + 1}`, name)),
    ...(isTemplate
      ? [
          gate(
            {
              ...base,
              id: `${id}.reference`,
              title: phrase`${name}One old unit stays whole`,
              asks: 'Is one old unit put aside whole, as the reference until the last new one is fitted?',
            },
            checking(`${id}.reference`),
          ),
        ]
      : []),
  ]
}

/** A body that stays rests, or is steamed, and is measured again: that is what it is taken for. */
function recovering(
  of: OrderOf,
  body: OldBody,
  letter: string,
  cushions: number,
  id: string,
  name: string,
): readonly Step[] {
  const base = { part: 'foam', resource: 'bench' } as const
  const called = body.name || 'the old body'
  const { thicknessMm } = bodySizes(body)
  return [
    step({
      ...base,
      id: `${id}.steam`,
      title: phrase`${name}Steam ${called}, and let it rest`,
      says: [
        'Hold the steam a hand above it until it rises, then let it lie for a day.',
        ...(body.topFace ? [phrase`Top face: ${body.topFace}.`] : []),
      ],
      work: countOfWork('steam', `${id}.steam`, body.count * cushions, 'every body'),
      cures: true,
    }),
    gate(
      {
        ...base,
        id: `${id}.measured`,
        title: phrase`${name}Measure ${called} again`,
        asks: phrase`Is ${called} ${of.say(thicknessMm)} thick where it was sat on, steamed and rested?`,
        measures: { what: 'body', letter, bodyId: body.id, plannedMm: thicknessMm },
      },
      checking(`${id}.measured`),
    ),
  ]
}

function refilling(of: OrderOf, design: DesignPlan, id: string): readonly Act[] {
  const { say } = of
  const { filling, cover } = design
  const { count } = design.design
  const { width, depth, thickness } = filling.sizing.cover
  const thing = `cover ${recordKey(design)}`
  const base = { part: 'closing', resource: 'bench' } as const
  const [opening] = cover.closures
  const isByHand = !opening || opening.choice.kind === 'sewn-shut'
  const film = filling.kind === 'foam' ? of.plan.cutting?.cutting.film : 'none'
  const before = [
    'foam.cut',
    'foam.checked',
    'foam.glue',
    'foam.wrap',
    'foam.wrapped',
    'foam.film',
    'foam.weigh',
    'foam.inserts',
  ]
  const steps = [
    step({
      ...base,
      id: `${id}.fill`,
      title: 'Fill the cover that stays',
      says: [
        filling.kind === 'foam'
          ? 'Fold the block, far corners first.'
          : filling.kind === 'insert'
            ? 'Fold the insert, far corners first.'
            : 'Corners first, then the middle.',
        ...(film === 'taken-out' ? ['In its film, which is drawn out again once it is in.'] : []),
        ...(film === 'left-in' ? ['In its film, which stays.'] : []),
        ...(opening ? [phrase`Through ${say(opening.lengthMm.value)} of opening.`] : []),
        phrase`${count} of ${say(width.value)} x ${say(depth.value)} x ${say(thickness.value)}.`,
      ],
      checks: ['Corners full, seams straight along the edges.'],
      work: [fillsOf(`work.${id}.fill`, [{ id: design.design.id, count, plan: filling }])],
      safety: ['film', 'heavy'],
    }),
    ...(isByHand
      ? [
          step({
            ...base,
            id: `${id}.pin`,
            title: 'Pin the opening',
            says: ['From its middle outwards, on the old stitch line.'],
            work: checking(`${id}.pin`),
          }),
        ]
      : []),
    step({
      ...base,
      id: `${id}.close`,
      title: isByHand ? 'Close by hand' : 'Close it',
      says: isByHand ? ['Ladder stitch in the old holes, small, doubled thread.'] : [],
      checks: isByHand ? ['No stitch shows.'] : [],
      work:
        isByHand && opening
          ? lengthOfWork('close', `${id}.close`, [{ count, mm: opening.lengthMm }], 'the opening')
          : [],
    }),
  ]
  return steps.map((s, i) => act(s, thing, { kind: 'prepare' }, { after: i === 0 ? before : [steps[i - 1]!.id] }))
}
