import { defineConfig } from 'drizzle-kit'

export default defineConfig({ dialect: 'sqlite', schema: './server/db/tables.ts', out: './server/db/migrations' })
