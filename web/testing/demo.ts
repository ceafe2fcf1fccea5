import { type Assessment, evaluate } from '@zucchini/core/assess'
import type { Rig } from '@zucchini/core/assembly'
import { catalogueOf } from '@zucchini/core/catalogue'
import type { Context } from '@zucchini/core/context'
import { demoParts } from '@zucchini/demo/catalogue'
import { demoLocker, firstMark, secondMark } from '@zucchini/demo/scenario'
import { flushPromises, mount, type MountingOptions, RouterLinkStub } from '@vue/test-utils'
import { createPinia, setActivePinia } from 'pinia'
import type { Component } from 'vue'
import { vAsk } from '../ask-directive.ts'

/** The demo as pages see it. */
export const demoContext: Context = {
  catalogue: catalogueOf(demoParts),
  owned: new Map(Object.entries(demoLocker)),
}
export const assessed = (rig: Rig, setup: string): Assessment => evaluate(rig, setup, demoContext)
export const first = (setup = 'crossing'): Assessment => assessed(firstMark, setup)
export const second = (setup = 'crossing'): Assessment => assessed(secondMark, setup)

/** A component on a page of its own, with stores and the question about figures; `ways` are where its links lead. */
export const onPage = async <C extends Component>(
  component: C,
  options: MountingOptions<Record<string, unknown>> = {},
) => {
  const pinia = createPinia()
  setActivePinia(pinia)
  const page = mount(component as Component, {
    attachTo: document.body,
    ...options,
    global: { plugins: [pinia], directives: { ask: vAsk }, stubs: { RouterLink: RouterLinkStub }, ...options.global },
  })
  await flushPromises()
  return { page, pinia, ways: () => page.findAllComponents(RouterLinkStub).map((link) => link.props().to as unknown) }
}
