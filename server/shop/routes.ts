import { Router } from 'express'
import { readWith, ShopSettings } from '../../contract/index.ts'
import { sendProblem } from '../http/problem.ts'
import type { ShopRepository } from './repository.ts'

export function shopRoutes(shop: ShopRepository): Router {
  const router = Router()
  router.get('/grades', async (_req, res) => void res.json(await shop.grades()))
  router.get('/cloths', async (_req, res) => void res.json(await shop.cloths()))
  router.get('/settings', async (_req, res) => void res.json(await shop.settings()))
  router.put('/settings', async (req, res) => {
    const settings = readWith(ShopSettings, req.body)
    if (!settings.ok) return sendProblem(res, 'bad-document', { detail: `${settings.faults[0]!.path} ${settings.faults[0]!.message}`, faults: settings.faults })
    await shop.saveSettings(settings.value)
    res.json(settings.value)
  })
  return router
}
