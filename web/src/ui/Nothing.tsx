import type { ReactNode } from 'react'
import css from './ui.module.css'

interface Props {
  title: string
  text?: string
  children?: ReactNode
}

/** What is shown where there is nothing to show: what it means and what to do. */
export function Nothing({ title, text, children }: Props) {
  return (
    <div className={css.empty} role="status">
      <div className={`strong ${css.headline}`}>{title}</div>
      {text && <p className="soft">{text}</p>}
      {children}
    </div>
  )
}
