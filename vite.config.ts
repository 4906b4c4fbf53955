import vue from '@vitejs/plugin-vue'
import { defineConfig } from 'vite'
import { templateWords } from './scripts/template-words.ts'

export default defineConfig({
  root: 'client',
  plugins: [vue({ template: { compilerOptions: { nodeTransforms: [templateWords] } } })],
  worker: { format: 'es' },
  optimizeDeps: { include: ['highs'] },
  build: { outDir: '../dist/client', emptyOutDir: true, chunkSizeWarningLimit: 900 },
  server: { port: 4174, proxy: { '/api': 'http://127.0.0.1:4173' } },
})
