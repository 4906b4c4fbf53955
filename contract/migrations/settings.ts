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
        workshop,
        ...settings,
        book: migrateBook(settings['book']),
      }
    : settings
