import { createRouter, createWebHistory } from 'vue-router'

export const router = createRouter({
  history: createWebHistory(),
  routes: [
    { path: '/', name: 'shelf', component: () => import('./screens/shelf/ShelfScreen.vue'), meta: { title: 'Shelf' } },
    { path: '/rigs/:id/brief', name: 'brief', component: () => import('./screens/brief/BriefScreen.vue'), meta: { title: 'Brief' } },
    { path: '/rigs/:id', name: 'bench', component: () => import('./screens/bench/BenchScreen.vue'), meta: { title: 'Bench' } },
    { path: '/rigs/:id/set-ups', name: 'setups', component: () => import('./screens/setups/SetupsScreen.vue'), meta: { title: 'Set-ups' } },
    { path: '/:rest(.*)*', name: 'nowhere', component: () => import('./screens/NowhereScreen.vue'), meta: { title: 'Nothing here' } },
  ],
})

router.afterEach((to) => {
  document.title = `${to.meta['title'] as string} · Zucchini`
})
