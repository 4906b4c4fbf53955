import type { ClothChoice, Construction } from '../../contract/index.ts'

/**
 * How the boxing is really cut: stripes cannot match round the corner of a wrap, so matching cuts one piece per side.
 */
export const boxingAsCut = (construction: Construction, cloth: ClothChoice): Construction =>
  'boxing' in construction && cloth.match.kind === 'matched'
    ? { ...construction, boxing: 'one-per-side' }
    : construction
