import type { ReactNode } from 'react'

interface Props {
  title: string
  text?: string
  children?: ReactNode
}

/** What is shown where there is nothing to show: what it means and what to do. */
export function Nothing({ title, text, children }: Props) {
  return (
    <div style={{ padding: '40px 20px', textAlign: 'center' }} role="status">
      <div className="strong" style={{ fontSize: 18 }}>
        {title}
      </div>
      {text && <p className="soft">{text}</p>}
      {children}
    </div>
  )
}
