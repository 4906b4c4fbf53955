import type { Job } from '../../contract/index.ts'
import { inEveryPart } from '../job/index.ts'

export const withFold = (job: Job, clothId: string, isFolded: boolean): Job => ({
  ...job,
  folded: [...job.folded.filter((id) => id !== clothId), ...(isFolded ? [clothId] : [])],
})

/** The same cloth as it is sold in another width, at the same price for its area. */
export const ofWidth = (job: Job, clothId: string, widthMm: number): Job =>
  inEveryPart(job, (part) =>
    part.cloth.cloth.id === clothId
      ? {
          ...part,
          cloth: {
            ...part.cloth,
            cloth: {
              ...part.cloth.cloth,
              widthMm,
              pricePerMetre: (part.cloth.cloth.pricePerMetre * widthMm) / part.cloth.cloth.widthMm,
            },
          },
        }
      : part,
  )
