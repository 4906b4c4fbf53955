import { defineConfig } from '@playwright/test'
import { CHROMIUM } from './scripts/chromium.mjs'

const PORT = Number(process.env['E2E_PORT'] ?? 4319)

export default defineConfig({
  testDir: 'e2e',
  timeout: 45_000,
  workers: 1,
  outputDir: 'test-results',
  use: { baseURL: `http://127.0.0.1:${PORT}`, launchOptions: CHROMIUM, viewport: { width: 1280, height: 800 } },
  webServer: {
    command: 'node e2e/serve.mjs',
    url: `http://127.0.0.1:${PORT}/api/health`,
    env: { PORT: String(PORT) },
    reuseExistingServer: false,
  },
})
