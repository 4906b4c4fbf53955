import type { Cover, Panel } from '../../cover/index.ts'
import { finishingWords, seamLength, type Seam } from '../../cover/index.ts'
import { cushionName } from './order-of.ts'
import { edgeLength } from '../../outline/index.ts'
import type { DesignPlan } from '../../planned/index.ts'
import { gate, step, type Step, type Work } from '../step.ts'
import { checking, countOfWork, lengthOfWork } from '../work.ts'
import type { OrderOf } from './order-of.ts'

/** Cloth that gives more than this is tried on before the last seam. */
const TRIED_ON_SHARE = 0.03

/** Every cover in the order of its seams; what is sewn on first, and the stops between. */
export function sewingSteps(of: OrderOf): readonly Step[] {
  return of.plan.designs.flatMap((d) => [
    ...coverSteps(of, d, d.cover, ''),
    ...(d.liner ? coverSteps(of, d, d.liner, 'liner.') : []),
  ])
}

/** Under which the records of a design are kept, though parts come and go. */
const recordKey = ({ part, design }: DesignPlan): string =>
  part.letter === 'A' ? design.letter : `${part.letter}-${design.letter}`

interface Sewn {
  readonly of: OrderOf
  readonly design: DesignPlan
  readonly cover: Cover
  /** Before the id of each step: `sew.A.` or `sew.A.liner.`. */
  readonly prefix: string
  /** Before the title, where there are several designs or a liner. */
  readonly name: string
}

function coverSteps(of: OrderOf, design: DesignPlan, cover: Cover, inner: string): readonly Step[] {
  const several = of.plan.designs.length > 1
  const name = [several ? cushionName(design) : '', inner ? 'Liner' : ''].filter((w) => w).join(', ')
  const sewn: Sewn = { of, design, cover, prefix: `sew.${recordKey(design)}.${inner}`, name: name && `${name}, ` }
  const inside = cover.seams.filter((s) => s.kind !== 'final')
  const lastInside = inside.findLastIndex((s) => s.pairs.length > 0)
  const firstPlate = inside.findIndex((s) => s.kind === 'plate')
  return [
    ...piping(sewn),
    ...sewnOn(sewn),
    ...hems(sewn),
    ...inside.flatMap((seam, i) => [
      ...(i === firstPlate ? ring(sewn) : []),
      ...(i === lastInside ? beforeTheLast(sewn, inner) : []),
      seamStep(sewn, seam),
      ...(i === firstPlate && i < lastInside ? [corners(sewn, seam)] : []),
    ]),
    ...finishing(sewn),
  ]
}

function piping({ of, design, cover, prefix, name }: Sewn): readonly Step[] {
  const { piping: plan } = cover
  if (!plan) return []
  const { say } = of
  const length = lengthOfWork(
    'piping',
    `${prefix}piping`,
    [{ count: design.design.count, mm: plan.perCushion }],
    'piping of every cushion',
  )
  const made = plan.stripWidth
    ? `Strips ${say(plan.stripWidth.value)} wide, joined on the slant, round the cord with the zip or piping foot.`
    : 'Ready-made: cut to length.'
  return [
    step({
      id: `${prefix}piping`,
      part: 'sewing',
      resource: 'machine',
      title: `${name}Make the piping and baste it on`,
      says: [
        made,
        ...plan.groups.map(
          (g) =>
            `${g.count} ${g.isClosed ? 'loops' : 'runs'} of ${say(g.length.value)} on each, on ${g.panel.name.toLowerCase()}; joins away from front and corners.`,
        ),
        'Basted to the right side, raw edges together; clip at corners and curves.',
      ],
      checks: ['Cord close in its strip all round.'],
      work: length,
    }),
  ]
}

/** Ties, handles, vents: made before they are caught in a seam. */
function sewnOn({ of, design, cover, prefix, name }: Sewn): readonly Step[] {
  const trims = cover.panels.filter((p) => p.role === 'trim')
  const wanted = design.part.makeUp.trims.vents
  const vents = wanted && prefix.endsWith('liner.') === false ? wanted.count : 0
  const count = design.design.count * (trims.reduce((sum, p) => sum + p.times, 0) + vents)
  if (count === 0) return []
  return [
    step({
      id: `${prefix}trims`,
      part: 'sewing',
      resource: 'machine',
      title: `${name}Make ties, handles and vents`,
      says: [
        ...trims.map(
          (p) =>
            `${p.times} ${p.name.toLowerCase()} for each cushion, cut ${of.say(p.figures.cutWidth.value)} x ${of.say(p.figures.cutHeight.value)}.`,
        ),
        ...(vents > 0 ? [`${vents} vents in each boxing, at their marks.`] : []),
      ],
      work: countOfWork('tie', `${prefix}trims`, count, 'every one'),
      safety: ['long-cords'],
    }),
  ]
}

function hems({ design, cover, prefix, name }: Sewn): readonly Step[] {
  const hemmed = cover.panels
    .filter((p) => p.role !== 'trim')
    .flatMap((p) =>
      p.edges.flatMap((e, i) =>
        e.treatment === 'hem' || e.treatment === 'lap'
          ? [{ panel: p, edge: e.name, mm: edgeLength(p.finished, i) }]
          : [],
      ),
    )
  if (hemmed.length === 0) return []
  const total = hemmed.reduce((sum, h) => sum + h.mm, 0)
  return [
    step({
      id: `${prefix}hems`,
      part: 'sewing',
      resource: 'machine',
      title: `${name}Hem the free edges`,
      says: [`${[...new Set(hemmed.map((h) => h.panel.name.toLowerCase()))].join(', ')}: along the hem line.`],
      work: lengthOfWork(
        'hem',
        `${prefix}hems`,
        [{ count: design.design.count, mm: total }],
        'hemmed and lapped edges',
      ),
    }),
  ]
}

