import type { Component } from 'vue'
import ClothPage from './ClothPage.vue'
import ComparePage from './ComparePage.vue'
import FilesPage from './FilesPage.vue'
import RemnantPage from './RemnantPage.vue'
import TogetherPage from './TogetherPage.vue'

export type Page = 'cloth' | 'compare' | 'together' | 'remnant' | 'files'

interface LayPage {
  readonly page: Page
  readonly label: string
  readonly fields: Component
  /** Takes the room of the chalk list as well. */
  readonly isWide: boolean
}

/** The pages of the lay station. */
export const LAY_PAGES: readonly LayPage[] = [
  { page: 'cloth', label: 'Cloth', fields: ClothPage, isWide: false },
  { page: 'compare', label: 'Compare', fields: ComparePage, isWide: true },
  { page: 'together', label: 'Cut together', fields: TogetherPage, isWide: false },
  { page: 'remnant', label: 'Will it fit?', fields: RemnantPage, isWide: true },
  { page: 'files', label: 'Mark out', fields: FilesPage, isWide: false },
]
