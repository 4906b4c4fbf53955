import { Router, type Response } from 'express'
import { z } from 'zod'
import { CreateJob, readJob, readWith, SaveJob, type Job } from '../../contract/index.ts'
import { sendProblem } from '../http/problem.ts'
import type { JobsRepository } from './repository.ts'

const RevisionNumber = z.coerce.number().int().min(1)

/** Jobs: list, open, start, save on top of a known revision, history, export. */
export function jobRoutes(jobs: JobsRepository): Router {
  const router = Router()
  router.get('/', async (req, res) => void res.json(await jobs.list(req.query['for'] === 'shelf')))

  router.post('/', async (req, res) => {
    const body = readWith(CreateJob, req.body)
    if (!body.ok) return sendProblem(res, 'bad-request', { detail: body.faults[0]!.message, faults: body.faults })
    const job = soundJob(body.value.job, res)
    if (!job) return
    const stored = await jobs.create(job, body.value.reason)
    res.status(201).location(`/api/jobs/${stored.id}`).json(stored)
  })

  router.get('/:id', async (req, res) => {
    const stored = await jobs.find(req.params.id)
    if (!stored) return sendProblem(res, 'not-found', { detail: 'No job has this id.' })
    res.json(stored)
  })

  router.put('/:id', async (req, res) => {
    const body = readWith(SaveJob, req.body)
    if (!body.ok) return sendProblem(res, 'bad-request', { detail: body.faults[0]!.message, faults: body.faults })
    const job = soundJob(body.value.job, res)
    if (!job) return
    const outcome = await jobs.save(req.params.id, job, body.value.baseRevision, body.value.reason)
    switch (outcome.kind) {
      case 'saved':
        return void res.json(outcome.stored)
      case 'unknown':
        return sendProblem(res, 'not-found', { detail: 'No job has this id.' })
      case 'conflict':
        return sendProblem(res, 'newer-revision', { detail: `Revision ${outcome.theirs.revision} was saved in between; this edit started from ${body.value.baseRevision}.`, baseRevision: body.value.baseRevision, theirs: outcome.theirs })
      default:
        return outcome satisfies never
    }
  })

  router.get('/:id/revisions', async (req, res) => {
    const revisions = await jobs.revisions(req.params.id)
    if (revisions.length === 0) return sendProblem(res, 'not-found', { detail: 'No job has this id.' })
    res.json(revisions)
  })

  router.get('/:id/revisions/:revision', async (req, res) => {
    const revision = RevisionNumber.safeParse(req.params.revision)
    const stored = revision.success ? await jobs.findRevision(req.params.id, revision.data) : null
    if (!stored) return sendProblem(res, 'not-found', { detail: 'No such revision of this job.' })
    res.json(stored)
  })

  router.get('/:id/file', async (req, res) => {
    const stored = await jobs.find(req.params.id)
    if (!stored) return sendProblem(res, 'not-found', { detail: 'No job has this id.' })
    res.attachment(`${stored.job.ticket.replaceAll(/[^A-Za-z0-9-]+/g, '-')}.job.json`).type('application/json').send(`${JSON.stringify(stored.job, null, 2)}\n`)
  })
  return router
}

/** The job, or null when the problem has been answered. */
function soundJob(document: unknown, res: Response): Job | null {
  const read = readJob(document)
  if (read.ok) return read.value
  sendProblem(res, 'bad-document', { detail: `${read.faults[0]!.path} ${read.faults[0]!.message}`, faults: read.faults })
  return null
}
