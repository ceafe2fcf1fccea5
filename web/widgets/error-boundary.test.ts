import { mock } from 'node:test'
import { mount } from '@vue/test-utils'
import { createPinia, setActivePinia } from 'pinia'
import { defineComponent, h, nextTick, ref } from 'vue'
import { createMemoryHistory, createRouter } from 'vue-router'
import { ApiRefusal } from '../api.ts'
import { troubleOf, useTroubles } from '../stores/troubles.ts'
import ErrorBoundary from './ErrorBoundary.vue'

const breaks = ref(true)
const Screen = defineComponent({
  setup: () => () => {
    if (breaks.value) throw new RangeError('planted in drawing')
    return h('p', 'the screen')
  },
})
const Buttons = defineComponent({
  setup: () => () =>
    h(
      'button',
      {
        onClick: () => {
          throw new Error('planted in a press')
        },
      },
      'press',
    ),
})
const around = async (inner: object, path = '/rigs/tiny') => {
  setActivePinia(createPinia())
  const router = createRouter({
    history: createMemoryHistory(),
    routes: [
      { path: '/', component: { render: () => null } },
      { path: '/rigs/:id', component: { render: () => null } },
    ],
  })
  await router.push(path)
  const seen = mock.method(console, 'error', () => undefined)
  const wrapper = mount(ErrorBoundary, { slots: { default: () => h(inner) }, global: { plugins: [router] } })
  await nextTick()
  return { wrapper, router, seen }
}
afterEach(() => mock.restoreAll())

test('a screen that breaks is replaced by words and ways on, and can be tried again', async () => {
  breaks.value = true
  const { wrapper } = await around(Screen)
  expect(wrapper.text()).toContain('planted in drawing')
  expect(wrapper.text()).toContain('Nothing is lost')
  expect(wrapper.findAll('button').map((button) => button.text())).toEqual([
    'Try again',
    'Open the last good revision',
    'History',
  ])
  expect(wrapper.find('a[download]').attributes('href')).toBe('/api/rigs/tiny/file')
  breaks.value = false
  await wrapper.find('button').trigger('click')
  expect(wrapper.text()).toBe('the screen')
})

test('where no rig is open no history is offered, and another page is shown as ever', async () => {
  breaks.value = true
  const { wrapper, router } = await around(Screen, '/')
  expect(wrapper.findAll('button').map((button) => button.text())).toEqual(['Try again'])
  breaks.value = false
  await router.push('/rigs/other')
  await nextTick()
  expect(wrapper.text()).toBe('the screen')
})

test('a press that fails leaves the screen and is told in a note', async () => {
  const { wrapper } = await around(Buttons)
  await wrapper.find('button').trigger('click')
  expect(wrapper.text()).toBe('press')
  expect(useTroubles().notes.map(({ words }) => words)).toEqual(['planted in a press'])
})

test('words for what nobody caught: refusals as they are, a lost connection, a page that does not load', () => {
  expect(troubleOf(new ApiRefusal(409, 'part-owned', 'It is owned.', {}))).toEqual({
    words: 'It is owned.',
    detail: 'part-owned',
  })
  expect(troubleOf(new TypeError('Failed to fetch')).words).toContain('does not answer')
  expect(troubleOf(new Error('error loading dynamically imported module')).words).toContain('Reload')
  expect(troubleOf('just a text').words).toBe('just a text')
})
