import { Button, NativeSelect } from '@mantine/core'
import { useQuery } from '@tanstack/react-query'
import { useBoard } from '../api/board'
import { client, dataOf } from '../api/client'
import { useSend } from '../api/send'
import layout from '../ui/layout.module.css'
import { rowsOf, type Values } from './values'

interface Props {
  values: Values
  set: (values: Values) => void
  manages: boolean
  /** What the car weighed last; empty where it never was. */
  weighed: string
}

/**
 * Takes the limits of a class that was entered once; what was measured of a line that stays the same is kept, and a least
 * weight begins with what the car weighed last.
 */
export function ClassPicker({ values, set, manages, weighed }: Props) {
  const { looked } = useBoard()
  const { send, busy } = useSend()
  const classes = useQuery({
    queryKey: ['classes', looked],
    queryFn: () => dataOf(client.GET('/api/classes')),
    placeholderData: (before) => before,
  }).data
  const name = String(values.class ?? '')
  const take = (picked: string) => {
    const limits = classes?.find((c) => c.name === picked)?.limits
    if (!limits) return
    const before = rowsOf(values, 'limits')
    set({
      ...values,
      class: picked,
      limits: limits.map((l): Values => ({
        ...l,
        measured: before.find((b) => b.measure === l.measure)?.measured || (l.kind === 'mass' ? weighed : ''),
      })),
    })
  }
  const keep = () => {
    const text = (row: Values, field: string) => String(row[field] ?? '')
    void send(() =>
      dataOf(
        client.PUT('/api/classes', {
          body: {
            name,
            limits: rowsOf(values, 'limits').map((row) => ({
              measure: text(row, 'measure'),
              kind: text(row, 'kind') || 'length',
              least: text(row, 'least'),
              most: text(row, 'most'),
              tolerance: text(row, 'tolerance'),
            })),
          },
        }),
      ),
    )
  }
  return (
    <div className={layout.row}>
      <NativeSelect
        size="xs"
        aria-label="Limits of the class"
        value={classes?.some((c) => c.name === name) ? name : ''}
        data={[{ value: '', label: 'pick a class' }, ...(classes ?? []).map((c) => c.name)]}
        onChange={(e) => take(e.currentTarget.value)}
      />
      {manages && (
        <Button variant="default" size="compact-sm" loading={busy} disabled={!name} onClick={keep}>
          Keep these limits for the class
        </Button>
      )}
    </div>
  )
}
