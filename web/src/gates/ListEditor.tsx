import { Button } from '@mantine/core'
import { type ReactNode, useEffect, useState } from 'react'
import { ProblemError } from '../api/client'
import { useSend } from '../api/send'
import layout from '../ui/layout.module.css'
import { Typed } from '../ui/Typed'
import css from './gates.module.css'

interface List<T> {
  edition: string
  items: T[]
  own: boolean
}

interface Props<T> {
  list: List<T>
  /** What all of it is called. */
  name: string
  /** What is put at the end where one is added. */
  blank: () => T
  what: string
  changes: boolean
  /** Keeps what is to be instead of that edition; true where it was taken. */
  keep: (items: T[], edition: string) => Promise<true>
  forget: () => Promise<unknown>
  children: (item: T, put: (part: Partial<T>) => void, at: (field: string) => string | undefined) => ReactNode
  /** What the problems of the list are called by. */
  field: string
}

/** A list of the house, of a discipline or of a car, changed as a whole. */
export function ListEditor<T>(props: Props<T>) {
  return (
    <Typed said={props.list} edition={props.list.edition} what={props.name}>
      {(list, onTyping) => <Editor {...props} list={list} onTyping={onTyping} />}
    </Typed>
  )
}

function Editor<T>(props: Props<T> & { onTyping: (typing: boolean) => void }) {
  const { list, blank, what, changes, keep, forget, children, field, onTyping } = props
  const { own, items: there } = list
  const [items, setItems] = useState(there)
  const typed = items !== there
  useEffect(() => onTyping(typed), [typed, onTyping])
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
            disabled={!typed}
            onClick={() =>
              void send(() => keep(items, list.edition), problem).then((kept) => kept && onTyping(false))
            }
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
