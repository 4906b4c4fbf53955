/** Points of a PDF to the millimetre. */
export const PT = 72 / 25.4

/** What the standard fonts of a PDF can write: Latin letters alone. */
export const plain = (text: string): string => text.replace(/[^\x20-\x7e\xa0-\xff]/g, '?')
