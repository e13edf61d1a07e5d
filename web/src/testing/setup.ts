import { afterEach } from 'vitest'

/** What a browser has and jsdom has not; tests of plain functions run without either. */
if (typeof window !== 'undefined') {
  const { cleanup, configure } = await import('@testing-library/react')
  const { answer } = await import('./server')
  configure({ asyncUtilTimeout: 20_000 })
  globalThis.ResizeObserver = class {
    observe() {}
    unobserve() {}
    disconnect() {}
  }
  window.matchMedia = (query: string) =>
    ({
      matches: false,
      media: query,
      addEventListener() {},
      removeEventListener() {},
    }) as unknown as MediaQueryList
  Object.defineProperty(document, 'fonts', { value: new EventTarget() })
  Element.prototype.scrollIntoView = () => undefined

  // Addresses are those of the page that asks.
  const Plain = globalThis.Request
  globalThis.Request = class extends Plain {
    constructor(input: RequestInfo | URL, init?: RequestInit) {
      super(typeof input === 'string' ? new URL(input, 'http://shop.test') : input, init)
    }
  }
  globalThis.fetch = async (input, init) =>
    answer(input instanceof Plain ? input : new Request(input as string, init))
  afterEach(cleanup)
}
