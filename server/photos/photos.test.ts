import { randomUUID } from 'node:crypto'
import { deflateSync } from 'node:zlib'
import request from 'supertest'
import { afterAll, beforeAll, expect, it } from 'vitest'
import { StoredJob, type JobSummary } from '../../contract/index.ts'
import { jpegOf } from '../testing/pictures.ts'
import { openTestShop, type TestShop } from '../testing/running-app.ts'
import { imageType } from './image-type.ts'
import { readPicture } from './picture.ts'

let shop: TestShop
let jobId = ''
const api = () => request(shop.address)
beforeAll(async () => {
  shop = await openTestShop()
  jobId = ((await api().get('/api/jobs')).body as JobSummary[])[0]!.id
})
afterAll(() => shop.end())

const JPEG = jpegOf(640, 480)
const send = (bytes: Buffer, id = jobId, act: string = randomUUID()) =>
  api().post(`/api/photos/of/${id}`).set({ 'content-type': 'image/jpeg', 'x-act': act }).send(bytes)
const sent = async (bytes = JPEG) => ((await send(bytes).expect(201)).body as { id: string }).id

it('a photo is kept and shown by its content, to nobody else from a store, and can be taken out', async () => {
  const id = await sent()
  const shown = await api().get(`/api/photos/${id}`)
  expect([
    shown.headers['content-type'],
    Buffer.from(shown.body as Buffer).equals(JPEG),
    shown.headers['x-content-type-options'],
    shown.headers['cache-control'],
  ]).toEqual(['image/jpeg', true, 'nosniff', 'no-store'])
  await api().delete(`/api/photos/${id}`).expect(204)
  await api().get(`/api/photos/${id}`).expect(404)
})

it('one that a revision shows stays when it is taken out: undo brings it back', async () => {
  const id = await sent()
  const { job, revision } = StoredJob.parse((await api().get(`/api/jobs/${jobId}`)).body)
  const save = (photos: readonly object[], base: number) =>
    api()
      .put(`/api/jobs/${jobId}`)
      .send({ job: { ...job, fitting: { ...job.fitting, photos } }, baseRevision: base, reason: '' })
      .expect(200)
  await save([{ id, caption: '', day: '2026-03-02' }], revision)
  await save([], revision + 1)
  await save([], revision + 2)
  await api().delete(`/api/photos/${id}`).expect(204)
  await api().get(`/api/photos/${id}`).expect(200)
})

it('one that is sent twice, because its answer was lost, is kept once', async () => {
  const act = randomUUID()
  const ids = [await send(JPEG, jobId, act), await send(JPEG, jobId, act)].map((r) => (r.body as { id: string }).id)
  expect(ids).toEqual([act, act])
})

it.each<[string, Buffer, number, RegExp]>([
  ['a text file called a picture', Buffer.from('I am not a picture, whatever my name says'), 422, /no picture/],
  ['a page called a picture', Buffer.from('<html><script>alert(1)</script></html>'), 422, /no picture/],
  ['40 MB', Buffer.concat([JPEG, Buffer.alloc(40 * 1024 * 1024)]), 413, /At most 2097152 bytes/],
  ['nothing', Buffer.alloc(0), 422, /no picture/],
  ['half of a picture', JPEG.subarray(0, 30), 422, /cut off or damaged/],
  ['65 000 by 65 000 pixels', jpegOf(65_000, 65_000), 422, /24 megapixels/],
])('%s is refused in words', async (_name, bytes, status, says) => {
  const res = await send(bytes)
  expect([res.status, res.body.detail]).toEqual([status, expect.stringMatching(says)])
})

it('of a job that is not there is refused', async () => {
  await send(JPEG, 'nobody').expect(404)
})

it('what the camera wrote of place and owner does not come into the shop, and the picture is what it was', async () => {
  const said = 'GPSLatitude 54.1 Owner'
  const id = await sent(jpegOf(640, 480, said))
  const kept = Buffer.from((await api().get(`/api/photos/${id}`)).body as Buffer)
  expect(kept.equals(JPEG)).toBe(true)
})

it('texts of a PNG and of a WebP go as well', () => {
  const chunk = (name: string, body: Buffer) => {
    const head = Buffer.alloc(8)
    head.writeUInt32BE(body.length)
    head.write(name, 4, 'latin1')
    return Buffer.concat([head, body, Buffer.alloc(4)])
  }
  const header = Buffer.from([0, 0, 0, 2, 0, 0, 0, 3, 8, 2, 0, 0, 0])
  const png = (...said: Buffer[]) =>
    Buffer.concat([
      Buffer.from([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a]),
      chunk('IHDR', header),
      ...said,
      chunk('IDAT', deflateSync(Buffer.alloc(20))),
      chunk('IEND', Buffer.alloc(0)),
    ])
  const read = readPicture(png(chunk('tEXt', Buffer.from('GPS here')), chunk('eXIf', Buffer.from('GPS there'))))
  expect(read.ok && read.value.bytes.equals(png())).toBe(true)

  const riff = (name: string, body: Buffer) => {
    const head = Buffer.alloc(8)
    head.write(name, 0, 'latin1')
    head.writeUInt32LE(body.length, 4)
    return Buffer.concat([head, body, Buffer.alloc(body.length % 2)])
  }
  const webp = (flags: number, ...said: Buffer[]) => {
    const body = Buffer.concat([
      Buffer.from('WEBP'),
      riff('VP8X', Buffer.from([flags, 0, 0, 0, 9, 0, 0, 9, 0, 0])),
      riff('VP8L', Buffer.from([0x2f, 9, 0x40, 2, 0, 1])),
      ...said,
    ])
    return riff('RIFF', body)
  }
  const cleaned = readPicture(webp(0x0c, riff('EXIF', Buffer.from('GPS here')), riff('XMP ', Buffer.from('GPS'))))
  expect(cleaned.ok && cleaned.value.bytes.equals(webp(0))).toBe(true)
})

it('knows the pictures of browsers by their first bytes', () => {
  expect(imageType(Buffer.from('RIFF0000WEBPVP8 '))).toBe('image/webp')
  expect(imageType(Buffer.from('RIFF0000WAVEfmt '))).toBeNull()
  expect(imageType(Buffer.from('GIF89a0000000000'))).toBeNull()
})
