import { Button } from '@mantine/core'
import { type ReactNode, useState } from 'react'
import { ProblemError } from '../api/client'
import { useSend } from '../api/send'
import layout from '../ui/layout.module.css'
import css from './gates.module.css'

interface Props<T> {
  there: T[]
  own: boolean
  /** What is put at the end where one is added. */
  blank: () => T
  what: string
  changes: boolean
  keep: (items: T[]) => Promise<unknown>
  forget: () => Promise<unknown>
  children: (item: T, put: (part: Partial<T>) => void, at: (field: string) => string | undefined) => ReactNode
  /** What the problems of the list are called by. */
  field: string
}

/** A list of the house, of a discipline or of a car, changed as a whole. */
export function ListEditor<T>(props: Props<T>) {
  const { there, own, blank, what, changes, keep, forget, children, field } = props
  const [items, setItems] = useState(there)
  const [errors, setErrors] = useState<Record<string, string>>({})
  const { send, busy } = useSend()
  const put = (i: number, part: Partial<T>) =>
    setItems((all) => all.map((item, j) => (i === j ? { ...item, ...part } : item)))
  const move = (i: number, by: number) =>
    setItems((all) => {
      const next = [...all]
      const [one] = next.splice(i, 1)
      next.splice(i + by, 0, one!)
      return next
    })
  const problem = (p: ProblemError) => {
    setErrors(Object.fromEntries(p.problems.map((x) => [x.field, x.message])))
    return p.problems.length > 0
  }
  return (
    <div className={layout.column}>
      <p className="soft">
        {own
          ? 'This is a list of its own.'
          : 'This is how it usually is; once changed, it is a list of its own.'}
      </p>
      <fieldset className={layout.bare} disabled={!changes}>
        <ol className={css.list}>
          {items.map((item, i) => (
            <li key={i} className={css.item}>
              {children(
                item,
                (part) => put(i, part),
                (f) => errors[`${field}[${i}].${f}`],
              )}
              {changes && (
                <div className={layout.row}>
                  <Button size="compact-xs" variant="default" disabled={i === 0} onClick={() => move(i, -1)}>
                    Up
                  </Button>
                  <Button
                    size="compact-xs"
                    variant="default"
                    disabled={i === items.length - 1}
                    onClick={() => move(i, 1)}
                  >
                    Down
                  </Button>
                  <Button
                    size="compact-xs"
                    variant="default"
                    onClick={() => setItems((all) => all.filter((_, j) => j !== i))}
                  >
                    Take it out
                  </Button>
                </div>
              )}
            </li>
          ))}
        </ol>
      </fieldset>
      {errors[field] && <p className="hot">{errors[field]}</p>}
      {changes && (
        <div className={layout.row}>
          <Button
            loading={busy}
            disabled={items === there}
            onClick={() => void send(() => keep(items), problem)}
          >
            Keep
          </Button>
          <Button variant="default" onClick={() => setItems((all) => [...all, blank()])}>
            Add {what}
          </Button>
          {own && (
            <Button variant="default" loading={busy} onClick={() => void send(forget)}>
              As it usually is
            </Button>
          )}
        </div>
      )}
    </div>
  )
}
