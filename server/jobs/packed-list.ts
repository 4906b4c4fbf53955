import { constants, crc32, deflateRawSync } from 'node:zlib'

/** Some lines of a list, as they are and packed. */
export interface Chunk {
  readonly text: string
  readonly json: Buffer
  readonly packed: Buffer
}

const LINES_IN_ONE = 100

/**
 * A JSON list in chunks, each packed by itself: of thousands of lines only the chunks that changed are packed anew.
 * Blocks that end with a full flush stand by themselves and may follow each other in one stream (RFC 1951, section
 * 2.3).
 */
export function chunksOf(lines: readonly string[], before: readonly Chunk[]): readonly Chunk[] {
  const chunks: Chunk[] = []
  for (let from = 0; from < Math.max(1, lines.length); from += LINES_IN_ONE) {
    const isLast = from + LINES_IN_ONE >= lines.length
    const text = `${from === 0 ? '[' : ','}${lines.slice(from, from + LINES_IN_ONE).join(',')}${isLast ? ']' : ''}`
    const own = before[chunks.length]
    chunks.push(own?.text === text ? own : chunkOf(text))
  }
  return chunks
}

function chunkOf(text: string): Chunk {
  const json = Buffer.from(text)
  return { text, json, packed: deflateRawSync(json, { level: 5, finishFlush: constants.Z_FULL_FLUSH }) }
}

/** A gzip header that names no file and no time, and the empty block that ends a stream. */
const HEAD = Buffer.from([0x1f, 0x8b, 8, 0, 0, 0, 0, 0, 0, 0xff])
const END = Buffer.from([0x03, 0x00])

/** The chunks as one gzip file (RFC 1952), with the sum and the length of what is in it. */
export function gzipOf(chunks: readonly Chunk[], json: Buffer): Buffer {
  const tail = Buffer.alloc(8)
  tail.writeUInt32LE(crc32(json), 0)
  tail.writeUInt32LE(json.length % 2 ** 32, 4)
  return Buffer.concat([HEAD, ...chunks.map((c) => c.packed), END, tail])
}
