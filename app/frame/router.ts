import { createRouter, createWebHistory } from 'vue-router'
import { basePath } from '../storage/server'
import { stations } from '../state/stations'
import { fetchWorkersAhead } from '../workers/start'
import TodayStation from '../stations/today/TodayStation.vue'

/** Pages beyond the first screen, fetched when they are asked for or when the first screen has come to rest. */
const pages = {
  shelf: () => import('../stations/shelf/ShelfStation.vue'),
  make: () => import('../stations/shelf/pages/MakeSolution.vue'),
  takeIn: () => import('../stations/shelf/pages/TakeIn.vue'),
  shopping: () => import('../stations/shelf/pages/ShoppingPage.vue'),
  waste: () => import('../stations/shelf/pages/WastePage.vue'),
  dropper: () => import('../stations/shelf/pages/DropperPage.vue'),
  processes: () => import('../stations/processes/pages/ProcessesPage.vue'),
  paper: () => import('../stations/paper/PaperStation.vue'),
  newPaper: () => import('../stations/paper/pages/NewPaper.vue'),
  tear: () => import('../stations/paper/pages/TearingPage.vue'),
  treat: () => import('../stations/paper/pages/TreatPage.vue'),
  treatment: () => import('../stations/paper/pages/TreatmentPage.vue'),
  begin: () => import('../stations/coat/pages/BeginSheet.vue'),
  coat: () => import('../stations/coat/CoatStation.vue'),
  negative: () => import('../stations/negative/NegativeStation.vue'),
  calibrate: () => import('../stations/negative/pages/CalibratePage.vue'),
  calibration: () => import('../stations/negative/pages/CalibrationPath.vue'),
  light: () => import('../stations/light/LightStation.vue'),
  lights: () => import('../stations/light/pages/LightsPage.vue'),
  sun: () => import('../stations/light/pages/SunPage.vue'),
  strip: () => import('../stations/light/pages/StripPage.vue'),
  readStrip: () => import('../stations/light/pages/ReadStrip.vue'),
  tablet: () => import('../stations/light/pages/TabletPage.vue'),
  bases: () => import('../stations/light/pages/BasesPage.vue'),
  instruments: () => import('../stations/light/pages/InstrumentsPage.vue'),
  wet: () => import('../stations/wet/WetStation.vue'),
  prints: () => import('../stations/prints/PrintsStation.vue'),
  compare: () => import('../stations/prints/pages/ComparePage.vue'),
  trends: () => import('../stations/prints/pages/TrendsPage.vue'),
  bin: () => import('../stations/prints/pages/BinPage.vue'),
  diagnose: () => import('../stations/prints/pages/DiagnosePage.vue'),
  print: () => import('../stations/prints/pages/PrintThread.vue'),
  register: () => import('../stations/prints/pages/RegisterPage.vue'),
  lessons: () => import('../stations/practice/pages/LessonsPage.vue'),
  try: () => import('../stations/practice/pages/TryPage.vue'),
  model: () => import('../stations/practice/pages/ModelPage.vue'),
  practice: () => import('../stations/practice/PracticeStation.vue'),
  start: () => import('../stations/coat/pages/StartPage.vue'),
  plan: () => import('../stations/today/pages/PlanPage.vue'),
  prepare: () => import('../stations/today/pages/PreparePage.vue'),
  workroom: () => import('../stations/workroom/pages/WorkroomPage.vue'),
}

const AHEAD_AFTER_MILLISECONDS = 1500

/**
 * Brings every page in ahead, so that no key press waits for one and the server may go away. Not where the user has
 * told the browser to save data.
 */
export function fetchPagesAhead(): void {
  if (navigator.connection?.saveData) return
  const fetchAll = () => {
    Object.values(pages).forEach((page) => void page().catch(() => undefined))
    fetchWorkersAhead()
  }
  // The first screen has the machine to itself until it has come to rest.
  setTimeout(() => {
    if ('requestIdleCallback' in window) requestIdleCallback(fetchAll)
    else fetchAll()
  }, AHEAD_AFTER_MILLISECONDS)
}

