import { createHash } from 'node:crypto'
import { readdirSync, readFileSync } from 'node:fs'
import path from 'node:path'
import { defineConfig } from 'vite'

const BUILT = 'dist/client'

/** What the build tells the server of its parts is not handed out. */
const isForTheServer = (folder: string) => folder.split(path.sep).some((part) => part.startsWith('.'))

/** What a page needs without a network: every built file, those without a hash in their name with one of their own. */
const shell = () =>
  readdirSync(BUILT, { recursive: true, withFileTypes: true })
    .filter((e) => e.isFile() && e.name !== 'service-worker.js' && !isForTheServer(e.parentPath))
    .map((e) => {
      const file = path.join(e.parentPath, e.name)
      const url = `/${path.relative(BUILT, file).split(path.sep).join('/')}`
      const hash = createHash('sha256').update(readFileSync(file)).digest('hex').slice(0, 16)
      return { url, revision: url.startsWith('/assets/') ? null : hash }
    })

/** The service worker, built beside the page when the page is there. */
export default defineConfig({
  publicDir: false,
  define: { __SHELL__: JSON.stringify(shell()), 'process.env.NODE_ENV': '"production"' },
  build: {
    outDir: BUILT,
    emptyOutDir: false,
    rollupOptions: {
      input: 'client/offline/service-worker.ts',
      output: { entryFileNames: 'service-worker.js', format: 'iife' },
    },
  },
})
