import { phrase } from '../language/index.ts'
import type { Cloth, MachineCard } from '../../contract/index.ts'
import { formatLengthWithUnit, type LengthUnit } from '../units/index.ts'
import type { Sewing } from './step.ts'

/**
 * How the machine is set at a step, from the shop's card for the cloth; what no card says is said to be unknown. The
 * foot goes by what is sewn. A stitch is in mm whatever the units of the job, as machines are set.
 */
export function settingsWords(
  { kind, cloth, lock }: Sewing,
  cards: readonly MachineCard[],
  units: LengthUnit,
): readonly string[] {
  const card = machineCardFor(cards, cloth)
  const stitchMm = card && (kind === 'top-stitch' ? card.topStitchMm : card.stitchMm)
  const foot = { zip: 'zip foot', piping: 'piping foot' }[kind as 'zip'] ?? card?.foot
  return [
    stitchMm ? phrase`stitch ${stitchMm} mm` : 'stitch length unknown: try it on a scrap',
    card?.needle ? phrase`needle ${card.needle}` : 'needle unknown',
    card?.thread ? card.thread : 'thread unknown',
    ...(foot ? [foot] : []),
    locks(units)[lock],
  ]
}

const locks = (units: LengthUnit): Readonly<Record<Sewing['lock'], string>> => ({
  'both-ends': 'locked at both ends',
  'stop-short': 'not locked where a corner opens later',
  overlap: phrase`start and end overlap by ${formatLengthWithUnit(OVERLAP_MM, units)}`,
})

/** A seam that closes on itself is sewn over its start so far. */
export const OVERLAP_MM = 50

/**
 * The card for a cloth: the lightest one that still takes its mass and thickness, and one for outdoors where the cloth
 * lives there. Null where the shop has none.
 */
export function machineCardFor(
  cards: readonly MachineCard[],
  { massGM2, use, thicknessMm }: Pick<Cloth, 'massGM2' | 'use' | 'thicknessMm'>,
): MachineCard | null {
  const isOut = use !== 'indoors'
  const fit = cards
    .filter((c) => massGM2 <= c.upToGM2 && thicknessMm <= c.upToMm)
    .toSorted((a, b) => a.upToGM2 - b.upToGM2)
  return fit.find((c) => c.outdoors === isOut) ?? fit[0] ?? null
}
