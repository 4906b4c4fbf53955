import type { Component } from 'vue'
import AllowanceFields from './AllowanceFields.vue'
import BuildFields from './BuildFields.vue'
import ClothFields from './ClothFields.vue'
import CompareFields from './CompareFields.vue'
import JoinFields from './JoinFields.vue'
import PipingFields from './PipingFields.vue'
import TrimFields from './TrimFields.vue'

export type Page = 'build' | 'joins' | 'piping' | 'trims' | 'cloths' | 'allowances' | 'compare'

/** The pages of the make-up station, and where each figure is changed. */
export const MAKE_UP_PAGES: readonly {
  readonly page: Page
  readonly label: string
  readonly fields: Component
  readonly changes: readonly string[]
}[] = [
  {
    page: 'build',
    label: 'Build',
    fields: BuildFields,
    changes: ['make-up.construction', 'make-up.closure', 'make-up.liner'],
  },
  { page: 'piping', label: 'Piping', fields: PipingFields, changes: ['make-up.cord'] },
  { page: 'joins', label: 'Joins', fields: JoinFields, changes: ['make-up.joins'] },
  {
    page: 'trims',
    label: 'Trims',
    fields: TrimFields,
    changes: ['make-up.buttons', 'make-up.reserve', 'make-up.reserves'],
  },
  { page: 'cloths', label: 'Cloths', fields: ClothFields, changes: [] },
  { page: 'allowances', label: 'Allowances', fields: AllowanceFields, changes: [] },
  { page: 'compare', label: 'Compare', fields: CompareFields, changes: [] },
]

/** The page that changes a field; allowances are all on one. */
export const pageOf = (field: string | null): Page | null =>
  field === null
    ? null
    : (MAKE_UP_PAGES.find((p) => p.changes.includes(field))?.page ??
      (field.startsWith('make-up.') ? 'allowances' : null))
