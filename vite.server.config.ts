import { defineConfig } from 'vite'

export default defineConfig({
  build: {
    ssr: true,
    outDir: 'dist/server',
    emptyOutDir: true,
    target: 'node20',
    rollupOptions: { input: { main: 'server/main.ts', 'lay-worker': 'server/lays/lay-worker.ts', 'look-worker': 'server/records/look-worker.ts' }, output: { entryFileNames: '[name].js' } },
  },
})
