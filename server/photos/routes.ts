import express, { Router } from 'express'
import { MOST_PHOTOS } from '../../contract/index.ts'
import { bodyLimit } from '../http/body-limit.ts'
import { sendProblem } from '../http/problem.ts'
import { imageType } from './image-type.ts'
import type { PhotosRepository } from './repository.ts'

/** Pages make pictures smaller before they send them; a larger one did not come from a page. */
export const LARGEST_PHOTO = 2 * 1024 * 1024

/** Photos: kept by their content, not by their name. */
export function photoRoutes(photos: PhotosRepository): Router {
  const router = Router()
  router.post('/of/:jobId', bodyLimit(LARGEST_PHOTO), express.raw({ type: () => true, limit: LARGEST_PHOTO }), async (req, res) => {
    const bytes = Buffer.isBuffer(req.body) ? req.body : Buffer.alloc(0)
    const type = imageType(bytes)
    if (!type) return sendProblem(res, 'bad-document', { detail: 'This file is no picture: JPEG, PNG or WebP is taken.' })
    const outcome = await photos.keep(String(req.params['jobId']), type, bytes)
    if (outcome.kind === 'no-job') return sendProblem(res, 'not-found', { detail: 'No job has this id.' })
    if (outcome.kind === 'too-many') return sendProblem(res, 'bad-document', { detail: `There are ${MOST_PHOTOS} photos of this job already: take one out first.` })
    res.status(201).json({ id: outcome.id })
  })
  router.get('/:id', async (req, res) => {
    const photo = await photos.find(req.params.id)
    if (!photo) return sendProblem(res, 'not-found', { detail: 'No photo has this id.' })
    res.type(photo.type).set('cache-control', 'private, max-age=31536000, immutable').set('content-disposition', 'inline').send(photo.bytes)
  })
  router.delete('/:id', async (req, res) => {
    await photos.remove(req.params.id)
    res.status(204).end()
  })
  return router
}
