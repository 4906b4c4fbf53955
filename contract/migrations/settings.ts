import { isDocument, type Document } from './document.ts'

/** An allowance book of the time before laps and open piping. */
export const migrateBook = (book: unknown): unknown =>
  !isDocument(book) || 'tapeMarginMm' in book ? book : { ...book, pipingRunOffMm: 40, tapeMarginMm: 6 }

/**
 * Shop settings hold a book; schools were kept later, hours, rates and charges later still: those start as `workshop`.
 */
export const migrateSettings = (settings: unknown, workshop: unknown): unknown =>
  isDocument(settings)
    ? {
        address: '',
        taxNumber: '',
        locale: '',
        paper: 'A4',
        ...settings,
        schools: Array.isArray(settings['schools']) ? settings['schools'].map(withWholeConstruction) : [],
        workshop: withAllRates(settings['workshop'] ?? workshop, workshop),
        book: migrateBook(settings['book']),
      }
    : settings

/** A school keeps a construction: what that kind knew nothing of when it was kept stands as it was made then. */
const withWholeConstruction = (school: unknown): unknown =>
  isDocument(school) && isDocument(school['construction'])
    ? { ...school, construction: { ...LATER[String(school['construction']['kind'])], ...school['construction'] } }
    : school

const LATER: Readonly<Record<string, Document>> = {
  'wrapped-tube': { seams: [], closes: 'lower-back' },
  waterfall: { tucks: 1, tuckFromMm: 0 },
}

/** Kinds of work that came later start at the usual rates. */
const withAllRates = (own: unknown, usual: unknown): unknown =>
  isDocument(own) && isDocument(own['rates']) && isDocument(usual) && isDocument(usual['rates'])
    ? { ...own, rates: { ...usual['rates'], ...own['rates'] } }
    : own
