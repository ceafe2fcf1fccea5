import { JSDOM } from 'jsdom'

/** Node has these of its own, and what belongs to a page takes only the page's. */
const ofThePage: ReadonlySet<string> = new Set([
  'AbortController',
  'AbortSignal',
  'Blob',
  'CustomEvent',
  'DOMException',
  'Event',
  'EventTarget',
  'File',
  'FormData',
  'MessageEvent',
  'addEventListener',
  'dispatchEvent',
  'localStorage',
  'navigator',
  'removeEventListener',
  'sessionStorage',
])
const { window } = new JSDOM('<!doctype html><html lang="en"><head></head><body></body></html>', {
  url: 'http://localhost/',
})
const give = (name: string, value: unknown): void => {
  Object.defineProperty(globalThis, name, { configurable: true, writable: true, value })
}
const isClass = (name: string): boolean => /^[A-Z]/.test(name)

// The simulated page that all tests of a process share: the names of its window are names everywhere.
for (const name of [
  ...Object.getOwnPropertyNames(window),
  'addEventListener',
  'dispatchEvent',
  'removeEventListener',
]) {
  if (/^[\d_]/.test(name) || (name in globalThis && !ofThePage.has(name))) continue
  const value: unknown = Reflect.get(window, name)
  give(name, typeof value === 'function' && !isClass(name) ? (value as () => unknown).bind(window) : value)
}
give('window', globalThis)

// Tests do not talk to each other as windows do.
Reflect.deleteProperty(globalThis, 'BroadcastChannel')
// A page has no turn that comes before all timers: what waits for a turn waits for one of those, in true time.
const inTrueTime = setTimeout
give('setImmediate', (run: (...given: unknown[]) => void, ...given: unknown[]) => inTrueTime(run, 0, ...given))

const begun = new Set<NodeJS.Timeout>()
give('setTimeout', (run: (...given: unknown[]) => void, ms?: number, ...given: unknown[]) => {
  const one = inTrueTime(() => {
    begun.delete(one)
    run(...given)
  }, ms)
  begun.add(one)
  return one
})
const everAgain = setInterval
give('setInterval', (run: (...given: unknown[]) => void, ms?: number, ...given: unknown[]) => {
  const one = everAgain(run, ms, ...given)
  begun.add(one)
  return one
})
/** What was left for later does not happen any more. */
export const forgetLater = (): void => {
  for (const one of begun) clearTimeout(one)
  begun.clear()
}

/** Sixty pictures a second, for who asks; none keeps a process that is done. ms */
const FRAME_MS = 16
give('requestAnimationFrame', (draw: FrameRequestCallback) => setTimeout(() => draw(performance.now()), FRAME_MS))
give('cancelAnimationFrame', (one: NodeJS.Timeout) => clearTimeout(one))

give(
  'ResizeObserver',
  class {
    observe(): void {}
    unobserve(): void {}
    disconnect(): void {}
  },
)
// Nothing scrolls without a window.
Element.prototype.scrollIntoView = () => undefined
