import { Button } from '@mantine/core'
import layout from './layout.module.css'

/** The heading of a panel, with its button to add where the one who looks may. */
export function PanelHead({ title, onAdd }: { title: string; onAdd?: () => void }) {
  return (
    <h2>
      {title}
      {onAdd && (
        <Button size="compact-xs" variant="default" className={layout.aside} onClick={onAdd}>
          Add
        </Button>
      )}
    </h2>
  )
}
