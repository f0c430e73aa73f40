import { createPinia } from 'pinia'
import { createApp } from 'vue'
import '@fontsource/b612/latin-400.css'
import '@fontsource/b612/latin-700.css'
import '@fontsource-variable/newsreader/opsz.css'
import '@fontsource-variable/newsreader/opsz-italic.css'
import 'element-plus/theme-chalk/base.css'
import './kit/styles/base.css'
import './kit/styles/palettes.css'
import './kit/styles/element.css'
import App from './frame/App.vue'
import { texts } from './frame/words'
import { isDemoStale, loadDemoOnce, reloadDemo } from './state/demo'
import { isDemo } from './storage/whichWorkroom'
import { useStorage } from './state/persistence'
import { repairOnce } from './state/repairOnce'
import { useUnsaved } from './state/unsaved.store'
import { fetchPagesAhead, router } from './frame/router'
import { useNotice } from './state/notice.store'
import { useUpdate } from './state/update.store'
import { usePreferences } from './state/preferences.store'
import { useBackup } from './state/backup.store'
import { repairedSaid } from './state/backupWords'

const TEN_MINUTES = 600_000
/** A demo that is left for hours offers to start again. */
async function watchDemo(): Promise<void> {
  if (await isDemoStale())
    useNotice().say(
      texts.demoHasRunOut,
      () => reloadDemo().then(() => location.reload()),
      'Start the demo again',
    )
  if (isDemo) setTimeout(() => void watchDemo().catch(() => undefined), TEN_MINUTES)
}

const app = createApp(App).use(createPinia()).use(router)
usePreferences() // chooses the palette before anything is drawn
app.config.errorHandler = (error) => useNotice().refuse(error, 'this screen')
// A failed write is shown even where the code did not wait for the write.
addEventListener('unhandledrejection', (event) => useNotice().refuse(event.reason, 'this'))
// To leave would lose what waits for room on the disk.
addEventListener('beforeunload', (event) => {
  if (useUnsaved().presses.length) event.preventDefault()
})
app.mount('#app')

const storage = useStorage()
storage
  .open()
  .then(loadDemoOnce)
  .then(watchDemo)
  .then(repairOnce)
  .then((notes) => {
    if (notes.length) useNotice().say(`From an earlier version: ${repairedSaid(notes)}`)
  })
  .then(() => useBackup().start())
  .catch((error: unknown) => useNotice().refuse(error, 'opening the workroom'))
void storage
  .askToKeep()
  .then(storage.look)
  .then(() => {
    if (storage.isNearlyFull())
      useNotice().say('This browser’s room for the workroom is nearly used up. Export, then free some space.')
  })
  .catch(() => undefined)
fetchPagesAhead()
window.addEventListener(
  'load',
  () =>
    void useUpdate()
      .keepOffline()
      .catch(() => undefined),
)
