import { createRouter, createWebHistory } from 'vue-router'
import ClothStorePage from './cloth/ClothStorePage.vue'
import FoamStorePage from './foam/FoamStorePage.vue'
import JobPage from './job/JobPage.vue'
import ShelfPage from './shelf/ShelfPage.vue'
import { STATION_PAGES } from './stations/index.ts'

export const router = createRouter({
  history: createWebHistory(),
  routes: [
    { path: '/', name: 'shelf', component: ShelfPage },
    { path: '/foam', name: 'foam', component: FoamStorePage },
    { path: '/cloth', name: 'cloth', component: ClothStorePage },
    {
      path: '/jobs/:id',
      component: JobPage,
      props: true,
      children: [{ path: '', redirect: (to) => ({ path: `${to.path.replace(/\/$/, '')}/measure` }) }, ...STATION_PAGES.map(({ station, page }) => ({ path: station, name: station, component: page }))],
    },
    { path: '/:rest(.*)', redirect: '/' },
  ],
})
