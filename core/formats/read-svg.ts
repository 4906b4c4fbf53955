import { XMLParser, XMLValidator } from 'fast-xml-parser'
import svgpath from 'svgpath'
import { phrase } from '../language/index.ts'
import { at, distance, vertex, type Vertex } from '../outline/index.ts'
import { err, ok, type Result } from '../result/index.ts'
import type { DrawnLine, OutlineFault, ReadDrawing } from './outline-file.ts'

type Node = Readonly<Record<string, unknown>> & { readonly ':@'?: Readonly<Record<string, string>> }

/** Paths and basic shapes of an SVG drawing with their transforms, in mm by its physical size. */
export function readSvg(text: string): Result<ReadDrawing, OutlineFault> {
  const valid = XMLValidator.validate(text)
  if (valid !== true) return err({ code: 'not-readable', why: phrase`line ${valid.err.line}: ${valid.err.msg}` })
  const nodes = new XMLParser({
    ignoreAttributes: false,
    attributeNamePrefix: '',
    preserveOrder: true,
    processEntities: false,
  }).parse(text) as readonly Node[]
  const root = nodes.find((n) => 'svg' in n)
  if (!root) return err({ code: 'not-readable', why: 'it holds no svg drawing' })
  const { scale, says } = physicalScale(root[':@'] ?? {})
  const found: Found = { lines: [], bent: 0, skipped: new Map() }
  walk(root['svg'] as readonly Node[], `scale(${scale} ${-scale})`, found)
  const report = [says]
  if (found.bent > 0) report.push(phrase`${found.bent} curve${found.bent === 1 ? '' : 's'} became short straight edges`)
  for (const [name, count] of found.skipped) report.push(`${count} of <${name}> not read`)
  return ok({ lines: found.lines, report })
}

interface Found {
  readonly lines: DrawnLine[]
  bent: number
  readonly skipped: Map<string, number>
}

const MM: Readonly<Record<string, number>> = {
  mm: 1,
  cm: 10,
  in: 25.4,
  pt: 25.4 / 72,
  pc: 25.4 / 6,
  px: 25.4 / 96,
  '': 25.4 / 96,
}

/** Millimetres for a unit of the drawing: its physical width over the width of its view box. */
function physicalScale(attributes: Readonly<Record<string, string>>): {
  readonly scale: number
  readonly says: string
} {
  const [, number = '', unit = ''] = /^([\d.]+)\s*(mm|cm|in|pt|pc|px)?$/.exec((attributes['width'] ?? '').trim()) ?? []
  const view = (attributes['viewBox'] ?? '')
    .trim()
    .split(/[\s,]+/)
    .map(Number)
  const viewWidth = view.length === 4 && view[2]! > 0 ? view[2]! : null
  const width = Number(number) * MM[unit]!
  if (number !== '' && unit !== '' && unit !== 'px') {
    const scale = viewWidth === null ? MM['px']! : width / viewWidth
    return { scale, says: phrase`drawn ${Math.round(width * 10) / 10} mm wide (${number} ${unit})` }
  }
  const scale = viewWidth !== null && number !== '' ? width / viewWidth : MM['px']!
  return { scale, says: 'the drawing names no physical size: one pixel taken as 1/96 in. Check a length' }
}

const CONTAINERS = new Set(['g', 'a', 'svg', 'switch'])
const SILENT = new Set([
  'defs',
  'title',
  'desc',
  'metadata',
  'style',
  '#text',
  '#comment',
  'clipPath',
  'marker',
  'symbol',
  'mask',
  'pattern',
  'namedview',
])

function walk(nodes: readonly Node[], transform: string, found: Found): void {
  for (const node of nodes) {
    const name = Object.keys(node).find((k) => k !== ':@') ?? ''
    const attributes = node[':@'] ?? {}
    const own = attributes['transform'] ? `${transform} ${attributes['transform']}` : transform
    const local = name.replace(/^.*:/, '')
    if (CONTAINERS.has(name)) walk(node[name] as readonly Node[], own, found)
    else if (!SILENT.has(local)) {
      const d = pathOf(name, attributes)
      if (d === null) found.skipped.set(name, (found.skipped.get(name) ?? 0) + 1)
      else addPath(d, own, found)
    }
  }
}

