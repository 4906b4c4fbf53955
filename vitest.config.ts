import vue from '@vitejs/plugin-vue'
import { defineConfig } from 'vitest/config'

export default defineConfig({
  plugins: [vue()],
  test: { include: ['{core,contract,server,client,commands,scripts}/**/*.test.ts'], testTimeout: 30_000 },
})
