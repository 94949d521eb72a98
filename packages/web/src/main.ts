import '@fontsource-variable/atkinson-hyperlegible-mono/wght.css'
import '@fontsource-variable/atkinson-hyperlegible-next/wght.css'
import 'primeicons/primeicons.css'
import './app/theme.css'
import './app/layout.css'
import './app/base.css'
import './app/controls.css'
import { createPinia } from 'pinia'
import { main } from '#words/app'
import PrimeVue from 'primevue/config'
import ToastService from 'primevue/toastservice'
import { createApp } from 'vue'
import App from './app/App.vue'
import { router } from './app/router'
import { startTheme } from './browser/dark'
import { theme } from './app/theme'
import { startServiceWorker, watchParts } from './app/update'

startTheme()
const nonce = document.querySelector<HTMLMetaElement>('meta[name="csp-nonce"]')?.content
createApp(App)
  .use(createPinia())
  .use(router)
  // A dialog is there at once: its focus, set after it had come up, would take what is being typed out of its field.
  .use(PrimeVue, {
    theme,
    locale: main,
    pt: { dialog: { transition: { css: false } } },
    ...(nonce && !nonce.startsWith('__') ? { csp: { nonce } } : {}),
  })
  .use(ToastService)
  .mount('#app')
watchParts(router)
void startServiceWorker()
