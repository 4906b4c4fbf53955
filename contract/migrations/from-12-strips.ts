import { isDocument, type Document } from './document.ts'

/** Version 12 knew piping cut into equal strips alone. */
export const withStrips = (job: Document): Document => ({
  ...job,
  version: 13,
  parts: Array.isArray(job['parts'])
    ? job['parts'].map((part: unknown) => (isDocument(part) ? { ...part, cloth: clothOf(part['cloth']) } : part))
    : job['parts'],
})

function clothOf(cloth: unknown): unknown {
  if (!isDocument(cloth) || !('stripJoins' in cloth)) return cloth
  const { stripJoins, ...others } = cloth
  return { ...others, strips: { kind: 'even', moreJoins: stripJoins } }
}
