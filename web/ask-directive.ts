import type { Assessment } from '@zucchini/core/assess'
import type { ObjectDirective } from 'vue'
import { type FigureRef, useAsk } from './stores/ask.ts'
import type { Told } from './stores/told.ts'

/**
 * What stands behind a figure on a page: which figure it is, and of which set-up, or how to come to that; or, of a figure
 * that belongs to no set-up, its name and what is told of it.
 */
export type Asking =
  | readonly [figure: FigureRef, of: Assessment | undefined | (() => Assessment | undefined)]
  | readonly [id: string, told: { readonly tell: () => Told }]

const asking = new WeakMap<HTMLElement, Asking>()
/** What has a use of its own when it is pressed. */
const OWN_USE = 'a, button, input, select, textarea, label, summary, [role="option"], [role="slider"]'

const ask = (el: HTMLElement): void => {
  const [figure, of] = asking.get(el) ?? []
  if (!figure || !of) return
  if ('tell' in of) return useAsk().tell(of.tell())
  const assessment = typeof of === 'function' ? of() : of
  if (assessment) useAsk().open(figure as FigureRef, assessment)
}
const onClick = (event: MouseEvent): void => {
  const el = event.currentTarget as HTMLElement
  const used = (event.target as Element).closest(OWN_USE)
  // A row of text that was just marked is wanted for itself.
  if ((!used || used === el) && !getSelection()?.toString()) ask(el)
}
const onKey = (event: KeyboardEvent): void => {
  if (event.key !== 'Enter' || event.target !== event.currentTarget) return
  event.preventDefault()
  ask(event.currentTarget as HTMLElement)
}
const mark = (el: HTMLElement, value: Asking): void => {
  asking.set(el, value)
  el.dataset['asks'] = value[0]
}

/**
 * `v-ask="['fact day', assessment]"`: the figures in this row, card or chart can be asked about, by mouse and touch
 * anywhere on it, and by one stop of the keyboard and Enter.
 */
export const vAsk: ObjectDirective<HTMLElement, Asking> = {
  mounted: (el, { value }) => {
    mark(el, value)
    if (!el.matches('a, button')) el.tabIndex = 0
    if (!el.title) el.title = 'How it is reckoned (Enter)'
    el.classList.add('asks')
    el.addEventListener('click', onClick)
    el.addEventListener('keydown', onKey)
  },
  updated: (el, { value }) => mark(el, value),
}
