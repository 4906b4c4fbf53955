import request from 'supertest'
import { afterAll, beforeAll, expect, it } from 'vitest'
import type { JobSummary } from '../../contract/index.ts'
import { openTestShop, type TestShop } from '../testing/running-app.ts'
import { imageType } from './image-type.ts'

let shop: TestShop
let jobId = ''
const api = () => request(shop.address)
beforeAll(async () => {
  shop = await openTestShop()
  jobId = ((await api().get('/api/jobs')).body as JobSummary[])[0]!.id
})
afterAll(() => shop.end())

const JPEG = Buffer.concat([Buffer.from([0xff, 0xd8, 0xff, 0xe0]), Buffer.alloc(200, 7)])
const send = (bytes: Buffer, id = jobId) => api().post(`/api/photos/of/${id}`).set('content-type', 'image/jpeg').send(bytes)

it('a photo is kept and shown by its content, and can be taken out', async () => {
  const { id } = (await send(JPEG).expect(201)).body as { id: string }
  const shown = await api().get(`/api/photos/${id}`)
  expect([shown.headers['content-type'], Buffer.from(shown.body as Buffer).equals(JPEG), shown.headers['x-content-type-options']]).toEqual(['image/jpeg', true, 'nosniff'])
  await api().delete(`/api/photos/${id}`).expect(204)
  await api().get(`/api/photos/${id}`).expect(404)
})

it.each<[string, Buffer, number, RegExp]>([
  ['a text file called a picture', Buffer.from('I am not a picture, whatever my name says'), 422, /no picture/],
  ['a page called a picture', Buffer.from('<html><script>alert(1)</script></html>'), 422, /no picture/],
  ['40 MB', Buffer.concat([JPEG, Buffer.alloc(40 * 1024 * 1024)]), 413, /At most 2097152 bytes/],
  ['nothing', Buffer.alloc(0), 422, /no picture/],
])('%s is refused in words', async (_name, bytes, status, says) => {
  const res = await send(bytes)
  expect([res.status, res.body.detail]).toEqual([status, expect.stringMatching(says)])
})

it('of a job that is not there, and a twenty-fifth, are refused', async () => {
  await send(JPEG, 'nobody').expect(404)
  for (let i = 0; i < 24; i++) await send(JPEG).expect(201)
  const res = await send(JPEG)
  expect([res.status, res.body.detail]).toEqual([422, expect.stringMatching(/24 photos of this job already/)])
})

it('knows the pictures of browsers by their first bytes', () => {
  expect(imageType(Buffer.from('RIFF0000WEBPVP8 '))).toBe('image/webp')
  expect(imageType(Buffer.from('RIFF0000WAVEfmt '))).toBeNull()
  expect(imageType(Buffer.from('GIF89a0000000000'))).toBeNull()
})
