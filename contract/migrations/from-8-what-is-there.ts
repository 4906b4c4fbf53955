import { isDocument, type Document } from './document.ts'

/**
 * Version 8 knew one old foam with three thicknesses, film or none, and made every cushion whole. The old foam becomes
 * a body of what is there, with the test that stood beside it.
 */
export const withWhatIsThere = (job: Document): Document => ({
  ...job,
  version: 9,
  parts: Array.isArray(job['parts'])
    ? job['parts'].map((part: unknown) => (isDocument(part) ? withThere(part) : part))
    : job['parts'],
  cutting: isDocument(job['cutting'])
    ? {
        ...job['cutting'],
        film: job['cutting']['film'] === true ? 'taken-out' : 'none',
        oversizeMm: 0,
        glueFaces: 2,
        glueCoats: 1,
      }
    : job['cutting'],
})

function withThere(part: Document): Document {
  const { filling } = part
  const there = { bodies: bodiesOf(filling), things: {}, tucks: [], fireLabelOffOn: null }
  return {
    ...part,
    work: { kind: 'cover-and-filling' },
    there,
    filling: isDocument(filling) ? fillingOf(filling) : filling,
  }
}

function fillingOf(filling: Document): Document {
  if (filling['kind'] === 'loose-fibre') return { ...filling, of: 'fibre', trials: [] }
  const { old: _, layers, ...others } = filling
  return {
    ...others,
    layers: Array.isArray(layers)
      ? layers.map((l: unknown) => (isDocument(l) ? { ...l, body: null, profile: null } : l))
      : layers,
    trials: [],
  }
}

function bodiesOf(filling: unknown): readonly Document[] {
  if (!isDocument(filling) || !isDocument(filling['old'])) return []
  const { freshMm, sunkMm, restedMm, crumbles, smells } = filling['old']
  return [
    {
      id: 'old-1',
      name: 'Old foam',
      count: 1,
      found: { widthMm: null, depthMm: null, thicknessMm: sunkMm },
      recovered: { widthMm: null, depthMm: null, thicknessMm: restedMm },
      newMm: freshMm,
      said: '',
      crumbles,
      smells,
      cutOuts: '',
      topFace: '',
      test: filling['test'] ?? null,
      use: 'replace',
    },
  ]
}
