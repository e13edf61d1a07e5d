import { useEffect } from 'react'

const MESSAGES = '.mantine-Notifications-root[data-position="bottom-left"]'

/** Keeps as much of the screen's foot free as the messages take, so that they never lie on what is worked on. */
export function useTold() {
  useEffect(() => {
    const root = document.documentElement
    const box = document.querySelector<HTMLElement>(MESSAGES)
    if (!box || typeof ResizeObserver === 'undefined') return
    const measure = () => {
      const foot = parseFloat(getComputedStyle(box).bottom) || 0
      const told = box.querySelector('.mantine-Notification-root') ? box.offsetHeight + foot : 0
      root.style.setProperty('--told', `${told}px`)
    }
    const watch = new ResizeObserver(measure)
    watch.observe(box)
    return () => {
      watch.disconnect()
      root.style.removeProperty('--told')
    }
  }, [])
}
