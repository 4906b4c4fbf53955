import { Router } from 'express'
import { archiveRoutes } from './archive-routes.ts'
import { backupRoutes } from './backup-routes.ts'
import type { RecordsParts } from './parts.ts'

/** Backups, and the archive of everything: both show what they hold before they change anything. */
export const recordsRoutes = (parts: RecordsParts): Router =>
  Router().use(backupRoutes(parts)).use(archiveRoutes(parts))
