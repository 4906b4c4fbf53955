/** A document as it was read from a file: nothing is known of it yet. */
export type Document = Record<string, unknown>

export const isDocument = (value: unknown): value is Document => typeof value === 'object' && value !== null
