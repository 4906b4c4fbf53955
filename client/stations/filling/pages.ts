import type { Component } from 'vue'
import BlockDrawing from './sizing/BlockDrawing.vue'
import SizingFields from './sizing/SizingFields.vue'
import FoamFields from './foam/FoamFields.vue'
import SectionDrawing from './foam/SectionDrawing.vue'
import LoadFields from './foam/LoadFields.vue'
import CuttingFields from './cutting/CuttingFields.vue'
import NestDrawing from './cutting/NestDrawing.vue'
import OldFoamFields from './old-foam/OldFoamFields.vue'
import TestDrawing from './old-foam/TestDrawing.vue'

export type Page = 'carries' | 'foam' | 'sizing' | 'cutting' | 'old'

interface FillingPage {
  readonly page: Page
  readonly label: string
  readonly drawing: Component
  readonly fields: Component
  /** Fields that a figure may lead to, after `filling.`. */
  readonly has: readonly string[]
}

/** The pages of the filling station, in the order of the work. */
export const FILLING_PAGES: readonly FillingPage[] = [
  {
    page: 'carries',
    label: 'Carries',
    drawing: SectionDrawing,
    fields: LoadFields,
    has: ['load', 'board', 'fill', 'liner'],
  },
  { page: 'foam', label: 'Foam', drawing: SectionDrawing, fields: FoamFields, has: ['layers'] },
  {
    page: 'sizing',
    label: 'Sizing',
    drawing: BlockDrawing,
    fields: SizingFields,
    has: ['school', 'thicknessExtra', 'wadding', 'measured'],
  },
  { page: 'cutting', label: 'Cutting', drawing: NestDrawing, fields: CuttingFields, has: ['glue', 'stock', 'trim'] },
  { page: 'old', label: 'Old foam', drawing: TestDrawing, fields: OldFoamFields, has: ['test', 'old'] },
]

/** The page that has the field a figure leads to (`filling.board`). */
export const pageOf = (field: string | null): Page | null =>
  FILLING_PAGES.find((p) => p.has.some((name) => field === `filling.${name}`))?.page ?? null
