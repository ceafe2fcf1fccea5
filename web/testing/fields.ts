import type { VueWrapper } from '@vue/test-utils'

/** The field that a label names. */
export const fieldOf = (page: VueWrapper, label: string) => {
  const id = page
    .findAll('label')
    .find((one) => one.text() === label)
    ?.attributes('for')
  return page.find<HTMLInputElement>(`[id="${id}"]`)
}

/** What stands on a page as wrong. */
export const alertsOf = (page: VueWrapper): readonly string[] => page.findAll('[role="alert"]').map((one) => one.text())
