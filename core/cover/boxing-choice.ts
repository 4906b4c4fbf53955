import type { Job } from '../../contract/index.ts'

/** How the boxing is really cut: stripes cannot match round the corner of a wrap, so matching cuts one piece per side. */
export const boxingAsCut = (job: Job): 'wrap' | 'one-per-side' => (job.cloth.match.kind === 'matched' ? 'one-per-side' : job.makeUp.boxing)
