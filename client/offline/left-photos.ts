import { sendPhoto } from '../api/records.ts'

/** Where photos wait that were taken while the shop could not be reached, each under its job and its own id. */
const LEFT_PHOTOS = 'left-photos'
const placeOf = (jobId: string, id: string): string => `/left/${encodeURIComponent(jobId)}/${id}`

/** Keeps a photo until it can be sent. False where this browser keeps nothing of the kind. */
export async function keepPhoto(jobId: string, id: string, photo: Blob): Promise<boolean> {
  if (!('caches' in globalThis)) return false
  await (await caches.open(LEFT_PHOTOS)).put(placeOf(jobId, id), new Response(photo))
  return true
}

/** Photos of a job that still wait here, by their ids, as addresses of this page. */
export async function leftPhotos(jobId: string): Promise<ReadonlyMap<string, string>> {
  const own = (await waiting()).filter((w) => w.jobId === jobId)
  return new Map(await Promise.all(own.map(async (w) => [w.id, URL.createObjectURL(await w.photo())] as const)))
}

export const dropLeftPhoto = async (jobId: string, id: string): Promise<void> => {
  if ('caches' in globalThis) await (await caches.open(LEFT_PHOTOS)).delete(placeOf(jobId, id))
}

/** Sends what waits, one by one; what is not taken just now waits on. */
export async function sendLeftPhotos(): Promise<void> {
  for (const { jobId, id, photo } of await waiting()) {
    const isSent = await sendPhoto(jobId, await photo(), id).then(
      () => true,
      () => false,
    )
    if (isSent) await dropLeftPhoto(jobId, id)
  }
}

interface Waiting {
  readonly jobId: string
  readonly id: string
  readonly photo: () => Promise<Blob>
}

async function waiting(): Promise<readonly Waiting[]> {
  if (!('caches' in globalThis)) return []
  const box = await caches.open(LEFT_PHOTOS)
  return (await box.keys()).flatMap((request) => {
    const [, , jobId, id] = new URL(request.url).pathname.split('/')
    return jobId && id
      ? [{ jobId: decodeURIComponent(jobId), id, photo: async () => (await box.match(request))!.blob() }]
      : []
  })
}
