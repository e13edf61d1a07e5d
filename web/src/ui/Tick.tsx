import { Checkbox } from '@mantine/core'
import css from './ui.module.css'
import { type Send, useSent } from './useSent'

interface Props {
  label: string
  ticked: boolean
  disabled?: boolean
  onTick: Send<boolean>
}

/** A check that somebody makes. */
export function Tick({ label, ticked, disabled, onTick }: Props) {
  const { shown, choose, sending } = useSent(ticked, onTick)
  return (
    <Checkbox
      size="md"
      label={label}
      checked={shown}
      disabled={disabled || sending}
      onChange={(e) => choose(e.currentTarget.checked)}
      classNames={{ label: shown ? undefined : css.openLabel }}
    />
  )
}
