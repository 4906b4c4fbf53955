import type { LayCloth } from '../../contract/index.ts'
import type { Ring } from './convex-parts.ts'
import { BESIDE_SLIT_MM } from './tolerances.ts'

type Flaw = LayCloth['flaws'][number]

/**
 * What pieces keep out of round a flaw. A slit or a pinhole has no width, and yet nothing may be cut across it: pieces
 * keep out of a strip as narrow as can be told.
 */
export function flawRing([x, y, width, height]: Flaw): Ring {
  const [besideX, besideY] = [width > 0 ? 0 : BESIDE_SLIT_MM, height > 0 ? 0 : BESIDE_SLIT_MM]
  const [left, right, low, high] = [x - besideX, x + width + besideX, y - besideY, y + height + besideY]
  return [left, low, right, low, right, high, left, high]
}

export const isSlit = ([, , width, height]: Flaw): boolean => width === 0 || height === 0
