import type { Component } from 'vue'
import type { Filling, PartWork } from '../../../contract/index.ts'
import BlockDrawing from './sizing/BlockDrawing.vue'
import SizingFields from './sizing/SizingFields.vue'
import FoamFields from './foam/FoamFields.vue'
import SectionDrawing from './foam/SectionDrawing.vue'
import LoadFields from './foam/LoadFields.vue'
import CuttingFields from './cutting/CuttingFields.vue'
import NestDrawing from './cutting/NestDrawing.vue'
import TherePage from './there/TherePage.vue'
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
  { page: 'old', label: 'What is there', drawing: TestDrawing, fields: TherePage, has: ['test', 'there'] },
]

/** The pages that a part has use for: a filling that stays is neither advised on nor cut. */
export const pagesFor = (filling: Filling, work: PartWork['kind']): readonly FillingPage[] =>
  FILLING_PAGES.filter(({ page }) => {
    if (filling.kind !== 'foam') return page === 'carries'
    return work !== 'cover-only' || page !== 'cutting'
  })

/** The page that has the field a figure leads to (`filling.board`). */
export const pageOf = (field: string | null): Page | null =>
  FILLING_PAGES.find((p) => p.has.some((name) => field === `filling.${name}`))?.page ?? null
