import 'fake-indexeddb/auto'
import './page.ts'
import { enableAutoUnmount } from '@vue/test-utils'
import { IDBFactory } from 'fake-indexeddb'
import { forgetLater } from './page.ts'

const asNodeHasIt = { fetch }
const leave: (() => void)[] = []
enableAutoUnmount((unmount) => leave.push(unmount))

/** Nothing that a test put on the page is there for the next. */
export const afterTest = (): void => {
  for (const one of leave) one()
}

/** Nothing that a file of tests left behind is there for the next. */
export const afterFile = (): void => {
  forgetLater()
  Object.assign(globalThis, asNodeHasIt, { indexedDB: new IDBFactory() })
  localStorage.clear()
  sessionStorage.clear()
  document.body.replaceChildren()
  history.replaceState(null, '', '/')
}
