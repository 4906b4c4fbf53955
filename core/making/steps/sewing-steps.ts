import type { Cover, Panel } from '../../cover/index.ts'
import { finishingWords, seamLength, type Seam } from '../../cover/index.ts'
import { cushionName } from './order-of.ts'
import { edgeLength } from '../../outline/index.ts'
import type { DesignPlan } from '../../planned/index.ts'
import { act, type Act, type Deed } from '../acts/act.ts'
import { allGarments, recordKey, type InWork } from '../acts/garments.ts'
import { gate, step, type Step, type Work } from '../step.ts'
import { rightSideActs } from './right-side-steps.ts'
import { checking, countOfWork, lengthOfWork } from '../work.ts'
import type { OrderOf } from './order-of.ts'

/** Cloth that gives more than this is tried on before the last seam. */
const TRIED_ON_SHARE = 0.03

/** Every cover and liner sewn flat and from inside: what goes on first, its seams, and the stops between. */
export const sewingActs = (of: OrderOf): readonly Act[] =>
  allGarments(of.plan).flatMap((garment) => [...insideActs(of, garment), ...rightSideActs(of, garment)])

function insideActs(of: OrderOf, garment: InWork): readonly Act[] {
  const { design, layer, cover, thing } = garment
  const sewn: Sewn = { of, design, cover, garment, prefix: prefixOf(garment), name: nameOf(of, garment) }
  // Seams of a lining and an inner cover say of which they are by themselves.
  const seamNamed =
    layer === 'lining' || layer === 'inner' ? { ...sewn, name: nameOf(of, { ...garment, layer: 'cover' }) } : sewn
  const inside = garment.seams.filter((s) => s.kind !== 'final' && s.kind !== 'divider' && s.pairs.length > 0)
  const last = inside.at(-1)
  const firstPlate = inside.find((s) => s.kind === 'plate')
  const flat = inside.filter((s) => isSewnFlat(s)).map((s) => seamId(sewn, s))
  const on = (steps: readonly Step[], does: Deed = { kind: 'look' }, after: readonly string[] = []) =>
    steps.map((s) => act(s, thing, does, { at: 'wrong-side', after }))
  return [
    ...(layer === 'cover' || layer === 'liner'
      ? [
          ...on(piping(sewn), { kind: 'onto-flat', panels: cover.piping?.groups.map((g) => g.panel.id) ?? [] }),
          ...on(sewnOn(sewn)),
          ...on(hems(sewn), { kind: 'onto-flat', panels: hemmedPanels(cover) }),
          ...(layer === 'cover' ? baseActs(sewn) : []),
        ]
      : []),
    ...inside.flatMap((seam) => [
      ...(seam === firstPlate ? on(ring(sewn)) : []),
      ...(seam === last ? beforeTheLast(sewn) : []),
      act(
        seamStep(seamNamed, seam),
        thing,
        { kind: 'seam', seam },
        { at: 'wrong-side', after: seam.kind === 'plate' ? flat : [] },
      ),
      ...(seam === firstPlate && seam !== last
        ? on([corners(sewn, seam)], { kind: 'look' }, [seamId(sewn, seam)])
        : []),
    ]),
    ...on(
      finishing(sewn),
      { kind: 'finish' },
      inside.map((s) => seamId(sewn, s)),
    ),
  ]
}

interface Sewn {
  readonly of: OrderOf
  readonly design: DesignPlan
  readonly cover: Cover
  readonly garment: InWork
  /** Before the id of each step: `sew.A.` or `sew.A.liner.`. */
  readonly prefix: string
  /** Before the title, where there are several designs or a liner. */
  readonly name: string
}

/** The cover, its lining and its inner cover keep their records under one name: their letters differ. */
export const prefixOf = ({ design, layer }: InWork): string =>
  `sew.${recordKey(design)}.${layer === 'liner' ? 'liner.' : ''}`

export function nameOf(of: OrderOf, { design, layer }: InWork): string {
  const name = [
    of.plan.designs.length > 1 ? cushionName(design) : '',
    { cover: '', liner: 'Liner', lining: 'Lining', inner: 'Inner cover' }[layer],
  ].filter((w) => w !== '')
  return name.length > 0 ? `${name.join(', ')}, ` : ''
}

const seamId = ({ prefix }: Pick<Sewn, 'prefix'>, seam: Seam): string => `${prefix}${seam.letter}`
const isSewnFlat = ({ kind }: Seam): boolean => kind === 'join' || kind === 'corner' || kind === 'tuck'

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
    ? `Strips ${say(plan.stripWidth.value)} wide, joined on the slant, round the cord with the piping foot.`
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
        ...(plan.groups.some((g) => !g.isClosed)
          ? ['Ends run off into the seam allowance and are crossed there.']
          : []),
      ],
      checks: ['Cord close in its strip all round.'],
      work: length,
    }),
  ]
}

