import { existsSync, readFileSync } from 'node:fs'
import path from 'node:path'
import { z } from 'zod'

/** What the build writes of each part of the interface: its file, the parts it imports, its styles. */
const Manifest = z.record(
  z.string(),
  z.object({ file: z.string(), imports: z.array(z.string()).default([]), css: z.array(z.string()).default([]) }),
)
type Manifest = z.infer<typeof Manifest>

const A_JOB = /^\/jobs\/[\w-]{1,64}(?:\/([a-z-]{1,20}))?\/?$/

/**
 * The page by its address. That of a job names the parts that its view is made of, so that they come beside the first
 * ones and not after them. Its records are not asked for so early: what is saved before the page listens would be missed.
 */
export function pageOf(clientDir: string): (address: string) => string {
  const html = readFileSync(path.join(clientDir, 'index.html'), 'utf8')
  const listed = path.join(clientDir, '.vite', 'manifest.json')
  const manifest = existsSync(listed) ? Manifest.parse(JSON.parse(readFileSync(listed, 'utf8'))) : {}
  return (address) => {
    const job = A_JOB.exec(address)
    if (!job) return html
    const hints = partsOf(manifest, stationPage(manifest, job[1] ?? 'measure'))
    return html.replace('</head>', `${hints.join('\n    ')}\n  </head>`)
  }
}

/** What every page of a job is made of, its choices and dialogs with it. */
const JOB_PARTS = ['job/JobPage.vue', 'ui/element-parts.ts']
const stationPage = (manifest: Manifest, station: string): string | undefined =>
  Object.keys(manifest).find((part) => part.startsWith(`stations/${station}/`) && part.endsWith('Station.vue'))

function partsOf(manifest: Manifest, station: string | undefined): readonly string[] {
  const found = new Set<string>()
  const styles = new Set<string>()
  const walk = (part: string): void => {
    const entry = manifest[part]
    if (!entry || found.has(entry.file)) return
    found.add(entry.file)
    for (const sheet of entry.css) styles.add(sheet)
    entry.imports.forEach(walk)
  }
  for (const part of [...JOB_PARTS, station]) if (part !== undefined) walk(part)
  return [
    ...[...found].map((file) => `<link rel="modulepreload" crossorigin href="/${file}">`),
    ...[...styles].map((file) => `<link rel="preload" as="style" crossorigin href="/${file}">`),
  ]
}
