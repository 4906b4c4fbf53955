import { phrase } from '../language/index.ts'
import type { PartJob } from '../../contract/index.ts'
import { layerWords, type CuttingPlan } from '../filling/index.ts'
import { formatLength, unitName } from '../units/index.ts'
import { shapeNote } from './cut-list.ts'

/** What stands on the label of one block, to be pinned to its top face. */
export interface BlockLabel {
  /** `A, 2 of 3`. */
  readonly block: string
  /** Which of the designs of the plan it is for. */
  readonly design: number
  readonly size: string
  /** From the top down. */
  readonly layers: string
  readonly parts: string
  readonly note: string
}

/** A label for every block of a job. */
export function blockLabels({ blocks }: CuttingPlan, { units }: Pick<PartJob, 'units'>): readonly BlockLabel[] {
  const say = (mm: number) => formatLength(mm, units)
  return blocks.flatMap(({ letter, count, block, layers, parts, design }) =>
    Array.from({ length: count }, (_, i): BlockLabel => ({
      block: phrase`${letter}, ${i + 1} of ${count}`,
      design,
      size: phrase`${say(block.width.value)} x ${say(block.depth.value)} x ${say(block.thickness.value)} ${unitName(units)} cut`,
      layers: layerWords(layers, units),
      parts: parts.length === 1 ? '' : phrase`glued from ${parts.map((p) => p.id).join(', ')}`,
      note: shapeNote(block),
    })),
  )
}
