import { arcBetween, edgeOf, isStraight, type Outline, type Point } from '../outline/index.ts'
import type { LayDrawing } from './lay-drawing.ts'

/** A lay as SVG at true size, one unit a millimetre: the left selvedge at the left, the starting end at the foot. */
export function laySvg({ title, clothName, widthMm, lengthMm, pieces }: LayDrawing): string {
  const y = (v: number) => lengthMm - v
  const point = (p: Point) => `${number(p.x)} ${number(y(p.y))}`
  const path = (points: readonly Point[]) => `M ${points.map(point).join(' L ')}`
  const group = (name: string, style: string, ds: readonly string[]) =>
    `<g id="${name}" fill="none" stroke-width="0.5" ${style}>${ds.map((d) => `<path d="${d}"/>`).join('')}</g>`
  const texts = pieces.map(
    (p) =>
      `<text x="${number(p.middle.x)}" y="${number(y(p.middle.y))}" text-anchor="middle">${escaped(p.name)}</text>`,
  )
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" width="${number(widthMm)}mm" height="${number(lengthMm)}mm" viewBox="0 0 ${number(widthMm)} ${number(lengthMm)}">`,
    `<title>${escaped(`${title}, ${clothName}`)}</title>`,
    `<rect id="cloth" width="${number(widthMm)}" height="${number(lengthMm)}" fill="none" stroke="#999" stroke-width="0.3"/>`,
    group(
      'cut',
      'stroke="#000"',
      pieces.map((p) => outlinePath(p.cut, point)),
    ),
    group(
      'sew',
      'stroke="#2a628f" stroke-dasharray="5 3"',
      pieces.flatMap((p) => (p.sew ? [outlinePath(p.sew, point)] : [])),
    ),
    group(
      'notch',
      'stroke="#000"',
      pieces.flatMap((p) => p.notches.map(path)),
    ),
    group(
      'mark',
      'stroke="#2a628f"',
      pieces.flatMap((p) => p.marks.map((m) => (m.length === 1 ? crossPath(m[0]!, point) : path(m)))),
    ),
    `<g id="text" font-family="sans-serif" font-size="12" fill="#000">${texts.join('')}</g>`,
    '</svg>',
  ].join('\n')
}

const CROSS_MM = 4

function crossPath({ x, y }: Point, point: (p: Point) => string): string {
  return `M ${point({ x: x - CROSS_MM, y })} L ${point({ x: x + CROSS_MM, y })} M ${point({ x, y: y - CROSS_MM })} L ${point({ x, y: y + CROSS_MM })}`
}

/** Arcs stay arcs. */
function outlinePath(outline: Outline, point: (p: Point) => string): string {
  const steps = outline.map((v, i) => {
    const [, next] = edgeOf(outline, i)
    if (isStraight(v.bulge)) return `L ${point(next)}`
    const { radius, sweep } = arcBetween(v, next, v.bulge!)
    const r = number(Math.abs(radius))
    // The drawing's y runs down: what turns left in millimetres turns the other way for SVG.
    return `A ${r} ${r} 0 ${Math.abs(sweep) > Math.PI ? 1 : 0} ${sweep > 0 ? 0 : 1} ${point(next)}`
  })
  return `M ${point(outline[0]!)} ${steps.join(' ')} Z`
}

const number = (v: number): string => Number(v.toFixed(4)).toString()

const escaped = (text: string): string => text.replace(/[<>&"]/g, (c) => `&#${c.charCodeAt(0)};`)
