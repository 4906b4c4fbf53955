import { mkdirSync, writeFileSync } from 'node:fs'
import path from 'node:path'
import { fileURLToPath } from 'node:url'
import { SCHEMAS } from './schemas.ts'

// `npm run schemas`: writes the published JSON Schemas from the Zod schemas.
const folder = path.resolve(path.dirname(fileURLToPath(import.meta.url)), '../docs/formats')
mkdirSync(folder, { recursive: true })
for (const [file, text] of Object.entries(SCHEMAS)) writeFileSync(path.join(folder, file), text)
