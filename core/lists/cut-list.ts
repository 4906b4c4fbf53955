import { listed, phrase } from '../language/index.ts'
import type { Cloth, Job } from '../../contract/index.ts'
import { stripPlace, stripsToRun, type CutWay } from '../cloth/index.ts'
import { clothFor, type Cover } from '../cover/index.ts'
import { fillsItsBox, type CuttingPlan } from '../filling/index.ts'
import { boxOf } from '../outline/index.ts'
import { staysThere, type CutLine, type DesignPlan, type WorkedPlan } from '../planned/index.ts'
import type { Solid } from '../seat/index.ts'
import { formatLengthWithUnit, trimmed, type LengthUnit } from '../units/index.ts'
import { entered } from '../working/index.ts'

/** Everything to be cut, foam first, cut sizes throughout; the letter of a design where there are several. */
export function cutList(
  job: Pick<Job, 'units'>,
  { designs, sewn, cutting, cloth }: Pick<WorkedPlan, 'designs' | 'sewn' | 'cutting' | 'cloth'>,
): readonly CutLine[] {
  const { units } = job
  const letter = (d: DesignPlan) => (designs.length === 1 ? '' : ` ${d.design.id}`)
  const foam = cutting ? foamLines(cutting, designs, units) : []
  const panels = sewn.flatMap((d) => [
    ...panelLines(d, d.cover, { letter: letter(d), prefix: '', says: cutWays(cloth, d, 'cover') }),
    ...(d.liner
      ? panelLines(d, d.liner, { letter: letter(d), prefix: 'Liner, ', says: cutWays(cloth, d, 'liner') })
      : []),
  ])
  const strips = sewn.flatMap((d, i): readonly CutLine[] =>
    cloth.strips[i]!.flatMap((own) => {
      const { choice } = d.cover.piping!
      return own.cut.map(({ qty, length }, k): CutLine => ({
        what: phrase`Piping strip${letter(d)}, ${choice.kind === 'ready-made' ? '' : choice.cut}`,
        part: d.part.letter,
        material: 'cloth',
        count: qty,
        width: length,
        height: own.width,
        note: own.cut.length > 1 ? stripPlace(own, k) : stripsToRun(own),
        from: clothFor(d.part.cloth, 'piping').name,
        shape: { kind: 'strip' },
      }))
    }),
  )
  return [...foam, ...sewn.flatMap((d) => boardLines(d, letter(d))), ...panels, ...strips]
}

/** Boards are sawn before anything is pulled over them. */
const boardLines = ({ design, part, cover: { board } }: DesignPlan, letter: string): readonly CutLine[] =>
  board && !staysThere(part, 'board')
    ? [
        {
          what: phrase`Board${letter}`,
          part: part.letter,
          material: 'board',
          count: design.count,
          width: board.width,
          height: board.depth,
          note: listed(
            [
              fillsItsBox(board.outline) ? '' : 'sawn to the template',
              board.holes.length > 0 ? phrase`${board.holes.length} air holes` : '',
            ],
            '; ',
          ),
          from: 'board',
          shape: { kind: 'outline', outline: board.outline },
        },
      ]
    : []

const panelLines = (
  { design, part }: DesignPlan,
  { panels, layers }: Cover,
  {
    letter,
    prefix,
    says,
  }: { readonly letter: string; readonly prefix: string; readonly says: (panel: string) => readonly string[] },
): readonly CutLine[] =>
  [...panels, ...layers].map((p) => ({
    what: phrase`${prefix}${p.name}${letter}`,
    part: part.letter,
    material: 'cloth',
    count: design.count * p.times,
    width: p.figures.cutWidth,
    height: p.figures.cutHeight,
    note: listed(
      [
        ...says(p.id),
        ...p.edges.flatMap((e) => (e.ready ? [phrase`${e.name} on the ${READY[e.ready]}`] : [])),
        ...notchWords(p.notches.length, clothFor(part.cloth, p.cloth).marking),
      ],
      '; ',
    ),
    from: clothFor(part.cloth, p.cloth).name,
    shape: { kind: 'panel', panel: p },
  }))

/** How many; their letters stand on the piece and its template. */
const notchWords = (count: number, marking: Cloth['marking']): readonly string[] =>
  count === 0 ? [] : [phrase`${count} ${count === 1 ? ONE[marking] : marking}`]
const ONE: Readonly<Record<Cloth['marking'], string>> = { notches: 'notch', tacks: 'tack' }

const READY = { selvedge: 'selvedge', 'factory-hem': 'factory hem' } as const
const WAYS: Readonly<Record<Exclude<CutWay, 'flat'>, string>> = {
  'two-at-once': 'two at once',
  'one-spare': 'two at once, one spare',
  'on-the-fold': 'on the fold',
}

/** How the panels of a design are cut from folded cloth; nothing of what is cut flat. */
function cutWays(
  { lays }: WorkedPlan['cloth'],
  { part }: DesignPlan,
  layer: 'cover' | 'liner',
): (panel: string) => readonly string[] {
  const own = lays
    .filter((l) => l.isFolded)
    .flatMap((l) => l.pieces.flatMap((p) => [p.of, p.alsoOf ?? null].map((of) => ({ of, way: p.way }))))
    .filter(({ of }) => of?.layer === layer && (of.part === '' || of.part === part.letter))
  return (panel) => [
    ...new Set(own.flatMap(({ of, way }) => (of!.panel.id === panel && way !== 'flat' ? [WAYS[way]] : []))),
  ]
}

/** Parts of every block, with the sheet they come from, and what their size does not tell. */
function foamLines({ blocks }: CuttingPlan, designs: readonly DesignPlan[], units: LengthUnit): readonly CutLine[] {
  return blocks.flatMap(({ block, parts, design }) => {
    return parts.map((part): CutLine => {
      const { maxX, maxY } = boxOf(part.outline)
      const whole =
        parts.length === 1 || (Math.abs(maxX - block.width.value) < 0.01 && Math.abs(maxY - block.depth.value) < 0.01)
      const size = (name: 'width' | 'depth', value: number) =>
        whole && Math.abs(value - block[name].value) < 0.01
          ? block[name]
          : entered({
              id: `part.${part.id}.${name}`,
              label: phrase`Part ${part.id} ${name}`,
              quantity: 'length',
              line: 'cut',
              value,
              rule: 'over all, leaning sides and joins counted in',
            })
      return {
        what: phrase`Foam ${part.id}, ${part.grade.name}, ${formatLengthWithUnit(part.thicknessMm, units)} sheet`,
        part: designs[design]!.part.letter,
        material: 'foam',
        count: part.count,
        width: size('width', maxX),
        height: size('depth', maxY),
        note: listed([part.where, shapeNote(block)], '; '),
        from: 'foam',
        shape: { kind: 'outline', outline: part.outline },
      }
    })
  })
}

/** What the size over all does not tell: a template, and how the knife is tilted along each leaning side. */
export function shapeNote(solid: Solid): string {
  const { edges } = solid
  const tilts = edges
    .filter((e) => e.leanRad !== 0)
    .map(
      (e) =>
        phrase`${e.name} ${trimmed((Math.abs(e.leanRad) * 180) / Math.PI, 1)}° ${e.leanRad > 0 ? 'outwards' : 'inwards'} going up`,
    )
  return listed(
    [
      fillsItsBox(solid.outline) ? '' : 'cut to the template',
      tilts.length > 0 ? phrase`knife tilt: ${[...new Set(tilts)].join(', ')}` : '',
    ],
    '; ',
  )
}
