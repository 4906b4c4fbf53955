import vue from '@vitejs/plugin-vue'
import { defineConfig } from 'vitest/config'

export default defineConfig({
  plugins: [vue()],
  test: {
    include: ['{core,contract,server,client,commands,scripts,bench}/**/*.test.ts'],
    // Patience for a machine that is busy with other things.
    testTimeout: 120_000,
    hookTimeout: 120_000,
  },
})
