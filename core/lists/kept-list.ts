import { listed, phrase } from '../language/index.ts'
import type { KeepOrNot, ThingThere } from '../../contract/index.ts'
import { bodySizes } from '../filling/index.ts'
import { partName } from '../job/index.ts'
import type { WorkedPlan } from '../planned/index.ts'
import { formatLength, unitName, type LengthUnit } from '../units/index.ts'

/** Something that is there and is used again: neither bought nor cut. */
export interface KeptLine {
  readonly what: string
  /** In all; null where it is not counted. */
  readonly count: number | null
  readonly note: string
}

/** What stays, part by part: bodies with their sizes, and cover, board, zip, wadding, backing. */
export function keptList(
  { units }: { readonly units: LengthUnit },
  { worked }: Pick<WorkedPlan, 'worked'>,
): readonly KeptLine[] {
  const size = (mm: number | null) => (mm === null ? 'as the seat' : formatLength(mm, units))
  return worked.flatMap(({ part, prefix, cushions }) => {
    const whose = prefix === '' ? '' : `, ${partName(part)}`
    const filling =
      part.work.kind === 'cover-only' && part.there.bodies.every((b) => b.use !== 'keep')
        ? [{ what: `Filling${whose}`, count: cushions.count, note: 'stays as it is' }]
        : []
    const cover =
      part.work.kind === 'filling-only'
        ? [{ what: `Cover${whose}`, count: cushions.count, note: 'stays; opened and closed again' }]
        : []
    return [
      ...cover,
      ...filling,
      ...part.there.bodies
        .filter((b) => b.use !== 'replace')
        .map((body): KeptLine => {
          const { widthMm, depthMm, thicknessMm } = bodySizes(body)
          return {
            what: `${body.name || 'Old body'}${whose}`,
            count: body.count * cushions.count,
            note: listed(
              [
                phrase`${size(widthMm)} x ${size(depthMm)} x ${size(thicknessMm)} ${unitName(units)}`,
                body.recovered ? 'recovered' : 'as found: measure again once it has rested',
                body.use === 'template' ? 'as a template only' : '',
                body.cutOuts,
                body.topFace && phrase`top face: ${body.topFace}`,
              ],
              '; ',
            ),
          }
        }),
      ...Object.entries(part.there.things)
        .filter(([, thing]) => thing.use !== 'replace')
        .map(([name, { use, note }]): KeptLine => ({
          what: `${THING_WORDS[name as ThingThere]}${whose}`,
          count: null,
          note: listed([USE_WORDS[use], note], '; '),
        })),
    ]
  })
}

export const THING_WORDS: Readonly<Record<ThingThere, string>> = {
  cover: 'Old cover',
  board: 'Board',
  zip: 'Zip',
  wadding: 'Wadding',
  backing: 'Backing',
}

export const USE_WORDS: Readonly<Record<KeepOrNot, string>> = {
  keep: 'stays',
  mend: 'mended, and stays',
  add: 'stays, with more added',
  replace: 'replaced',
  template: 'template only',
}
