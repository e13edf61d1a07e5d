import { useState } from 'react'
import { CallForm } from './CallForm'

/** Notes a call that comes in, from any room. */
export function CallButton() {
  const [calling, setCalling] = useState(false)
  return (
    <>
      <button onClick={() => setCalling(true)} title="Note a call that comes in, or promise one">
        Call
      </button>
      {calling && <CallForm onClose={() => setCalling(false)} />}
    </>
  )
}
