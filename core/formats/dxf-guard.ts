import { phrase } from '../language/index.ts'

/** Larger drawings than this are no seat and no lay. */
const LARGEST_CHARACTERS = 16_000_000
const MOST_VERTICES = 100_000

/**
 * Why a DXF must not be given to the parser, in words; null where it may. The parser walks on for ever where a polyline
 * never ends, and makes as many corners as a polyline says it has, whether they are there or not.
 */
export function dxfDanger(text: string): string | null {
  if (text.length > LARGEST_CHARACTERS) return 'it is larger than any drawing of a seat'
  const lines = text.split(/\r\n|\r|\n/)
  let [open, vertices, inLight, hasEnd] = [false, 0, false, false]
  for (let i = 0; i + 1 < lines.length; i += 2) {
    const [code, value] = [lines[i]!.trim(), lines[i + 1]!.trim()]
    if (!/^\d{1,4}$/.test(code)) return 'it is cut off, or no drawing'
    if (code === '0' && value === 'EOF') {
      hasEnd = true
      break
    }
    if (code === '0') {
      if (open && value !== 'VERTEX' && value !== 'SEQEND') return 'a polyline in it has no end'
      open = value === 'POLYLINE' || (open && value === 'VERTEX')
      inLight = value === 'LWPOLYLINE'
      if (value === 'VERTEX') vertices++
    } else if (inLight && code === '90') {
      const said = Number(value)
      if (!Number.isInteger(said) || said < 0 || said > (lines.length - i) / 4 + 1)
        return 'a polyline in it claims more corners than the file holds'
      vertices += said
    }
    if (vertices > MOST_VERTICES) return phrase`it has more than ${MOST_VERTICES} corners`
  }
  if (open) return 'a polyline in it has no end'
  if (hasEnd) return null
  return /^\s*SECTION\s*$/m.test(text) ? 'it is cut off: its end is missing' : 'it is not a drawing in DXF'
}