/** Ties, handles, vents: made before they are caught in a seam. */
/** What is made beforehand, by its kinds. */
const namesOf = (trims: readonly Panel[], hasVents: boolean): string =>
  [...new Set(trims.map((p) => `${p.name.toLowerCase()}s`)), ...(hasVents ? ['vents'] : [])].join(', ')

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
      title: `${name}Make ${namesOf(trims, vents > 0)}`,
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

/** Edges that are turned in and stitched, whether they lap or hang free. */
const hemmed = (cover: Cover) =>
  cover.panels
    .filter((p) => p.role !== 'trim')
    .flatMap((p) =>
      p.edges.flatMap((e, i) =>
        e.treatment === 'hem' || e.treatment === 'lap'
          ? [{ panel: p, edge: e.name, mm: edgeLength(p.finished, i) }]
          : [],
      ),
    )
const hemmedPanels = (cover: Cover): readonly string[] => [...new Set(hemmed(cover).map((h) => h.panel.id))]

function hems({ design, cover, prefix, name }: Sewn): readonly Step[] {
  const all = hemmed(cover)
  if (all.length === 0) return []
  const total = all.reduce((sum, h) => sum + h.mm, 0)
  return [
    step({
      id: `${prefix}hems`,
      part: 'sewing',
      resource: 'machine',
      title: `${name}Hem the free edges`,
      says: [`${[...new Set(all.map((h) => h.panel.name.toLowerCase()))].join(', ')}: along the hem line.`],
      work: lengthOfWork(
        'hem',
        `${prefix}hems`,
        [{ count: design.design.count, mm: total }],
        'hemmed and lapped edges',
      ),
    }),
  ]
}

/** What goes onto the base while it lies flat: grip first, then a zip along its drawn path. */
function baseActs({ of, design, cover, garment, prefix, name }: Sewn): readonly Act[] {
  const slot = cover.closures.find((c) => c.seam === null && c.choice.kind === 'horseshoe')
  const { grip } = design.part.makeUp.trims
  const under = cover.panels.find((p) => p.marks.some((m) => m.kind === 'slot' || m.kind === 'grip'))
  if (!under) return []
  const { count } = design.design
  const panels = [under.id]
  const gripped =
    grip.kind === 'none'
      ? []
      : [
          act(
            step({
              id: `${prefix}grip`,
              part: 'sewing',
              resource: 'machine',
              title: `${name}${grip.kind === 'non-slip' ? 'Non-slip cloth' : 'Strips of hook and loop'} onto the ${under.name.toLowerCase()}`,
              says: [
                `At the chalked marks, the ${under.name.toLowerCase()} still flat${slot ? '; before the zip' : ''}.`,
              ],
              work: countOfWork('tie', `${prefix}grip`, count, 'every cushion'),
            }),
            garment.thing,
            { kind: 'onto-flat', panels },
            { at: 'wrong-side' },
          ),
        ]
  if (!slot) return gripped
  const zipped = (id: string, title: string, says: readonly string[], mm: number) =>
    act(
      step({
        id: `${prefix}${id}`,
        part: 'sewing',
        resource: 'machine',
        title: `${name}${title}`,
        says,
        work: lengthOfWork('zip', `${prefix}${id}`, [{ count, mm: slot.lengthMm }], `${of.say(mm)} on each cushion`),
      }),
      garment.thing,
      { kind: 'onto-flat', panels },
      { at: 'wrong-side', after: [`${prefix}grip`] },
    )
  const { value } = slot.lengthMm
  return [
    ...gripped,
    zipped(
      'slot',
      `Zip along its path on the ${under.name.toLowerCase()}`,
      [
        `${of.say(value)} along the chalked path, the zip shut and face down; needle down at each curve, and turn the cloth, not the zip.`,
      ],
      value,
    ),
    {
      ...zipped(
        'slit',
        'Second side of the zip, and the slit',
        [
          'The other tape at the same distance all along.',
          'Slit the cloth between the stitch lines, to the ends; turn the edges in and top-stitch.',
          'Stops at both ends; the slider runs from one to the other.',
        ],
        value,
      ),
      after: [`${prefix}slot`],
    },
  ]
}

function ring({ of, cover, garment, prefix, name }: Sewn): readonly Step[] {
  if (garment.layer === 'lining' || garment.layer === 'inner') return []
  if (!cover.panels.some((p) => p.role === 'boxing')) return []
  return [
    gate(
      {
        id: `${prefix}ring`,
        part: 'sewing',
        resource: 'machine',
        title: `${name}The ring of boxing`,
        asks: `Is the ring of boxing as long as the sewing line of the plate, ${of.say(cover.perimeter.value)}?`,
        says: ['Measured on the sewing line, not along the cut edge.'],
      },
      checking(`${prefix}ring`),
    ),
  ]
}

const corners = ({ prefix, name, garment }: Sewn, seam: Seam): Step =>
  gate(
    {
      id: `${prefix}${garment.layer === 'lining' || garment.layer === 'inner' ? `${garment.layer}.` : ''}corners`,
      part: 'sewing',
      resource: 'machine',
      title: `${name}Corners of the first plate`,
      asks: `After seam ${seam.letter}: no hole at a corner, no tuck caught, opposite corners square to each other?`,
    },
    checking(`${prefix}corners`),
  )

