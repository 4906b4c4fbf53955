import { isDocument } from './document.ts'

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
        schools: [],
        ...settings,
        workshop: withAllRates(settings['workshop'] ?? workshop, workshop),
        book: migrateBook(settings['book']),
      }
    : settings

/** Kinds of work that came later start at the usual rates. */
const withAllRates = (own: unknown, usual: unknown): unknown =>
  isDocument(own) && isDocument(own['rates']) && isDocument(usual) && isDocument(usual['rates'])
    ? { ...own, rates: { ...usual['rates'], ...own['rates'] } }
    : own
