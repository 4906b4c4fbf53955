import { defineConfig } from '@playwright/test'
import { CHROMIUM } from './scripts/chromium.mjs'

export default defineConfig({
  testDir: 'e2e',
  timeout: 45_000,
  workers: 1,
  outputDir: 'test-results',
  use: { launchOptions: CHROMIUM, viewport: { width: 1280, height: 800 } },
})
