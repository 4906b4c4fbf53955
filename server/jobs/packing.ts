import { deflateRawSync, inflateRawSync } from 'node:zlib'

/** So many revisions share one whole one. */
export const A_CHAPTER = 40

/** The whole revision that the chapter of a revision begins with. */
export const chapterOf = (revision: number): number => revision - ((revision - 1) % A_CHAPTER)

/**
 * A document as what it differs in from another one. Two revisions of a job are nearly the same text, and DEFLATE takes
 * the other one as its dictionary (RFC 1951; the last 32 KiB of it): a save of one figure comes to some dozens of
 * bytes.
 */
export const packed = (document: string, on: string): Buffer =>
  deflateRawSync(document, { level: 9, dictionary: Buffer.from(on) })

/** The document again. @throws Error where bytes or dictionary are not those it was packed with. */
export const unpacked = (bytes: Uint8Array, on: string): string =>
  inflateRawSync(bytes, { dictionary: Buffer.from(on), maxOutputLength: LARGEST }).toString('utf8')

const LARGEST = 64 * 1024 * 1024
