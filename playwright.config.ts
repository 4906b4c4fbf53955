import { defineConfig } from '@playwright/test'
import { CHROMIUM } from './scripts/chromium.mjs'

export default defineConfig({
  testDir: 'e2e',
  // Patience for a machine that is busy with other things: what is right passes as fast as before.
  timeout: 240_000,
  expect: { timeout: 30_000 },
  workers: 1,
  outputDir: 'test-results',
  // Pages answer from the shop itself; what stands without it has a test of its own.
  use: { serviceWorkers: 'block', launchOptions: CHROMIUM, viewport: { width: 1280, height: 800 } },
})
