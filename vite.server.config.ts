import { defineConfig } from 'vite'

export default defineConfig({
  build: {
    ssr: true,
    outDir: 'dist/server',
    emptyOutDir: true,
    target: 'node20',
    rollupOptions: {
      input: {
        main: 'server/main.ts',
        'lay-worker': 'server/lays/lay-worker.ts',
        'card-worker': 'server/cards/card-worker.ts',
        'read-worker': 'server/jobs/read-worker.ts',
        'drawing-worker': 'server/drawings/drawing-worker.ts',
        'records-worker': 'server/records/records-worker.ts',
        'look-worker': 'server/records/look-worker.ts',
      },
      // Scripts find each other beside themselves, wherever the code that names them was put.
      output: { entryFileNames: '[name].js', chunkFileNames: '[name]-[hash].js' },
    },
  },
})
