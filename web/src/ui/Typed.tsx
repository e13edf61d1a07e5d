import { Fragment, type ReactNode, useState } from 'react'

interface Props<T> {
  said: T
  /** Changes whenever what is said does. */
  edition: string | number
  /** What it is, in words: "the house rules". */
  what: string
  /** The form; it tells whether something is typed in it that is not saved. */
  children: (shown: T, onTyping: (typing: boolean) => void) => ReactNode
}

/**
 * A form of something that others change too: what they save is shown at once while nothing is typed here. What is typed is
 * not wiped out; a line says that it was overtaken.
 */
export function Typed<T>({ said, edition, what, children }: Props<T>) {
  const [shown, setShown] = useState({ said, edition })
  const [typing, setTyping] = useState(false)
  const overtaken = edition !== shown.edition
  if (overtaken && !typing) setShown({ said, edition })
  return (
    <>
      {overtaken && typing && (
        <p className="hot" role="status">
          Somebody else has changed {what} since you began.{' '}
          <button type="button" className="link" onClick={() => setTyping(false)}>
            Look at theirs; what is typed here goes
          </button>
        </p>
      )}
      <Fragment key={shown.edition}>{children(shown.said, setTyping)}</Fragment>
    </>
  )
}
