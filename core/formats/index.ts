import { err, type Result } from '../result/index.ts'
import { tracedOutline, type OutlineFault, type TracedOutline } from './outline-file.ts'
import { readDxf } from './read-dxf.ts'
import { readSvg } from './read-svg.ts'

/** An outline from a drawing, by the ending of its file name. */
export function readOutlineFile(name: string, text: string): Result<TracedOutline, OutlineFault> {
  const read = /\.dxf$/i.test(name) ? readDxf(text) : /\.svg$/i.test(name) ? readSvg(text) : err<OutlineFault>({ code: 'unknown-kind', name })
  return read.ok ? tracedOutline(read.value) : read
}

export { outlineFaultWords } from './fault-words.ts'
export type { OutlineFault, TracedOutline } from './outline-file.ts'
export { PAGES, tileTemplate, type Page } from './template-tiles.ts'
