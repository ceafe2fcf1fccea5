import { createRouter, createWebHistory } from 'vue-router'
import { routes } from './screens/list.ts'

export const router = createRouter({ history: createWebHistory(), routes: [...routes] })

router.afterEach((to) => {
  document.title = `${to.meta['title'] as string} · Zucchini`
})
