import { Button, Drawer, Group, TextInput } from '@mantine/core'
import { useForm } from '@mantine/form'
import { useState } from 'react'
import { type Station, useBoard } from '../api/board'
import { client, dataOf, done, type Schemas } from '../api/client'
import { atFields, useSend } from '../api/send'
import { dayKey } from '../format/time'
import { Closures, saidClosures } from './Closures'
import layout from '../ui/layout.module.css'

/** The places where work happens; those of one kind are interchangeable. */
export function Stations({ changes }: { changes: boolean }) {
  const { board } = useBoard()
  const [editing, setEditing] = useState<Station | 'new'>()
  return (
    <>
      <table className={`plain ${layout.measure}`}>
        <thead>
          <tr>
            <th>Station</th>
            <th>Kind</th>
            <th>Closures</th>
          </tr>
        </thead>
        <tbody>
          {board.stations.map((s) => (
            <tr key={s.id}>
              <td>
                <button className="link strong" onClick={() => setEditing(s)}>
                  {s.name}
                </button>
              </td>
              <td>{s.kind}</td>
              <td className="small">{saidClosures(s.closures) || '—'}</td>
            </tr>
          ))}
        </tbody>
      </table>
      {board.stations.length === 0 && (
        <p className="soft">No stations yet. Jobs that need none can be planned without.</p>
      )}
      {changes && (
        <Button mt="md" variant="default" onClick={() => setEditing('new')}>
          Set up a station
        </Button>
      )}
      {editing && (
        <StationForm
          station={editing === 'new' ? undefined : editing}
          changes={changes}
          onClose={() => setEditing(undefined)}
        />
      )}
    </>
  )
}

function StationForm({
  station,
  changes,
  onClose,
}: {
  station?: Station
  changes: boolean
  onClose: () => void
}) {
  const { board } = useBoard()
  const { send, busy } = useSend()
  const form = useForm({
    initialValues: {
      name: station?.name ?? '',
      kind: station?.kind ?? 'bay',
      closures: station?.closures ?? [],
    },
  })
  const save = async (values: typeof form.values) => {
    const body: Schemas['StationRequest'] = { ...values, version: station?.version ?? 0 }
    const done = await send(
      async () => {
        if (station)
          await dataOf(client.PUT('/api/stations/{id}', { params: { path: { id: station.id } }, body }))
        else await dataOf(client.POST('/api/stations', { body }))
        return true
      },
      (problem) => atFields(problem, form.setFieldError),
    )
    if (done) onClose()
  }
  return (
    <Drawer opened onClose={onClose} position="right" size={440} title={station?.name ?? 'A new station'}>
      <form onSubmit={form.onSubmit((v) => void save(v))}>
        <fieldset disabled={!changes} className={layout.bare}>
          <TextInput label="Name" {...form.getInputProps('name')} />
          <TextInput label="Kind" mt={8} list="kinds" {...form.getInputProps('kind')} />
          <datalist id="kinds">
            {[...new Set(board.stations.map((s) => s.kind))].map((k) => (
              <option key={k} value={k} />
            ))}
          </datalist>
          <div className={`small strong ${layout.below}`}>Shut</div>
          <Closures
            closures={form.values.closures}
            errors={form.errors}
            today={dayKey(board.now, board.zone)}
            onChange={(c) => form.setFieldValue('closures', c)}
          />
          {changes && (
            <Group mt={16} gap={8}>
              <Button type="submit" loading={busy}>
                Save
              </Button>
              {station && (
                <Button
                  variant="default"
                  onClick={() =>
                    void send(() =>
                      done(client.DELETE('/api/stations/{id}', { params: { path: { id: station.id } } })),
                    ).then((gone) => gone && onClose())
                  }
                >
                  Take down
                </Button>
              )}
            </Group>
          )}
        </fieldset>
      </form>
    </Drawer>
  )
}
