import { createPinia } from 'pinia'
import { createApp } from 'vue'
import App from './App.vue'
import { vAsk } from './ask-directive.ts'
import { router } from './router.ts'
import { useTroubles } from './stores/troubles.ts'
import './style.css'

const pinia = createPinia()
const app = createApp(App).use(pinia).use(router).directive('ask', vAsk)

// Whatever slips past every screen's own words is told, not swallowed: errors outside any screen, pages that don't
// load, promises nobody waits for.
const note = (error: unknown) => {
  console.error(error)
  useTroubles(pinia).note(error)
}
app.config.errorHandler = note
router.onError(note)
window.addEventListener('unhandledrejection', (event) => {
  event.preventDefault()
  note(event.reason)
})
app.mount('#app')
