import type { SizingSchool } from '../../../../contract/index.ts'

export const SCHOOL_NAMES: Readonly<Record<SizingSchool['kind'], string>> = {
  'full-block': 'Full block',
  'size-for-size': 'Size for size',
  'snug-cover': 'Snug cover',
  'wrap-then-measure': 'Wrap, then measure',
  'thinner-block': 'Thinner block',
  'into-cover': 'Wanted squeeze',
}
