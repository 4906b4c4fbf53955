import '@fontsource/zilla-slab/latin-500.css'
import '@fontsource/zilla-slab/latin-600.css'
import '@fontsource-variable/source-sans-3/wght.css'
import { createPinia } from 'pinia'
import { createApp } from 'vue'
import App from './App.vue'
import { useLanguage } from './language/use-language.ts'
import { keepForOffline } from './offline/kept.ts'
import { afterPaint, DRAW_LATER } from './session/drawn.ts'
import { router } from './router.ts'
import { useElement } from './ui/element.ts'
import { tellMissingPart } from './stores/trouble.ts'
import './styles/tokens.css'
import './styles/base.css'
import './styles/paper.css'
import './styles/parts.css'
import './styles/face.css'
import './styles/devices.css'

// Whoever opens a job waits for all that plans it: it is asked for at once, beside the rest.
if (location.pathname.startsWith('/jobs/')) void import('./job/JobPage.vue').catch(() => undefined)

addEventListener('vite:preloadError', tellMissingPart)
const app = createApp(App)
await useLanguage(app)
app.use(createPinia())
app.provide(DRAW_LATER, afterPaint)
app.use(router)
router.onError((error: Error) => {
  if (/import|module|fetch/i.test(error.message)) tellMissingPart()
})
useElement(app)
app.mount('#app')
keepForOffline()
