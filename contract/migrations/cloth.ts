import { isDocument, type Document } from './document.ts'

/** A cloth of the time before its stretch, shrinkage and fibre, or its supply and flaws, were known. */
export function migrateCloth(cloth: unknown): unknown {
  if (!isDocument(cloth)) return cloth
  const known =
    'fibre' in cloth
      ? cloth
      : {
          ...cloth,
          thicknessMm: 0.6,
          stretch: { across: 0, along: 0 },
          shrink: { across: 0, along: 0 },
          washFirst: false,
          fibre: 'mixed',
          marking: 'notches',
        }
  if ('supply' in known) return known
  const { pattern } = known as Document
  return {
    ...known,
    pattern: isDocument(pattern) && pattern['kind'] === 'stripes' ? { runs: 'along', ...pattern } : pattern,
    massGM2: 300,
    use: 'indoors',
    reversible: false,
    supply: { kind: 'to-buy' },
    flaws: [],
  }
}
