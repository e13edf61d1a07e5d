import { Button, Group } from '@mantine/core'
import type { Understood } from '../api/understood'
import css from './domain.module.css'

/** What a line is taken as, before it is sent; where several could be meant, which. */
export function SaidBack({
  understood,
  onChoose,
}: {
  understood: Understood
  onChoose: (id: string) => void
}) {
  return (
    <div className={css.saidBack} role="status">
      <span className={understood.clear ? 'quiet' : understood.choices.length > 0 ? 'strong' : 'soft'}>
        {understood.said}
      </span>
      {understood.choices.length > 0 && (
        <Group gap={6} mt={4}>
          {understood.choices.map((c) => (
            <Button key={c.id} size="compact-sm" variant="default" onClick={() => onChoose(c.id)}>
              {c.name}
            </Button>
          ))}
        </Group>
      )}
    </div>
  )
}
