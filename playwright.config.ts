import { defineConfig } from '@playwright/test'
import { CHROMIUM } from './scripts/chromium.mjs'

export default defineConfig({
  testDir: 'e2e',
  // Patience for a machine that is busy with other things: what is right passes as fast as before.
  timeout: 240_000,
  expect: { timeout: 30_000 },
  workers: 1,
  outputDir: 'test-results',
  use: { launchOptions: CHROMIUM, viewport: { width: 1280, height: 800 } },
})
