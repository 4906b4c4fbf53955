import type { Footprint } from '../../../contract/index.ts'
import { ok, type Result } from '../../result/index.ts'
import { berthFooting } from './berth.ts'
import { cornerBenchFooting } from './corner-bench.ts'
import { discFooting } from './disc.ts'
import { earedFooting } from './eared.ts'
import type { Footing, FootprintFault } from './footing.ts'
import { rectangleFooting, taperFooting } from './four-sided.ts'
import { pointsFooting } from './points.ts'
import { ringFooting } from './ring.ts'
import { tapedFooting } from './taped.ts'

/** The bare outline of any footprint: one line for each kind. */
export function footingOf(shape: Footprint): Result<Footing, FootprintFault> {
  switch (shape.kind) {
    case 'rectangle':
      return ok(rectangleFooting(shape))
    case 'taper':
      return ok(taperFooting(shape))
    case 'disc':
      return ok(discFooting(shape))
    case 'eared':
      return earedFooting(shape)
    case 'corner-bench':
      return cornerBenchFooting(shape)
    case 'ring':
      return ringFooting(shape)
    case 'berth':
      return berthFooting(shape)
    case 'taped':
      return tapedFooting(shape)
    case 'points':
      return pointsFooting(shape)
    default:
      return shape satisfies never
  }
}

export type { Footing, FootprintFault, Mark } from './footing.ts'
export { discFooting } from './disc.ts'
export { settingName } from './setting-name.ts'
export { ringSizes, type RingSizes } from './ring.ts'
export type { Survey, Suspicion } from './survey.ts'
export { nameOf as tapeName, tapedSurvey } from './taped.ts'
