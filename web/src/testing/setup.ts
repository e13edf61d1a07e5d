import { afterAll, afterEach } from 'vitest'

/** What was sent by the last test of a file comes to its end before the window is taken away from under it. */
const LAST_MILLIS = 200

/** What a browser has and jsdom has not; tests of plain functions run without either. */
if (typeof window !== 'undefined') {
  const { cleanup, configure } = await import('@testing-library/react')
  const { notifications } = await import('@mantine/notifications')
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
  Object.defineProperty(document, 'fonts', { value: new EventTarget(), configurable: true })
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
  afterEach(() => {
    cleanup()
    // Files share a window, and what is told in it is kept beside what is rendered.
    notifications.clean()
  })
  afterAll(() => new Promise((done) => setTimeout(done, LAST_MILLIS)))
}
