import { deserialize, serialize } from 'node:v8'
import 'fake-indexeddb/auto'

class NoResize {
  observe(): void {}
  unobserve(): void {}
  disconnect(): void {}
}
globalThis.ResizeObserver = NoResize
// The simulated page has none of its own; what is stored is copied as a browser would.
globalThis.structuredClone = <T>(value: T): T => deserialize(serialize(value)) as T

// Nothing scrolls without a window.
Element.prototype.scrollIntoView = () => undefined
