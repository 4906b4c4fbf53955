import { Router, type Request, type Response } from 'express'
import { z } from 'zod'
import { CreateJob, readWith, SaveJob, type Job } from '../../contract/index.ts'
import { sendFaults, sendProblem } from '../http/problem.ts'
import { actId } from '../http/act-id.ts'
import type { JobReader } from './long-documents.ts'
import type { JobsRepository } from './repository.ts'
import type { Summaries } from './summaries.ts'

const RevisionNumber = z.coerce.number().int().min(1)

/** Jobs: list, open, start, save on top of a known revision, history, export. */
export function jobRoutes(jobs: JobsRepository, summaries: Summaries, reader: JobReader): Router {
  const router = Router()
  router.get('/', async (req, res) => {
    const { json, gzip, tag } = await summaries.list(req.query['for'] === 'shelf' ? 'shelf' : 'whole')
    res.set({ etag: tag, vary: 'accept-encoding', 'cache-control': 'no-cache, private' })
    if (req.headers['if-none-match'] === tag) return void res.status(304).end()
    const isPacked = req.acceptsEncodings('gzip') === 'gzip'
    if (isPacked) res.set('content-encoding', 'gzip')
    res.type('application/json').send(isPacked ? gzip : json)
  })

  router.post('/', async (req, res) => {
    const body = readWith(CreateJob, req.body)
    if (!body.ok) return sendFaults(res, body.faults, 'bad-request')
    const job = await soundJob(body.value.job, req, res)
    if (!job) return
    const stored = await jobs.create(job, body.value.reason, actId(req))
    res.status(201).location(`/api/jobs/${stored.id}`).json(stored)
  })

  router.get('/:id', async (req, res) => {
    const text = await jobs.findText(req.params.id)
    if (text === null) return sendProblem(res, 'not-found', { detail: 'No job has this id.' })
    res.type('application/json').send(text)
  })

  router.put('/:id', async (req, res) => {
    const body = readWith(SaveJob, req.body)
    if (!body.ok) return sendFaults(res, body.faults, 'bad-request')
    const job = await soundJob(body.value.job, req, res)
    if (!job) return
    const outcome = await jobs.save(req.params.id, job, body.value.baseRevision, body.value.reason)
    switch (outcome.kind) {
      case 'saved':
        return void res.json(outcome.stored)
      case 'unknown':
        return sendProblem(res, 'not-found', { detail: 'No job has this id.' })
      case 'conflict':
        return sendProblem(res, 'newer-revision', {
          detail: `Revision ${outcome.theirs.revision} was saved in between; this edit started from ${body.value.baseRevision}.`,
          baseRevision: body.value.baseRevision,
          theirs: outcome.theirs,
          arrived: outcome.arrived,
        })
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
    res
      .attachment(`${stored.job.ticket.replaceAll(/[^A-Za-z0-9-]+/g, '-')}.job.json`)
      .type('application/json')
      .send(`${JSON.stringify(stored.job, null, 2)}\n`)
  })
  /** The job, or null when the problem has been answered. */
  async function soundJob(document: unknown, req: Request, res: Response): Promise<Job | null> {
    const read = await reader.read(document, Number(req.headers['content-length'] ?? 0))
    if (read.ok) return read.value
    sendFaults(res, read.faults)
    return null
  }
  return router
}
