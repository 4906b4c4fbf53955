import type { FoamFilling, PartWork, There } from '../../contract/index.ts'
import { asThere, bodiesIn, bodySizes } from './bodies.ts'
import type { Stays } from './sizing/index.ts'

/**
 * What of a cushion gives the size of the rest. `blockMm` is the thickness that the school asks for; a block all of
 * old bodies is as thick as they are.
 */
export function staysFor(work: PartWork, { layers }: FoamFilling, there: There, blockMm: number): Stays {
  if (work.kind === 'filling-only') return { kind: 'cover', inside: work.inside }
  const bodies = bodiesIn(layers, there)
  const sizes = bodies.map(bodySizes)
  const first = sizes.find((s) => s.widthMm !== null || s.depthMm !== null) ?? sizes[0]
  const own = asThere(layers, there)
  const isWhole = own.every((l) => l.thicknessMm !== null)
  const body = first && {
    widthMm: first.widthMm,
    depthMm: first.depthMm,
    thicknessMm: isWhole ? own.reduce((sum, l) => sum + l.thicknessMm!, 0) : blockMm,
  }
  if (work.kind === 'cover-only') return { kind: 'filling', body: body ?? null }
  return body ? { kind: 'block', body } : { kind: 'nothing' }
}