function ring({ of, cover, prefix }: Sewn): readonly Step[] {
  if (!cover.panels.some((p) => p.role === 'boxing')) return []
  return [
    gate(
      {
        id: `${prefix}ring`,
        part: 'sewing',
        resource: 'machine',
        title: 'The ring of boxing',
        asks: `Is the ring of boxing as long as the sewing line of the plate, ${of.say(cover.perimeter.value)}?`,
        says: ['Measured on the sewing line, not along the cut edge.'],
      },
      checking(`${prefix}ring`),
    ),
  ]
}

const corners = ({ prefix }: Sewn, seam: Seam): Step =>
  gate(
    {
      id: `${prefix}corners`,
      part: 'sewing',
      resource: 'machine',
      title: 'Corners of the first plate',
      asks: `After seam ${seam.letter}: no hole at a corner, no tuck caught, opposite corners square to each other?`,
    },
    checking(`${prefix}corners`),
  )

function beforeTheLast({ design, cover, prefix }: Sewn, inner: string): readonly Step[] {
  const zips = cover.closures.some((c) => c.fittings.some((f) => f.use === 'zip'))
  const { stretch } = design.part.cloth.cloth
  return [
    ...(zips
      ? [
          gate(
            {
              id: `${prefix}zip-open`,
              part: 'sewing',
              resource: 'machine',
              title: 'Before the last seam',
              asks: 'Is the slider on, are the ends of the zip anchored, and is it half open?',
            },
            checking(`${prefix}zip-open`),
          ),
        ]
      : []),
    ...(inner === '' && Math.max(stretch.across, stretch.along) > TRIED_ON_SHARE
      ? [
          gate(
            {
              id: `${prefix}try-on`,
              part: 'sewing',
              resource: 'machine',
              title: 'Try it on',
              asks: 'This cloth gives: was the cover tried on the block with the last seam basted?',
            },
            checking(`${prefix}try-on`),
          ),
        ]
      : []),
  ]
}

function seamStep(sewn: Sewn, seam: Seam): Step {
  const { of, design, cover, prefix, name } = sewn
  const length = seamLength(seam)
  const letters = notchLetters(cover, seam)
  return step({
    id: `${prefix}${seam.letter}`,
    part: 'sewing',
    resource: 'machine',
    title: `${name}${name ? 'seam' : 'Seam'} ${seam.letter}: ${seam.name}`,
    says: [
      ...(length > 0
        ? [`${of.say(length)}${design.design.count > 1 ? ` on each of ${design.design.count} cushions` : ''}.`]
        : []),
      ...seamSays(seam, cover),
      ...(letters.length > 0 ? [`Notches ${letters.join(' ')} meet.`] : []),
    ],
    checks: SEAM_CHECKS[seam.kind],
    work: seamWork(sewn, seam, length),
    safety: seam === cover.seams[0] ? ['needles'] : [],
    sews: { design: design.design.id, seam: seam.letter },
  })
}

function seamSays(seam: Seam, cover: Cover): readonly string[] {
  const closure = cover.closures.find((c) => c.seam === seam.letter)
  switch (seam.kind) {
    case 'closure':
      return closure?.choice.kind === 'slit'
        ? ['Lapped and tacked at both ends only.']
        : [
            'Both halves marked from the same end.',
            ...(closure?.fittings.map((f) => f.note).filter((n) => n !== '') ?? []),
          ]
    case 'join':
      return [
        'Right sides together; short band to long band. Do not backstitch where a corner opens later: stop one allowance short.',
      ]
    case 'corner':
      return ['Right sides together, from the cut edge to the corner point; lock both ends.']
    case 'tuck':
      return ['Fold on the marks towards the middle, baste across.']
    case 'plate':
      return [
        'Right sides together, panel with clips on top. Start in the middle of a side; at each corner clip, needle down, lift, pivot.',
      ]
    case 'divider':
      return ['Through both panels on the chalked line; lock both ends.']
    case 'final':
      return ['By hand from outside, once it is filled.']
    default:
      return seam.kind satisfies never
  }
}

const SEAM_CHECKS: Readonly<Record<Seam['kind'], readonly string[]>> = {
  closure: ['It opens and closes along its whole length.'],
  join: ['Both bands the same height at the join.'],
  corner: ['The point is sharp, no pucker.'],
  tuck: ['Tucks on both sides alike.'],
  plate: ['Corners without holes; stripes meet; no tuck caught.'],
  divider: ['Straight, at the same distance from both sides.'],
  final: ['Stitches small and drawn in.'],
}

function seamWork({ design, cover, prefix }: Sewn, seam: Seam, length: number): readonly Work[] {
  const { count } = design.design
  const id = `${prefix}${seam.letter}`
  const along = (kind: 'zip' | 'join' | 'plate') =>
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
    case 'divider':
    case 'final':
      return along('join')
    default:
      return seam.kind satisfies never
  }
}

/** A plate turns once between any two of its edges that the seam follows. */
function turnsOf(cover: Cover, seam: Seam): number {
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

function finishing({ design, cover, prefix, name }: Sewn): readonly Step[] {
  const way = design.part.makeUp.trims.finishing
  if (way === 'none' || way === 'hot-knife') return []
  const total = cover.seams.reduce((sum, s) => sum + seamLength(s), 0)
  return [
    step({
      id: `${prefix}finish`,
      part: 'sewing',
      resource: 'machine',
      title: `${name}Finish the raw edges`,
      says: [`${finishingWords[way]}, every seam inside.`],
      work: lengthOfWork('finish', `${prefix}finish`, [{ count: design.design.count, mm: total }], 'every seam once'),
    }),
  ]
}
