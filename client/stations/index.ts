import type { Component } from 'vue'
import type { Plan } from '../../core/planned/index.ts'
import { STATIONS, type Station } from '../../core/warning/index.ts'

interface StationPage {
  readonly title: string
  readonly page: () => Promise<{ readonly default: Component }>
}

const PAGES: Record<Station, StationPage> = {
  measure: { title: 'Measure', page: () => import('./measure/MeasureStation.vue') },
  filling: { title: 'Filling', page: () => import('./filling/FillingStation.vue') },
  'make-up': { title: 'Make-up', page: () => import('./make-up/MakeUpStation.vue') },
  pieces: { title: 'Pieces', page: () => import('./pieces/PiecesStation.vue') },
  lay: { title: 'Lay', page: () => import('./lay/LayStation.vue') },
  lists: { title: 'Cut & buy', page: () => import('./lists/ListsStation.vue') },
  make: { title: 'Make', page: () => import('./make/MakeStation.vue') },
  fit: { title: 'Fit', page: () => import('./fit/FitStation.vue') },
  bill: { title: 'Bill', page: () => import('./bill/BillStation.vue') },
}

/** The stations in the order of the work. */
export const STATION_PAGES = STATIONS.map((station) => ({ station, ...PAGES[station] }))

/** Those a job has use for: where every cover stays, there is nothing to cut out or to lay. */
export const stationsFor = (plan: Plan | null): typeof STATION_PAGES =>
  plan?.kind === 'worked' && plan.sewn.length === 0
    ? STATION_PAGES.filter(({ station }) => station !== 'pieces' && station !== 'lay')
    : STATION_PAGES

/** One station after the other is fetched, so that going to it takes no time. */
export async function fetchStations(): Promise<void> {
  for (const { page } of STATION_PAGES) await page()
}
