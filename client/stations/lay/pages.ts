import type { Component } from 'vue'
import ClothPage from './ClothPage.vue'

export type Page = 'cloth'

interface LayPage {
  readonly page: Page
  readonly label: string
  readonly fields: Component
}

/** The pages of the lay station. */
export const LAY_PAGES: readonly LayPage[] = [{ page: 'cloth', label: 'Cloth', fields: ClothPage }]
