import vue from '@vitejs/plugin-vue'
import { defineConfig } from 'vite'
import { templateWords } from './scripts/template-words.ts'

/** A part that several pages share is named by none of them. */
const shortName = (name: string): string => name.replace(/^(shared)~.*$/, '$1')

export default defineConfig({
  root: 'client',
  plugins: [vue({ template: { compilerOptions: { nodeTransforms: [templateWords] } } })],
  worker: { format: 'es' },
  optimizeDeps: { include: ['highs'] },
  build: {
    outDir: '../dist/client',
    emptyOutDir: true,
    manifest: true,
    chunkSizeWarningLimit: 900,
    rolldownOptions: {
      output: {
        chunkFileNames: ({ name }) => `assets/${shortName(name)}-[hash].js`,
        // Some eighty small files take longer than a dozen of a fair size, however near the server is.
        codeSplitting: {
          groups: [
            { name: 'first', tags: ['$initial'] },
            {
              name: 'shared',
              test: /[\\/](client|core|contract)[\\/]/,
              minShareCount: 2,
              entriesAware: true,
              entriesAwareMergeThreshold: 60_000,
            },
          ],
        },
      },
    },
  },
  server: { port: 4174, proxy: { '/api': 'http://127.0.0.1:4173' } },
})
