import { createRouter, createWebHistory } from 'vue-router'

export const router = createRouter({
  history: createWebHistory(),
  routes: [
    { path: '/', name: 'shelf', component: () => import('./screens/shelf/ShelfScreen.vue'), meta: { title: 'Shelf' } },
    {
      path: '/rigs/:id/brief',
      name: 'brief',
      component: () => import('./screens/brief/BriefScreen.vue'),
      meta: { title: 'Brief' },
    },
    {
      path: '/rigs/:id',
      name: 'bench',
      component: () => import('./screens/bench/BenchScreen.vue'),
      meta: { title: 'Bench' },
    },
    {
      path: '/rigs/:id/set-ups',
      name: 'setups',
      component: () => import('./screens/setups/SetupsScreen.vue'),
      meta: { title: 'Set-ups' },
    },
    {
      path: '/rigs/:id/balance',
      name: 'balance',
      component: () => import('./screens/balance/BalanceScreen.vue'),
      meta: { title: 'Balance' },
    },
    {
      path: '/rigs/:id/wiring',
      name: 'wiring',
      component: () => import('./screens/wiring/WiringScreen.vue'),
      meta: { title: 'Wiring' },
    },
    {
      path: '/rigs/:id/light',
      name: 'light',
      component: () => import('./screens/light/LightScreen.vue'),
      meta: { title: 'Light' },
    },
    {
      path: '/rigs/:id/money',
      name: 'money',
      component: () => import('./screens/money/MoneyScreen.vue'),
      meta: { title: 'Money' },
    },
    {
      path: '/how-i-work',
      name: 'work',
      component: () => import('./screens/work/WorkScreen.vue'),
      meta: { title: 'How I work' },
    },
    {
      path: '/locker',
      name: 'locker',
      component: () => import('./screens/locker/LockerScreen.vue'),
      meta: { title: 'Locker' },
    },
    {
      path: '/rigs/:id/rehearsal',
      name: 'rehearsal',
      component: () => import('./screens/rehearsal/RehearsalScreen.vue'),
      meta: { title: 'Rehearsal' },
    },
    {
      path: '/catalogue',
      name: 'catalogue',
      component: () => import('./screens/catalogue/CatalogueScreen.vue'),
      meta: { title: 'Catalogue' },
    },
    {
      path: '/catalogue/new',
      name: 'new-part',
      component: () => import('./screens/catalogue/PartEditor.vue'),
      meta: { title: 'A new part' },
    },
    {
      path: '/catalogue/:part',
      name: 'part',
      component: () => import('./screens/catalogue/CatalogueScreen.vue'),
      meta: { title: 'Catalogue' },
    },
    {
      path: '/catalogue/:part/edit',
      name: 'edit-part',
      component: () => import('./screens/catalogue/PartEditor.vue'),
      meta: { title: 'Edit a part' },
    },
    {
      path: '/:rest(.*)*',
      name: 'nowhere',
      component: () => import('./screens/NowhereScreen.vue'),
      meta: { title: 'Nothing here' },
    },
  ],
})

router.afterEach((to) => {
  document.title = `${to.meta['title'] as string} · Zucchini`
})
