class NoResize {
  observe(): void {}
  unobserve(): void {}
  disconnect(): void {}
}
globalThis.ResizeObserver = NoResize

// Nothing scrolls without a window.
Element.prototype.scrollIntoView = () => undefined
