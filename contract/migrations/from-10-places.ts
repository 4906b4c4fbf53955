import { isDocument, type Document } from './document.ts'

/**
 * Version 10 knew ties by side alone, all of them at the foot, as many at each; one tuck at a corner; every edge cut
 * from the cloth with its hem; and cloth that lay flat.
 */
export const withPlaces = (job: Document): Document => ({
  ...job,
  version: 11,
  folded: [],
  parts: Array.isArray(job['parts'])
    ? job['parts'].map((part: unknown) => (isDocument(part) ? placedPart(part) : part))
    : job['parts'],
})

const placedPart = (part: Document): Document => ({
  ...part,
  makeUp: isDocument(part['makeUp'])
    ? {
        ...part['makeUp'],
        construction: constructionOf(part['makeUp']['construction']),
        trims: trimsOf(part['makeUp']['trims']),
        readyEdges: [],
      }
    : part['makeUp'],
})

const constructionOf = (construction: unknown): unknown =>
  isDocument(construction) && construction['kind'] === 'waterfall'
    ? { ...construction, tucks: 1, tuckFromMm: 0 }
    : construction

const trimsOf = (trims: unknown): unknown =>
  isDocument(trims) && isDocument(trims['ties']) ? { ...trims, ties: tiesOf(trims['ties']) } : trims

function tiesOf({ sides, perSide, ...ties }: Document): Document {
  return {
    places: Array.isArray(sides)
      ? sides.map((side: unknown) => ({ at: 'edge', row: 'foot', side, count: perSide }))
      : sides,
    ...ties,
  }
}
