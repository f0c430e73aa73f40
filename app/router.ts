import { createRouter, createWebHistory } from 'vue-router'
import { stations } from './stations'
import TodayStation from './today/TodayStation.vue'

/** Pages beyond the first screen, fetched when they are asked for or when the first screen has come to rest. */
const pages = {
  begin: () => import('./coat/BeginSheet.vue'),
  coat: () => import('./coat/CoatStation.vue'),
  light: () => import('./light/LightStation.vue'),
  wet: () => import('./wet/WetStation.vue'),
  prints: () => import('./prints/PrintsStation.vue'),
  print: () => import('./prints/PrintThread.vue'),
  workroom: () => import('./workroom/WorkroomPage.vue'),
}

/** Brings every page in ahead, so that no key press waits for one and the server may go away. */
export function fetchPagesAhead(): void {
  const fetchAll = () => Object.values(pages).forEach((page) => void page().catch(() => undefined))
  if ('requestIdleCallback' in window) requestIdleCallback(fetchAll)
  else setTimeout(fetchAll, 500)
}

export const router = createRouter({
  history: createWebHistory(),
  routes: [
    { path: '/', name: 'today', component: TodayStation, meta: { station: 'today' } },
    {
      path: '/coat/begin',
      name: 'begin',
      component: pages.begin,
      meta: { station: 'coat' },
    },
    {
      path: '/coat/:sheetId?',
      name: 'coat',
      component: pages.coat,
      meta: { station: 'coat' },
    },
    {
      path: '/light/:sheetId?',
      name: 'light',
      component: pages.light,
      meta: { station: 'light' },
    },
    {
      path: '/wet/:sheetId?',
      name: 'wet',
      component: pages.wet,
      meta: { station: 'wet' },
    },
    {
      path: '/prints',
      name: 'prints',
      component: pages.prints,
      meta: { station: 'prints' },
    },
    {
      path: '/prints/:sheetId',
      name: 'print',
      component: pages.print,
      meta: { station: 'prints' },
    },
    { path: '/workroom', name: 'workroom', component: pages.workroom },
    { path: '/:rest(.*)*', redirect: { name: 'today' } },
  ],
})

/** The window names its station, so that two of them can be told apart. */
router.afterEach((to) => {
  const station = stations.find((one) => one.name === to.meta.station)
  document.title = station ? `${station.title} · Ember Sheet` : 'Ember Sheet'
})
