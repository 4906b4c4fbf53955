import { Router, type Response } from 'express'
import { z } from 'zod'
import { Cloth, FoamStock, Grade, readWith, ShopSettings, type Fault } from '../../contract/index.ts'
import { clothFaults } from '../../core/cloth/index.ts'
import { sendProblem } from '../http/problem.ts'
import type { ShopRepository } from './repository.ts'

export function shopRoutes(shop: ShopRepository): Router {
  const router = Router()
  router.get('/grades', async (_req, res) => void res.json(await shop.grades()))
  router.get('/cloths', async (_req, res) => void res.json(await shop.cloths()))
  router.put('/cloths/:id', async (req, res) => {
    const cloth = readWith(Cloth, req.body)
    if (!cloth.ok) return refuse(res, cloth.faults)
    if (cloth.value.id !== req.params.id) return refuse(res, [{ path: '$.id', message: 'is not the id of the address' }])
    const faults = clothFaults(cloth.value)
    if (faults.length > 0) return refuse(res, faults)
    await shop.saveCloth(cloth.value)
    res.json(cloth.value)
  })
  router.delete('/cloths/:id', async (req, res) => {
    const list = await shop.cloths()
    if (!list.some((c) => c.id === req.params.id)) return sendProblem(res, 'not-found', { detail: 'No cloth has this id.' })
    if (list.length === 1) return sendProblem(res, 'in-use', { detail: 'It is the last cloth; new jobs start with one.' })
    await shop.removeCloth(req.params.id)
    res.status(204).end()
  })
  router.get('/settings', async (_req, res) => void res.json(await shop.settings()))
  router.put('/settings', async (req, res) => {
    const settings = readWith(ShopSettings, req.body)
    if (!settings.ok) return refuse(res, settings.faults)
    await shop.saveSettings(settings.value)
    res.json(settings.value)
  })
  router.put('/grades', async (req, res) => {
    const list = readWith(Grades, req.body)
    if (!list.ok) return refuse(res, list.faults)
    await shop.saveGrades(list.value)
    res.json(await shop.grades())
  })
  router.delete('/grades/:id', async (req, res) => {
    const needs = (await shop.foamStock()).filter((s) => s.gradeId === req.params.id)
    if (needs.length > 0) return sendProblem(res, 'in-use', { detail: `In stock there is still ${needs.map((s) => s.name).join(', ')} of this grade: take that out first.` })
    const grades = await shop.grades()
    if (!grades.some((g) => g.id === req.params.id)) return sendProblem(res, 'not-found', { detail: 'No grade has this id.' })
    if (grades.length === 1) return sendProblem(res, 'in-use', { detail: 'It is the last grade; new jobs start with one.' })
    await shop.removeGrade(req.params.id)
    res.status(204).end()
  })

  router.get('/foam-stock', async (_req, res) => void res.json(await shop.foamStock()))
  router.put('/foam-stock/:id', async (req, res) => {
    const piece = readWith(FoamStock, req.body)
    if (!piece.ok) return refuse(res, piece.faults)
    if (piece.value.id !== req.params.id) return refuse(res, [{ path: '$.id', message: 'is not the id of the address' }])
    if (!(await shop.grades()).some((g) => g.id === piece.value.gradeId)) return refuse(res, [{ path: '$.gradeId', message: 'is not a grade of the catalogue' }])
    await shop.saveFoamStock(piece.value)
    res.json(piece.value)
  })
  router.delete('/foam-stock/:id', async (req, res) => {
    await shop.removeFoamStock(req.params.id)
    res.status(204).end()
  })
  return router
}

/** Ids once each, so that a list cannot say two things of one grade. */
const Grades = z
  .array(Grade)
  .min(1)
  .max(5000)
  .superRefine((list, context) => {
    const seen = new Set<string>()
    list.forEach((g, i) => {
      if (seen.has(g.id)) context.addIssue({ code: 'custom', path: [i, 'id'], message: `"${g.name}" is listed twice` })
      seen.add(g.id)
    })
  })

const refuse = (res: Response, faults: readonly Fault[]): void => sendProblem(res, 'bad-document', { detail: `${faults[0]!.path} ${faults[0]!.message}`, faults })