/** Basic shapes as path data; null for what is no line. */
function pathOf(name: string, a: Readonly<Record<string, string>>): string | null {
  const n = (key: string) => Number.parseFloat(a[key] ?? '0')
  switch (name) {
    case 'path':
      return a['d'] ?? ''
    case 'rect': {
      const [x, y, w, h] = [n('x'), n('y'), n('width'), n('height')]
      const r = Math.min(n('rx') || n('ry'), w / 2, h / 2)
      return r > 0
        ? `M${x + r} ${y}h${w - 2 * r}a${r} ${r} 0 0 1 ${r} ${r}v${h - 2 * r}a${r} ${r} 0 0 1 ${-r} ${r}h${2 * r - w}a${r} ${r} 0 0 1 ${-r} ${-r}v${2 * r - h}a${r} ${r} 0 0 1 ${r} ${-r}z`
        : `M${x} ${y}h${w}v${h}h${-w}z`
    }
    case 'circle':
    case 'ellipse': {
      const [cx, cy] = [n('cx'), n('cy')]
      const [rx, ry] = name === 'circle' ? [n('r'), n('r')] : [n('rx'), n('ry')]
      return `M${cx - rx} ${cy}a${rx} ${ry} 0 0 1 ${2 * rx} 0a${rx} ${ry} 0 0 1 ${-2 * rx} 0z`
    }
    case 'line':
      return `M${n('x1')} ${n('y1')}L${n('x2')} ${n('y2')}`
    case 'polyline':
      return `M${a['points'] ?? ''}`
    case 'polygon':
      return `M${a['points'] ?? ''}z`
    default:
      return null
  }
}

/** Chords to a curve. */
const CURVE_CHORDS = 24

function addPath(d: string, transform: string, found: Found): void {
  const path = svgpath(d).transform(transform).abs().unshort()
  if ((path as unknown as { err?: string }).err) {
    found.skipped.set('path that cannot be read', (found.skipped.get('path that cannot be read') ?? 0) + 1)
    return
  }
  let vertices: Vertex[] = []
  const close = (isClosed: boolean): void => {
    if (vertices.length > 1)
      found.lines.push({
        vertices:
          isClosed && vertices.length > 2 && distance(vertices[0]!, vertices.at(-1)!) < 1e-6
            ? vertices.slice(0, -1)
            : vertices,
        isClosed,
      })
    vertices = []
  }
  const to = (x: number, y: number, bulge = 0): void => {
    const last = vertices.pop()!
    vertices.push(vertex(last, bulge), at(x, y))
  }
  const bend = (on: (t: number) => readonly [number, number]): void => {
    found.bent++
    for (let i = 1; i <= CURVE_CHORDS; i++) to(...on(i / CURVE_CHORDS))
  }
  path.iterate((segment, _i, x, y) => {
    const s = segment as readonly [string, ...number[]]
    // A flag that a mirroring transform turned comes back as text.
    const p = s.slice(1).map(Number)
    switch (s[0]) {
      case 'M':
        close(false)
        vertices = [at(p[0]!, p[1]!)]
        return
      case 'L':
        return to(p[0]!, p[1]!)
      case 'H':
        return to(p[0]!, y)
      case 'V':
        return to(x, p[0]!)
      case 'C':
        return bend((t) => bezier(t, [x, y], [p[0]!, p[1]!], [p[2]!, p[3]!], [p[4]!, p[5]!]))
      case 'Q':
        return bend((t) =>
          bezier(
            t,
            [x, y],
            [x + (2 / 3) * (p[0]! - x), y + (2 / 3) * (p[1]! - y)],
            [p[2]! + (2 / 3) * (p[0]! - p[2]!), p[3]! + (2 / 3) * (p[1]! - p[3]!)],
            [p[2]!, p[3]!],
          ),
        )
      case 'A':
        return arcTo(x, y, p, to, bend)
      case 'Z': {
        const start = vertices[0]
        close(true)
        if (start) vertices = [at(start.x, start.y)]
      }
    }
  })
  close(false)
}

/** A circular arc stays one; an elliptic one is bent by its own curves. */
function arcTo(
  x: number,
  y: number,
  p: readonly number[],
  to: (x: number, y: number, bulge?: number) => void,
  bend: (on: (t: number) => readonly [number, number]) => void,
): void {
  const [rx, ry, , large, sweep, ex, ey] = p as [number, number, number, number, number, number, number]
  const chord = Math.hypot(ex - x, ey - y)
  if (chord < 1e-9) return
  if (Math.abs(rx - ry) < 1e-6 * Math.max(rx, ry)) {
    const half = Math.asin(Math.min(1, chord / (2 * rx)))
    const turned = large ? 2 * Math.PI - 2 * half : 2 * half
    // The drawing was already turned to y up, so a positive sweep turns left.
    return to(ex, ey, Math.tan(turned / 4) * (sweep ? 1 : -1))
  }
  svgpath(`M${x} ${y}A${p.join(' ')}`)
    .unarc()
    .iterate((segment, _i, fromX, fromY) => {
      const s = segment as readonly [string, ...number[]]
      if (s[0] === 'C') bend((t) => bezier(t, [fromX, fromY], [s[1]!, s[2]!], [s[3]!, s[4]!], [s[5]!, s[6]!]))
    })
}

type Pair = readonly [number, number]

function bezier(t: number, a: Pair, b: Pair, c: Pair, d: Pair): Pair {
  const u = 1 - t
  const on = (k: 0 | 1) => u * u * u * a[k] + 3 * u * u * t * b[k] + 3 * u * t * t * c[k] + t * t * t * d[k]
  return [on(0), on(1)]
}
