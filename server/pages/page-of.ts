import { existsSync, readFileSync } from 'node:fs'
import path from 'node:path'
import { z } from 'zod'

/** What the build writes of each part of the interface: its file, the parts it imports, its styles. */
const Manifest = z.record(
  z.string(),
  z.object({ file: z.string(), imports: z.array(z.string()).default([]), css: z.array(z.string()).default([]) }),
)
type Manifest = z.infer<typeof Manifest>

const A_JOB = /^\/jobs\/([\w-]{1,64})(?:\/([a-z-]{1,20}))?\/?$/
/** What every page of a job reads from the shop. */
const SHOP_READS = ['shop/grades', 'shop/cloths', 'shop/foam-stock', 'stock/trims', 'shop/settings']

/**
 * The page by its address. That of a job names what its view will ask for, parts and records alike, so that they come
 * beside the first parts and not after them.
 */
export function pageOf(clientDir: string): (address: string) => string {
  const html = readFileSync(path.join(clientDir, 'index.html'), 'utf8')
  const listed = path.join(clientDir, '.vite', 'manifest.json')
  const manifest = existsSync(listed) ? Manifest.parse(JSON.parse(readFileSync(listed, 'utf8'))) : {}
  return (address) => {
    const [, id, station = 'measure'] = A_JOB.exec(address) ?? []
    if (id === undefined) return html
    const hints = [...partsOf(manifest, stationPage(manifest, station)), ...readsOf(id)]
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

const readsOf = (id: string): readonly string[] =>
  [...SHOP_READS, `jobs/${id}`].map((read) => `<link rel="preload" as="fetch" crossorigin href="/api/${read}">`)
