import { TextDecoder, TextEncoder } from 'node:util'

/** What the test DOM lacks and the pieces of the kit ask for; nothing where there is no DOM. */
if (typeof document !== 'undefined') {
  class Observer {
    observe() {}
    unobserve() {}
    disconnect() {}
  }
  Object.assign(globalThis, { TextDecoder, TextEncoder, ResizeObserver: Observer, IntersectionObserver: Observer })
  // What is computed beside the page never answers here; what it shows is held where it is computed.
  class Silent extends EventTarget {
    postMessage() {}
    terminate() {}
  }
  Object.assign(globalThis, { Worker: Silent })
  // On a busy machine a page answers later; what never comes is still missed.
  const { configure } = await import('@testing-library/react')
  configure({ asyncUtilTimeout: 15_000 })
  globalThis.structuredClone ??= (v) => JSON.parse(JSON.stringify(v))
  Element.prototype.getAnimations ??= () => []
  Element.prototype.scrollIntoView ??= () => undefined
  // The labels of a control: the test DOM asks each label of the page for its control, for each control that is looked at.
  for (const Control of [
    HTMLInputElement,
    HTMLButtonElement,
    HTMLTextAreaElement,
    HTMLSelectElement,
    HTMLOutputElement,
  ])
    Object.defineProperty(Control.prototype, 'labels', {
      get(this: HTMLElement) {
        const around = this.closest('label')
        const first = around?.querySelector('input,button,textarea,select,output')
        return [...this.ownerDocument.getElementsByTagName('label')].filter((label) =>
          label.hasAttribute('for') ? label.htmlFor === this.id && this.id !== '' : label === around && first === this,
        )
      },
    })
}
