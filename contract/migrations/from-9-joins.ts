import { isDocument, type Document } from './document.ts'

/**
 * Version 9 cut every panel in one piece, or as the recipe joined it; a tube was one panel, closed at its lower back; doubts could
 * not be overruled.
 */
export const withJoins = (job: Document): Document => ({
  ...job,
  version: 10,
  meant: [],
  parts: Array.isArray(job['parts'])
    ? job['parts'].map((part: unknown) => (isDocument(part) ? unjoined(part) : part))
    : job['parts'],
})

const unjoined = (part: Document): Document => ({
  ...part,
  cloth: isDocument(part['cloth']) ? { ...part['cloth'], hiddenStrips: 'along' } : part['cloth'],
  makeUp: isDocument(part['makeUp'])
    ? {
        ...part['makeUp'],
        construction: constructionOf(part['makeUp']['construction']),
        layers: [],
        reserves: [],
        joins: [],
      }
    : part['makeUp'],
})

const constructionOf = (construction: unknown): unknown =>
  isDocument(construction) && construction['kind'] === 'wrapped-tube'
    ? { ...construction, seams: [], closes: 'lower-back' }
    : construction
