import { TextDecoder, TextEncoder } from 'node:util'

/** What the test DOM lacks and the pieces of the kit ask for; nothing where there is no DOM. */
if (typeof document !== 'undefined') {
  class Observer {
    observe() {}
    unobserve() {}
    disconnect() {}
  }
  Object.assign(globalThis, { TextDecoder, TextEncoder, ResizeObserver: Observer, IntersectionObserver: Observer })
  globalThis.structuredClone ??= (v) => JSON.parse(JSON.stringify(v))
  Element.prototype.getAnimations ??= () => []
  Element.prototype.scrollIntoView ??= () => undefined
}
