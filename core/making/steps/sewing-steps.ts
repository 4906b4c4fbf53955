import { phrase } from '../../language/index.ts'
import type { Cover } from '../../cover/index.ts'
import { finishingWords, seamLength, type Seam } from '../../cover/index.ts'
import { edgeLength, turnAt } from '../../outline/index.ts'
import { act, type Act, type Deed } from '../acts/act.ts'
import { type InWork } from '../acts/garments.ts'
import { gate, step, type Step } from '../step.ts'
import { nameOf, prefixOf } from './names.ts'
import { pipingWords } from './piping-words.ts'
import { flatTiedPanels, madeTrims, tiesOntoFlat } from './trim-steps.ts'
import { triedOn, trimmed } from './try-on-steps.ts'
import { backed, backedPanels, joinsPieces, piecesIn } from './layer-steps.ts'
import { seamStep, type Sewn } from './seam-step.ts'
import { checking, countOfWork, lengthOfWork } from '../work.ts'
import type { OrderOf } from './order-of.ts'

/** Cloth that gives more than this is tried on before the last seam. */
const TRIED_ON_SHARE = 0.03

/** A cover or liner sewn flat and from inside: what goes on first, its seams, and the stops between. */
export function insideActs(of: OrderOf, garment: InWork): readonly Act[] {
  const { design, layer, cover, thing } = garment
  const sewn: Sewn = { of, design, cover, garment, prefix: prefixOf(garment), name: nameOf(of, garment) }
  // Seams of a lining and an inner cover say of which they are by themselves.
  const seamNamed =
    layer === 'lining' || layer === 'inner' ? { ...sewn, name: nameOf(of, { ...garment, layer: 'cover' }) } : sewn
  const inside = garment.seams.filter((s) => s.kind !== 'final' && s.kind !== 'divider' && s.pairs.length > 0)
  const last = inside.at(-1)
  const firstPlate = inside.find((s) => s.kind === 'plate')
  const joins = inside.filter((s) => joinsPieces(s, cover)).map((s) => seamId(sewn, s))
  const flat = inside.filter((s) => isSewnFlat(s)).map((s) => seamId(sewn, s))
  const on = (steps: readonly Step[], does: Deed = { kind: 'look' }, after: readonly string[] = []) =>
    steps.map((s) => act(s, thing, does, { at: 'wrong-side', after }))
  return [
    ...(layer === 'cover' || layer === 'liner'
      ? [
          ...on(backed(sewn), { kind: 'onto-flat', panels: backedPanels(cover) }, joins),
          ...on(piping(sewn), { kind: 'onto-flat', panels: pipedPanels(cover) }, joins),
          ...on(madeTrims(sewn)),
          ...(layer === 'cover'
            ? on(tiesOntoFlat(sewn), { kind: 'onto-flat', panels: flatTiedPanels(cover) }, joins)
            : []),
          ...on(hems(sewn), { kind: 'onto-flat', panels: hemmedPanels(cover) }, joins),
          ...(layer === 'cover' ? baseActs(sewn) : []),
        ]
      : []),
    ...inside.flatMap((seam) => [
      ...(seam === firstPlate ? on(ring(sewn)) : []),
      ...(seam === last ? [...triedOn(sewn, inside), ...trimmed(sewn, inside), ...beforeTheLast(sewn)] : []),
      act(
        seamStep(seamNamed, seam),
        thing,
        { kind: 'seam', seam },
        { at: 'wrong-side', after: seam.kind === 'plate' ? flat : [] },
      ),
      ...(seam === firstPlate && seam !== last && hasCorners(seam, cover)
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

/** A round end has no corners to look at. */
const hasCorners = (seam: Seam, { panels }: Cover): boolean =>
  panels.some(
    (p) =>
      (p.role === 'plate' || p.role === 'base' || p.role === 'band') &&
      seam.pairs.some(({ a, b }) => a.panel === p.id || b.panel === p.id) &&
      p.finished.some((_, i) => Math.abs(turnAt(p.finished, i)) > CORNER_RAD),
  )
const CORNER_RAD = Math.PI / 9

const seamId = ({ prefix }: Pick<Sewn, 'prefix'>, seam: Seam): string => `${prefix}${seam.letter}`
const isSewnFlat = ({ kind }: Seam): boolean => kind === 'join' || kind === 'corner' || kind === 'tuck'

/** The plates that piping is sewn onto, piece by piece where they are joined. */
const pipedPanels = (cover: Cover) => piecesIn(cover, cover.piping?.groups.map((g) => g.panel.id) ?? [])

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
    ? phrase`Strips ${say(plan.stripWidth.value)} wide, joined on the slant, round the cord with the piping foot.`
    : 'Ready-made: cut to length.'
  return [
    step({
      id: `${prefix}piping`,
      part: 'sewing',
      resource: 'machine',
      title: phrase`${name}Make the piping and baste it on`,
      says: [
        made,
        ...plan.groups.map(
          (g) =>
            phrase`${g.count} ${g.isClosed ? 'loops' : 'runs'} of ${say(g.length.value)} on each, on ${g.panel.name.toLowerCase()}; joins away from front and corners.`,
        ),
        ...pipingWords(of, design),
        'Basted to the right side, raw edges together; clip at corners and curves.',
        ...(plan.groups.some((g) => g.isClosed)
          ? [
              phrase`Start and stop ${say(25)} to ${say(40)} from where the ends meet; ${plan.choice.ends === 'butted' ? 'cut the cord so that it butts, fold the strip over it' : 'cross the ends into the seam allowance'}.`,
            ]
          : []),
        ...(plan.groups.some((g) => !g.isClosed) ? ['Ends run off into the seam allowance.'] : []),
      ],
      checks: ['Cord close in its strip all round.'],
      sewing: { kind: 'piping', cloth: design.part.cloth.cloth, lock: 'overlap' },
      work: length,
    }),
  ]
}

/** Edges that are turned in and stitched, whether they lap or hang free. */
const hemmed = (cover: Cover) =>
  cover.panels
    .filter((p) => p.role !== 'trim')
    .flatMap((p) =>
      p.edges.flatMap((e, i) =>
        (e.treatment === 'hem' || e.treatment === 'lap') && !e.ready
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
      title: phrase`${name}Hem the free edges`,
      says: [phrase`Along the hem line: ${[...new Set(all.map((h) => h.panel.name.toLowerCase()))].join('; ')}.`],
      sewing: { kind: 'hem', cloth: design.part.cloth.cloth, lock: 'both-ends' },
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
              title: phrase`${name}${grip.kind === 'non-slip' ? 'Non-slip cloth' : 'Strips of hook and loop'} onto the ${under.name.toLowerCase()}`,
              says: [
                phrase`At the chalked marks, the ${under.name.toLowerCase()} still flat${slot ? '; before the zip' : ''}.`,
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
        title: phrase`${name}${title}`,
        says,
        work: lengthOfWork(
          'zip',
          `${prefix}${id}`,
          [{ count, mm: slot.lengthMm }],
          phrase`${of.say(mm)} on each cushion`,
        ),
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
      phrase`Zip along its path on the ${under.name.toLowerCase()}`,
      [
        phrase`${of.say(value)} along the chalked path, the zip shut and face down; needle down at each curve, and turn the cloth, not the zip.`,
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
        title: phrase`${name}The ring of boxing`,
        asks: phrase`Is the ring of boxing as long as the sewing line of the plate, ${of.say(cover.perimeter.value)}?`,
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
      title: phrase`${name}Corners of the first plate`,
      asks: phrase`After seam ${seam.letter}: no hole at a corner, no tuck caught, opposite corners square to each other?`,
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
        { id: `${prefix}${id}`, part: 'sewing', resource: 'machine', title: phrase`${name}${title}`, asks },
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
      title: phrase`${name}Finish the raw edges`,
      says: [phrase`${finishingWords[way]}, every seam inside.`],
      work: lengthOfWork('finish', `${own}finish`, [{ count: design.design.count, mm: total }], 'every seam once'),
    }),
  ]
}
