import { Router, type Response } from 'express'
import { z } from 'zod'
import { ChangeOf, Cloth, FoamStock, Grade, ShopSettings } from '../../contract/index.ts'
import { clothFaults } from '../../core/cloth/index.ts'
import { sendFaults, sendProblem } from '../http/problem.ts'
import { readChange, readChanges, type ChangeOutcome } from './merged-change.ts'
import type { ShopRepository } from './repository.ts'

/** The lists of the shop over HTTP: read, changed over what was read, taken out. */
export function shopRoutes(shop: ShopRepository): Router {
  const router = Router()

  router.get('/grades', async (_req, res) => void res.json(await shop.grades.list()))
  router.get('/cloths', async (_req, res) => void res.json(await shop.cloths.list()))
  router.put('/cloths/:id', async (req, res) => {
    const change = readChange(Cloth, req.body)
    if (!change.ok) return sendFaults(res, change.faults)
    const { value } = change.value
    if (value.id !== req.params.id) return sendFaults(res, OTHER_ID)
    const faults = clothFaults(value)
    if (faults.length > 0) return sendFaults(res, faults)
    sendOutcome(res, await shop.cloths.change([change.value]), ([kept]) => kept)
  })
  router.delete('/cloths/:id', async (req, res) => {
    const list = await shop.cloths.list()
    if (!list.some((c) => c.id === req.params.id))
      return sendProblem(res, 'not-found', { detail: 'No cloth has this id.' })
    if (list.length === 1)
      return sendProblem(res, 'in-use', { detail: 'It is the last cloth; new jobs start with one.' })
    await shop.cloths.remove(req.params.id)
    res.status(204).end()
  })
  router.get('/settings', async (_req, res) => void res.json(await shop.settings()))
  router.put('/settings', async (req, res) => {
    const change = readChange(ShopSettings, req.body)
    if (!change.ok) return sendFaults(res, change.faults)
    sendOutcome(res, await shop.changeSettings(change.value), (kept) => kept)
  })
  router.put('/grades', async (req, res) => {
    const list = readChanges(Grades, req.body)
    if (!list.ok) return sendFaults(res, list.faults)
    const outcome = await shop.grades.change(list.value)
    const all = await shop.grades.list()
    sendOutcome(res, outcome, () => all)
  })
  router.delete('/grades/:id', async (req, res) => {
    const needs = (await shop.foamStock.list()).filter((s) => s.gradeId === req.params.id)
    if (needs.length > 0)
      return sendProblem(res, 'in-use', {
        detail: `In stock there is still ${needs.map((s) => s.name).join(', ')} of this grade: take that out first.`,
      })
    const grades = await shop.grades.list()
    if (!grades.some((g) => g.id === req.params.id))
      return sendProblem(res, 'not-found', { detail: 'No grade has this id.' })
    if (grades.length === 1)
      return sendProblem(res, 'in-use', { detail: 'It is the last grade; new jobs start with one.' })
    await shop.grades.remove(req.params.id)
    res.status(204).end()
  })
  router.get('/foam-stock', async (_req, res) => void res.json(await shop.foamStock.list()))
  router.put('/foam-stock/:id', async (req, res) => {
    const change = readChange(FoamStock, req.body)
    if (!change.ok) return sendFaults(res, change.faults)
    const { value } = change.value
    if (value.id !== req.params.id) return sendFaults(res, OTHER_ID)
    if (!(await shop.grades.list()).some((g) => g.id === value.gradeId))
      return sendFaults(res, [{ path: '$.gradeId', message: 'is not a grade of the catalogue' }])
    sendOutcome(res, await shop.foamStock.change([change.value]), ([kept]) => kept)
  })
  router.delete('/foam-stock/:id', async (req, res) => {
    await shop.foamStock.remove(req.params.id)
    res.status(204).end()
  })
  return router
}

/** Answers with what was kept, or with why not. */
export function sendOutcome<T>(res: Response, outcome: ChangeOutcome<T>, shown: (kept: T) => unknown): void {
  switch (outcome.kind) {
    case 'kept':
      return void res.json(shown(outcome.value))
    case 'bad-document':
      return sendFaults(res, outcome.faults)
    case 'conflict':
      return sendProblem(res, 'newer-revision', {
        detail:
          outcome.theirs === null
            ? 'It was taken out meanwhile. Nothing was changed; put it in anew if it is wanted.'
            : `Somebody changed the same of it meanwhile (${outcome.where}). Nothing was changed: open it again, and see.`,
        theirs: outcome.theirs,
      })
    default:
      return outcome satisfies never
  }
}

const OTHER_ID = [{ path: '$.id', message: 'is not the id of the address' }]

/** Ids once each, so that a list cannot say two things of one grade. */
const Grades = z
  .array(ChangeOf(Grade))
  .min(1)
  .max(1000, 'are more than 1000 at once: put them in by parts')
  .superRefine((list, context) => {
    const seen = new Set<string>()
    list.forEach(({ value: g }, i) => {
      if (seen.has(g.id))
        context.addIssue({ code: 'custom', path: [i, 'value', 'id'], message: `"${g.name}" is listed twice` })
      seen.add(g.id)
    })
  })
