import { Loader } from '@mantine/core'
import layout from './layout.module.css'

/** While what is to be drawn is on its way. */
export function Waiting() {
  return (
    <div className={layout.centred}>
      <Loader aria-label="Loading" />
    </div>
  )
}