export const router = createRouter({
  history: createWebHistory(basePath),
  routes: [
    { path: '/', name: 'today', component: TodayStation, meta: { station: 'today' } },
    // Pages of their own come before the page of one bottle or one paper, which would take their names for an identity.
    { path: '/shelf/make', name: 'make', component: pages.make, meta: { station: 'shelf' } },
    { path: '/shelf/take-in', name: 'take-in', component: pages.takeIn, meta: { station: 'shelf' } },
    { path: '/shelf/shopping', name: 'shopping', component: pages.shopping, meta: { station: 'shelf' } },
    { path: '/shelf/waste', name: 'waste', component: pages.waste, meta: { station: 'shelf' } },
    { path: '/shelf/dropper', name: 'dropper', component: pages.dropper, meta: { station: 'shelf' } },
    {
      path: '/shelf/processes/:processId?',
      name: 'processes',
      component: pages.processes,
      meta: { station: 'shelf' },
    },
    { path: '/shelf/:bottleId?', name: 'shelf', component: pages.shelf, meta: { station: 'shelf' } },
    { path: '/paper/new', name: 'new-paper', component: pages.newPaper, meta: { station: 'paper' } },
    { path: '/paper/treat', name: 'treat', component: pages.treat, meta: { station: 'paper' } },
    { path: '/paper/tear/:paperId?', name: 'tear', component: pages.tear, meta: { station: 'paper' } },
    {
      path: '/paper/run/:sheetId',
      name: 'treatment',
      component: pages.treatment,
      meta: { station: 'paper' },
    },
    { path: '/paper/:paperId?', name: 'paper', component: pages.paper, meta: { station: 'paper' } },
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
      path: '/negative/calibrate',
      name: 'calibrate',
      component: pages.calibrate,
      meta: { station: 'negative' },
    },
    {
      path: '/negative/calibrate/:calibrationId',
      name: 'calibration',
      component: pages.calibration,
      meta: { station: 'negative' },
    },
    { path: '/negative', name: 'negative', component: pages.negative, meta: { station: 'negative' } },
    { path: '/light/lights/:lightId?', name: 'lights', component: pages.lights, meta: { station: 'light' } },
    { path: '/light/sun', name: 'sun', component: pages.sun, meta: { station: 'light' } },
    { path: '/light/strip', name: 'strip', component: pages.strip, meta: { station: 'light' } },
    {
      path: '/light/strip/:sheetId',
      name: 'read-strip',
      component: pages.readStrip,
      meta: { station: 'light' },
    },
    { path: '/light/tablet', name: 'tablet', component: pages.tablet, meta: { station: 'light' } },
    { path: '/light/bases', name: 'bases', component: pages.bases, meta: { station: 'light' } },
    {
      path: '/light/instruments',
      name: 'instruments',
      component: pages.instruments,
      meta: { station: 'light' },
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
    { path: '/prints/compare', name: 'compare', component: pages.compare, meta: { station: 'prints' } },
    { path: '/prints/trends', name: 'trends', component: pages.trends, meta: { station: 'prints' } },
    { path: '/prints/bin', name: 'bin', component: pages.bin, meta: { station: 'prints' } },
    {
      path: '/prints/:sheetId/diagnose',
      name: 'diagnose',
      component: pages.diagnose,
      meta: { station: 'prints' },
    },
    {
      path: '/prints/:sheetId',
      name: 'print',
      component: pages.print,
      meta: { station: 'prints' },
    },
    {
      path: '/prints/:sheetId/register',
      name: 'register',
      component: pages.register,
      meta: { station: 'prints' },
    },
    { path: '/practice/try', name: 'try', component: pages.try, meta: { station: 'practice' } },
    { path: '/practice/model', name: 'model', component: pages.model, meta: { station: 'practice' } },
    { path: '/practice/lessons', name: 'lessons', component: pages.lessons, meta: { station: 'practice' } },
    { path: '/practice', name: 'practice', component: pages.practice, meta: { station: 'practice' } },
    { path: '/start', name: 'start', component: pages.start, meta: { station: 'today' } },
    { path: '/plan', name: 'plan', component: pages.plan, meta: { station: 'today' } },
    { path: '/plan/prepare', name: 'prepare', component: pages.prepare, meta: { station: 'today' } },
    { path: '/workroom', name: 'workroom', component: pages.workroom },
    { path: '/:rest(.*)*', redirect: { name: 'today' } },
  ],
})

/** The window names its station, so that two of them can be told apart. */
router.afterEach((to, from) => {
  // The page scrolls inside its frame, so the browser does not begin a new one at its top by itself.
  if (to.name !== from.name) document.getElementById('page')?.scrollTo(0, 0)
  const station = stations.find((one) => one.name === to.meta.station)
  document.title = station ? `${station.title} · Ember Sheet` : 'Ember Sheet'
})
