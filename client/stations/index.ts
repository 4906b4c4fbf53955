import type { Component } from 'vue'
import { STATIONS, type Station } from '../../core/warning/index.ts'
import BillStation from './bill/BillStation.vue'
import FillingStation from './filling/FillingStation.vue'
import FitStation from './fit/FitStation.vue'
import LayStation from './lay/LayStation.vue'
import ListsStation from './lists/ListsStation.vue'
import MakeStation from './make/MakeStation.vue'
import MakeUpStation from './make-up/MakeUpStation.vue'
import MeasureStation from './measure/MeasureStation.vue'
import PiecesStation from './pieces/PiecesStation.vue'

const PAGES: Record<Station, { readonly title: string; readonly page: Component }> = {
  measure: { title: 'Measure', page: MeasureStation },
  filling: { title: 'Filling', page: FillingStation },
  'make-up': { title: 'Make-up', page: MakeUpStation },
  pieces: { title: 'Pieces', page: PiecesStation },
  lay: { title: 'Lay', page: LayStation },
  lists: { title: 'Cut & buy', page: ListsStation },
  make: { title: 'Make', page: MakeStation },
  fit: { title: 'Fit', page: FitStation },
  bill: { title: 'Bill', page: BillStation },
}

/** The stations in the order of the work. */
export const STATION_PAGES = STATIONS.map((station) => ({ station, ...PAGES[station] }))
