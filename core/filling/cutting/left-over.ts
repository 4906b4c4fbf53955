import { boxOf, type Outline } from '../../outline/index.ts'

/**
 * What is left of a piece of foam beyond the parts that are cut from it, the kerf of the last cut each way counted: a
 * slice of its width and one of its length; 0 where a part ends with the piece. The parts lie as they are drawn, x along
 * the length.
 */
export function leftBeside(
  parts: readonly Outline[],
  piece: { readonly lengthMm: number; readonly widthMm: number },
  kerfMm: number,
): { readonly widthMm: number; readonly lengthMm: number } {
  const boxes = parts.map(boxOf)
  const left = (whole: number, low: number, high: number) => Math.max(0, whole - (high - low) - kerfMm)
  return {
    widthMm: left(piece.widthMm, Math.min(...boxes.map((b) => b.minY)), Math.max(...boxes.map((b) => b.maxY))),
    lengthMm: left(piece.lengthMm, Math.min(...boxes.map((b) => b.minX)), Math.max(...boxes.map((b) => b.maxX))),
  }
}