function beforeTheLast({ design, cover, garment, prefix, name }: Sewn): readonly Act[] {
  // The lining and the inner cover of a cube do not open.
  const opens = garment.layer === 'cover' || garment.layer === 'liner'
  const zips = opens && cover.closures.some((c) => c.fittings.some((f) => f.use === 'zip'))
  const { stretch } = design.part.cloth.cloth
  const stop = (id: string, title: string, asks: string, does: Deed, after: readonly string[] = []) =>
    act(
      gate(
        { id: `${prefix}${id}`, part: 'sewing', resource: 'machine', title: `${name}${title}`, asks },
        checking(`${prefix}${id}`),
      ),
      garment.thing,
      does,
      { at: 'wrong-side', after },
    )
  return [
    ...(zips
      ? [
          stop(
            'zip-open',
            'Before the last seam',
            'Is the slider on, are the ends of the zip anchored, and is it half open?',
            { kind: 'open' },
            garment.seams.filter((s) => s.kind === 'closure').map((s) => `${prefix}${s.letter}`),
          ),
        ]
      : []),
    ...(garment.layer === 'cover' && Math.max(stretch.across, stretch.along) > TRIED_ON_SHARE
      ? [
          stop(
            'try-on',
            'Try it on',
            'This cloth gives: was the cover tried on the block with the last seam basted? Note what was taken off.',
            { kind: 'look' },
          ),
        ]
      : []),
  ]
}

export function seamStep(sewn: Omit<Sewn, 'garment'>, seam: Seam): Step {
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
      ...(isHingedRound(design, seam) ? ['Ties caught between the layers, at the hinge and at the top.'] : []),
      ...(letters.length > 0 ? [`Notches ${letters.join(' ')} meet.`] : []),
    ],
    checks: checksOf(seam, design),
    work: seamWork(sewn, seam, length),
    safety: seam === cover.seams[0] ? ['needles'] : [],
    sews: { design: design.design.id, seam: seam.letter },
  })
}

/** The ties of a hinged pair are sewn in with its sides. */
const isHingedRound = ({ part: { makeUp } }: DesignPlan, seam: Seam): boolean =>
  makeUp.construction.kind === 'hinged-pair' && seam.kind === 'plate' && makeUp.trims.ties !== null

function seamSays(seam: Seam, cover: Cover): readonly string[] {
  const closure = cover.closures.find((c) => c.seam === seam.letter)
  switch (seam.kind) {
    case 'closure':
      return closure ? closureSays(closure) : []
    case 'join':
      return [
        cover.panels.some(
          (p) => p.role === 'boxing' && seam.pairs.some((x) => x.a.panel === p.id || x.b.panel === p.id),
        )
          ? 'Right sides together, band to band. Do not backstitch where a corner opens later: stop one allowance short.'
          : 'Right sides together; lock both ends.',
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
      return ['Through both panels on the chalked line, from outside, straight from side to side; lock both ends.']
    case 'final':
      return []
    default:
      return seam.kind satisfies never
  }
}

/** How each kind of opening is set in, half by half. */
function closureSays({ choice, fittings, places }: Cover['closures'][number]): readonly string[] {
  const notes = fittings.map((f) => f.note).filter((n) => n !== '')
  switch (choice.kind) {
    case 'slit':
      return ['Lapped, and tacked at both ends only.']
    case 'zip-gusset':
    case 'zip-seam':
    case 'horseshoe':
      return ['Both sides of the zip marked from the same end; the slider put on before the ends are held.', ...notes]
    case 'hook-and-loop':
    case 'snap-tape':
      return ['One half of the tape on each side, from the same end, clear of the seams.', ...notes]
    case 'snaps':
    case 'buttons':
    case 'ties':
    case 'lacing':
      return [`${places.length} places, marked from the same end on both halves.`, ...notes]
    case 'sewn-shut':
    case 'fixed':
      return notes
    default:
      return choice satisfies never
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

function seamWork(
  { design, cover, prefix }: Pick<Sewn, 'design' | 'cover' | 'prefix'>,
  seam: Seam,
  length: number,
): readonly Work[] {
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

function finishing({ design, garment, prefix, name }: Sewn): readonly Step[] {
  const way = design.part.makeUp.trims.finishing
  if (way === 'none' || way === 'hot-knife' || garment.seams.length === 0) return []
  const total = garment.seams.filter((s) => s.kind !== 'final').reduce((sum, s) => sum + seamLength(s), 0)
  // The cover, its lining and its inner cover are finished each by itself.
  const own = garment.layer === 'lining' || garment.layer === 'inner' ? `${prefix}${garment.layer}.` : prefix
  return [
    step({
      id: `${own}finish`,
      part: 'sewing',
      resource: 'machine',
      title: `${name}Finish the raw edges`,
      says: [`${finishingWords[way]}, every seam inside.`],
      work: lengthOfWork('finish', `${own}finish`, [{ count: design.design.count, mm: total }], 'every seam once'),
    }),
  ]
}
