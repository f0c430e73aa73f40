import { createRouter, createWebHistory } from 'vue-router'
import TodayStation from './today/TodayStation.vue'

export const router = createRouter({
  history: createWebHistory(),
  routes: [
    { path: '/', name: 'today', component: TodayStation, meta: { station: 'today' } },
    {
      path: '/coat/begin',
      name: 'begin',
      component: () => import('./coat/BeginSheet.vue'),
      meta: { station: 'coat' },
    },
    {
      path: '/coat/:sheetId?',
      name: 'coat',
      component: () => import('./coat/CoatStation.vue'),
      meta: { station: 'coat' },
    },
    {
      path: '/light/:sheetId?',
      name: 'light',
      component: () => import('./light/LightStation.vue'),
      meta: { station: 'light' },
    },
    {
      path: '/wet/:sheetId?',
      name: 'wet',
      component: () => import('./wet/WetStation.vue'),
      meta: { station: 'wet' },
    },
    {
      path: '/prints',
      name: 'prints',
      component: () => import('./prints/PrintsStation.vue'),
      meta: { station: 'prints' },
    },
    {
      path: '/prints/:sheetId',
      name: 'print',
      component: () => import('./prints/PrintThread.vue'),
      meta: { station: 'prints' },
    },
    { path: '/workroom', name: 'workroom', component: () => import('./workroom/WorkroomPage.vue') },
    { path: '/:rest(.*)*', redirect: { name: 'today' } },
  ],
})
