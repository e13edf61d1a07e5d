import { Checkbox } from '@mantine/core'
import { useState } from 'react'
import css from './ui.module.css'

interface Props {
  label: string
  ticked: boolean
  disabled?: boolean
  /** Sends the tick; undefined where it was not taken. */
  onTick: (ticked: boolean) => Promise<unknown>
}

/** A check that somebody makes: it shows the thumb at once, and what is so once that is known. */
export function Tick({ label, ticked, disabled, onTick }: Props) {
  const [sent, setSent] = useState<boolean>()
  const shown = sent ?? ticked
  const tick = (now: boolean) => {
    setSent(now)
    void onTick(now).finally(() => setSent(undefined))
  }
  return (
    <Checkbox
      size="md"
      label={label}
      checked={shown}
      disabled={disabled || sent !== undefined}
      onChange={(e) => tick(e.currentTarget.checked)}
      classNames={{ label: shown ? undefined : css.openLabel }}
    />
  )
}
