import { isLost, newAct } from '../api/http.ts'
import { removePhoto, sendPhoto } from '../api/records.ts'

/** Where photos wait that were taken while the shop could not be reached, each under its job and its own id. */
const LEFT_PHOTOS = 'left-photos'
const placeOf = (jobId: string, id: string): string => `/left/${encodeURIComponent(jobId)}/${id}`

/**
 * Keeps a photo of a job in the shop, or here until the shop can be reached. Its id. @throws ApiError when it is refused,
 * or this browser keeps nothing of the kind.
 */
export async function addPhoto(jobId: string, photo: Blob): Promise<string> {
  const id = newAct()
  await sendPhoto(jobId, photo, id).catch(async (cause: unknown) => {
    if (!isLost(cause) || !(await keepPhoto(jobId, id, photo))) throw cause
  })
  return id
}

/** Takes a photo out, wherever it is. */
export async function dropPhoto(jobId: string, id: string): Promise<void> {
  const isHere = 'caches' in globalThis && (await (await caches.open(LEFT_PHOTOS)).delete(placeOf(jobId, id)))
  if (!isHere) await removePhoto(id)
}

async function keepPhoto(jobId: string, id: string, photo: Blob): Promise<boolean> {
  if (!('caches' in globalThis)) return false
  await (await caches.open(LEFT_PHOTOS)).put(placeOf(jobId, id), new Response(photo))
  return true
}

/** A photo that still waits here; null for any other. */
export async function leftPhoto(jobId: string, id: string): Promise<Blob | null> {
  if (!('caches' in globalThis)) return null
  const kept = await (await caches.open(LEFT_PHOTOS)).match(placeOf(jobId, id))
  return kept ? kept.blob() : null
}

/** Sends what waits, one by one; what is not taken just now waits on. */
export async function sendLeftPhotos(): Promise<void> {
  for (const { jobId, id, photo } of await waiting()) {
    const isSent = await sendPhoto(jobId, await photo(), id).then(
      () => true,
      () => false,
    )
    if (isSent) await (await caches.open(LEFT_PHOTOS)).delete(placeOf(jobId, id))
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
