import { gunzipSync } from 'node:zlib'
import fc from 'fast-check'
import { expect, it } from 'vitest'
import { chunksOf, gzipOf } from './packed-list.ts'

const lines = fc.array(
  fc.string({ unit: 'grapheme', maxLength: 60 }).map((s) => JSON.stringify({ s })),
  { maxLength: 450 },
)

it('any list unpacks to what it is, made anew or out of an older one', () => {
  fc.assert(
    fc.property(lines, lines, (a, b) => {
      const before = chunksOf(a, [])
      for (const [list, chunks] of [
        [a, before],
        [b, chunksOf(b, before)],
      ] as const) {
        const json = Buffer.concat(chunks.map((c) => c.json))
        expect(json.toString()).toBe(`[${list.join(',')}]`)
        expect(gunzipSync(gzipOf(chunks, json)).toString()).toBe(`[${list.join(',')}]`)
      }
    }),
    { numRuns: 60 },
  )
})

it('where one line of a thousand changed, one chunk is made anew', () => {
  const list = Array.from({ length: 1000 }, (_, i) => `{"n":${i}}`)
  const before = chunksOf(list, [])
  const after = chunksOf(list.with(555, '{"n":-1}'), before)
  expect(after.map((c, i) => c === before[i])).toEqual([...Array(5).fill(true), false, ...Array(4).fill(true)])
})
