import { listed, phrase } from '../../language/index.ts'
import type { TiePlace } from '../../../contract/index.ts'
import type { Cover, Mark, Panel } from '../../cover/index.ts'
import { distanceFromEdge, flatten } from '../../outline/index.ts'
import { step, type Step } from '../step.ts'
import { countOfWork } from '../work.ts'
import type { Sewn } from './seam-step.ts'

/** Ties, handles, vents and tabs: made before they are caught in a seam or stitched on. */
export function madeTrims({ of, design, cover, garment, prefix, name }: Sewn): readonly Step[] {
  const trims = cover.panels.filter((p) => p.role === 'trim')
  const { vents: wanted, ties } = design.part.makeUp.trims
  const isLiner = garment.layer === 'liner'
  const vents = wanted && !isLiner ? wanted.count : 0
  const count = design.design.count * (trims.reduce((sum, p) => sum + p.times, 0) + vents)
  if (count === 0) return []
  return [
    step({
      id: `${prefix}trims`,
      part: 'sewing',
      resource: 'machine',
      title: phrase`${name}Make ${namesOf(trims, vents > 0)}`,
      says: [
        ...trims.map(
          (p) =>
            phrase`${p.times} ${p.name.toLowerCase()} for each cushion, cut ${of.say(p.figures.cutWidth.value)} x ${of.say(p.figures.cutHeight.value)}.`,
        ),
        ...(ties && !isLiner
          ? [phrase`Ties: ${ties.places.map((place) => placeWords(place, of.say)).join('; ')}.`]
          : []),
        ...(vents > 0 ? [phrase`${vents} vents in each boxing, at their marks.`] : []),
      ],
      work: countOfWork('tie', `${prefix}trims`, count, 'every one'),
      safety: ['long-cords'],
    }),
  ]
}

/** Ties that stand away from every edge are stitched on at their marks while the panel lies flat. */
export function tiesOntoFlat({ design, cover, prefix, name }: Sewn): readonly Step[] {
  const panels = tiedFlat(cover)
  if (panels.length === 0) return []
  const marks = panels.reduce((sum, p) => sum + p.marks.filter((m) => isAway(m, p)).length, 0)
  return [
    step({
      id: `${prefix}ties-on`,
      part: 'sewing',
      resource: 'machine',
      title: phrase`${name}Ties onto the ${panels.map((p) => p.name.toLowerCase()).join(' and the ')}`,
      says: ['At the chalked marks, the panel still flat: a small square with a cross in it, a scrap of cloth behind.'],
      work: countOfWork('tie', `${prefix}ties-on`, marks * design.design.count, 'every tie that stands on a face'),
    }),
  ]
}

export const flatTiedPanels = (cover: Cover): readonly string[] => tiedFlat(cover).map((p) => p.id)

const tiedFlat = ({ panels }: Cover): readonly Panel[] => panels.filter((p) => p.marks.some((m) => isAway(m, p)))

/** Nearer to an edge than this a tie is caught in its seam. */
const IN_SEAM_MM = 2
/** A place is sewn through a chalked line as well: a tie at the hinge is caught there. */
function isAway(mark: Mark, panel: Panel): boolean {
  if (mark.kind !== 'tie') return false
  const [place] = mark.path
  return (
    distanceFromEdge(flatten(panel.finished, 0.5), place!) > IN_SEAM_MM &&
    !panel.marks.some((m) => m.kind === 'sew' && m.path.some((p) => Math.abs(p.y - place!.y) < IN_SEAM_MM))
  )
}

/** What is made beforehand, by its kinds. */
const namesOf = (trims: readonly Panel[], hasVents: boolean): string =>
  listed([...new Set(trims.map((p) => MANY[p.name] ?? p.name)), hasVents && 'vents'])
const MANY: Readonly<Record<string, string>> = {
  Tie: 'ties',
  Handle: 'handles',
  Strap: 'straps',
  'Square for a covered button': 'squares for covered buttons',
}

function placeWords(place: TiePlace, say: (mm: number) => string): string {
  switch (place.at) {
    case 'edge':
      return phrase`${place.count} at the ${place.row} of the ${place.side}`
    case 'face':
      return phrase`${place.count} on the face of the ${place.side}, ${say(place.upMm)} up`
    case 'corners':
      return phrase`one at each corner of the ${place.side}, ${say(place.upMm)} up`
    case 'hinge':
      return phrase`${place.count} at the hinge`
    case 'underside':
      return phrase`${place.rows * place.across} underneath, in ${place.rows} rows`
    default:
      return place satisfies never
  }
}
