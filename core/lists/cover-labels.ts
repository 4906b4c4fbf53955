import { phrase } from '../language/index.ts'
import type { Cloth, Job } from '../../contract/index.ts'
import { MAKE_UPS } from '../cover/index.ts'
import { cushionKey } from '../job/index.ts'
import { isSewn, type WorkedPlan } from '../planned/index.ts'
import { formatLength, toCut, unitName } from '../units/index.ts'

/** What stands on the label inside one cover: what it is, where it goes, how it is washed. */
export interface CoverLabel {
  /** `A3`; the number alone where a ticket has one part. */
  readonly number: string
  /** Letter of its part. */
  readonly part: string
  readonly size: string
  readonly made: string
  readonly place: string
  readonly wash: string
  /** Batch and certificate of its foam; empty where none is kept. */
  readonly papers: string
}

/** A label for every cover that is sewn, in the order in which the cushions stand. */
export function coverLabels({ worked }: WorkedPlan, { units, making, terms, title }: Job): readonly CoverLabel[] {
  const say = (mm: number) => formatLength(toCut(mm, units), units)
  const sewn = worked.filter(({ part }) => isSewn(part))
  const cushions = sewn.flatMap((own) => own.cushions.inOrder.map(({ design }, i) => ({ own, design, i })))
  return cushions.map(({ own: { part, prefix, designs }, design, i }) => {
    const { width, depth, thickness } = designs[design]!.cover.solid
    const papers = making.papers[cushionKey(part.letter, i)]
    const made = phrase`${MAKE_UPS[part.makeUp.construction.kind].label.toLowerCase()}, ${part.cloth.cloth.name}`
    return {
      number: `${prefix}${i + 1}`,
      part: part.letter,
      size: phrase`${say(width.value)} x ${say(depth.value)} x ${say(thickness.value)} ${unitName(units)} net`,
      made: part.name ? phrase`${part.name}: ${made}` : made,
      place: terms.furniture || title,
      wash: washWords(part.cloth.cloth),
      papers: [
        papers?.foamBatch ? phrase`foam ${papers.foamBatch}` : '',
        papers?.certificate ? phrase`certificate ${papers.certificate}` : '',
      ]
        .filter(Boolean)
        .join(', '),
    }
  })
}

const washWords = ({ shrink: { across, along }, washFirst }: Cloth): string =>
  across === 0 && along === 0
    ? 'wash: not known, try a scrap first'
    : washFirst
      ? 'washed before it was cut'
      : 'wash cool: the first wash shrinks it into its size'
