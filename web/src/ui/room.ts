import { type ComponentType, lazy } from 'react'

const AGAIN = 'room-again'

/**
 * A room that is fetched when it is gone to. Where that fails because another version is served by now, the page is loaded anew,
 * once.
 */
export function room<P>(load: () => Promise<ComponentType<P>>) {
  return lazy(async () => {
    try {
      const loaded = await load()
      sessionStorage.removeItem(AGAIN)
      return { default: loaded }
    } catch (error) {
      if (sessionStorage.getItem(AGAIN)) throw error
      sessionStorage.setItem(AGAIN, 'yes')
      window.location.reload()
      return await new Promise<never>(() => undefined)
    }
  })
}
