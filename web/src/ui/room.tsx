import { type ComponentType, useEffect, useState } from 'react'
import { Waiting } from './Waiting'

const AGAIN = 'room-again'

/** Where that fails because another version is served by now, the page is loaded anew, once. */
async function loaded<C>(load: () => Promise<C>): Promise<C> {
  try {
    const room = await load()
    sessionStorage.removeItem(AGAIN)
    return room
  } catch (error) {
    if (sessionStorage.getItem(AGAIN)) throw error
    sessionStorage.setItem(AGAIN, 'yes')
    window.location.reload()
    return await new Promise<never>(() => undefined)
  }
}

/**
 * A room that is fetched when it is gone to, or before that by its `begin`. It is drawn as soon as it is here: what is shown
 * in the meantime is no boundary of React's, which would hold back what comes after it for 300 ms.
 */
export function room<P extends object>(load: () => Promise<ComponentType<P>>) {
  let here: ComponentType<P> | undefined
  let coming: Promise<void> | undefined
  const begin = () =>
    (coming ??= loaded(load).then(
      (it) => {
        here = it
      },
      (error: unknown) => {
        coming = undefined
        throw error
      },
    ))
  function Room(props: P) {
    const [, setHere] = useState(here !== undefined)
    const [problem, setProblem] = useState<{ error: unknown }>()
    useEffect(() => {
      // Also where it is here by now: it may have come after this was drawn.
      begin().then(
        () => setHere(true),
        (error: unknown) => setProblem({ error }),
      )
    }, [])
    if (problem) throw problem.error
    const There = here
    return There ? <There {...props} /> : <Waiting />
  }
  return Object.assign(Room, { begin })
}
