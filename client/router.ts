import { createRouter, createWebHistory } from 'vue-router'
import { whenSignInIsWanted } from './api/http.ts'
import ShelfPage from './shelf/ShelfPage.vue'
import { STATION_PAGES } from './stations/index.ts'

export const router = createRouter({
  history: createWebHistory(),
  routes: [
    { path: '/', name: 'shelf', component: ShelfPage },
    { path: '/foam', name: 'foam', component: () => import('./foam/FoamStorePage.vue') },
    { path: '/cloth', name: 'cloth', component: () => import('./cloth/ClothStorePage.vue') },
    { path: '/calendar', name: 'calendar', component: () => import('./calendar/CalendarPage.vue') },
    { path: '/trims', name: 'trims', component: () => import('./trims/TrimsPage.vue') },
    { path: '/learnt', name: 'learnt', component: () => import('./learnt/LearntPage.vue') },
    { path: '/records', name: 'records', component: () => import('./records/RecordsPage.vue') },
    { path: '/shop', name: 'shop', component: () => import('./shop/SettingsPage.vue') },
    { path: '/welcome', name: 'welcome', component: () => import('./shop/WelcomePage.vue') },
    { path: '/come-in', name: 'come-in', component: () => import('./access/ComeInPage.vue') },
    {
      path: '/jobs/:id',
      component: () => import('./job/JobPage.vue'),
      props: true,
      children: [
        { path: '', redirect: (to) => ({ path: `${to.path.replace(/\/$/, '')}/measure` }) },
        ...STATION_PAGES.map(({ station, page }) => ({ path: station, name: station, component: page })),
      ],
    },
    { path: '/:rest(.*)', redirect: '/' },
  ],
})

whenSignInIsWanted(() => {
  if (router.currentRoute.value.name !== 'come-in')
    void router.push({ name: 'come-in', query: { to: router.currentRoute.value.fullPath } })
})
