// The built server on a database of its own that goes with the process.
import { mkdtempSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'

process.env.DATABASE_FILE = path.join(mkdtempSync(path.join(tmpdir(), 'loft-seam-e2e-')), 'shop.db')
process.env.DEMO = '1'
process.env.LOG_LEVEL = 'warn'
await import('../dist/server/main.js')
