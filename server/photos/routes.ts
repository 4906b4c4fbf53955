import express, { Router } from 'express'
import { actId } from '../http/act-id.ts'
import { bodyLimit } from '../http/body-limit.ts'
import { sendProblem } from '../http/problem.ts'
import { readPicture } from './picture.ts'
import { MOST_KEPT, type PhotosRepository } from './repository.ts'

/** Pages make pictures smaller before they send them; a larger one did not come from a page. */
export const LARGEST_PHOTO = 2 * 1024 * 1024

/** Photos: kept by their content, not by their name. */
export function photoRoutes(photos: PhotosRepository): Router {
  const router = Router()
  router.post(
    '/of/:jobId',
    bodyLimit(LARGEST_PHOTO),
    express.raw({ type: () => true, limit: LARGEST_PHOTO }),
    async (req, res) => {
      const picture = readPicture(Buffer.isBuffer(req.body) ? req.body : Buffer.alloc(0))
      if (!picture.ok) return sendProblem(res, 'bad-document', { detail: picture.error })
      const outcome = await photos.keep(String(req.params['jobId']), picture.value, actId(req))
      if (outcome.kind === 'no-job') return sendProblem(res, 'not-found', { detail: 'No job has this id.' })
      if (outcome.kind === 'too-many')
        return sendProblem(res, 'bad-document', {
          detail: `There are ${MOST_KEPT} photos of this job already, those of its history among them.`,
        })
      res.status(201).json({ id: outcome.id })
    },
  )
  router.get('/:id', async (req, res) => {
    const photo = await photos.find(req.params.id)
    if (!photo) return sendProblem(res, 'not-found', { detail: 'No photo has this id.' })
    res.type(photo.type).set('content-disposition', 'inline').send(photo.bytes)
  })
  router.delete('/:id', async (req, res) => {
    await photos.remove(req.params.id)
    res.status(204).end()
  })
  return router
}
