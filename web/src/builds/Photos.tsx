import { Button, FileButton } from '@mantine/core'
import { useQuery } from '@tanstack/react-query'
import { type Car, useBoard } from '../api/board'
import { client, dataOf, upload } from '../api/client'
import { useSend } from '../api/send'
import { day } from '../format/time'
import layout from '../ui/layout.module.css'
import css from './builds.module.css'

/** Photos of the car; each is shown to the customer only where the manager says so. */
export function Photos({ car, manager }: { car: Car; manager: boolean }) {
  const { board } = useBoard()
  const { send, busy } = useSend()
  const photos = useQuery({
    queryKey: ['photos', car.id],
    queryFn: () => dataOf(client.GET('/api/builds/{build}/photos', { params: { path: { build: car.id } } })),
  })
  return (
    <section className="panel" aria-label="Photos">
      <h2>
        Photos
        <FileButton
          accept="image/jpeg,image/png"
          onChange={(file) => {
            if (file) void send(() => upload(`/api/builds/${car.id}/photos`, file))
          }}
        >
          {(props) => (
            <Button {...props} size="compact-xs" variant="default" className={layout.aside} loading={busy}>
              Add
            </Button>
          )}
        </FileButton>
      </h2>
      {photos.data?.length === 0 && <span className="soft small">None yet.</span>}
      <div className={css.gallery}>
        {(photos.data ?? []).map((p) => (
          <div key={p.id} className="small">
            <a href={`/api/photos/${p.id}`} target="_blank" rel="noreferrer">
              <img
                src={`/api/photos/${p.id}/small`}
                alt={p.caption || `of ${day(p.at, board.zone)}`}
                className={css.photo}
              />
            </a>
            <span className="soft">
              {day(p.at, board.zone)}, {p.by}
            </span>
            {manager && (
              <button
                className="link"
                onClick={() =>
                  void send(() =>
                    dataOf(
                      client.POST('/api/photos/{id}/release', {
                        params: { path: { id: p.id } },
                        body: { released: !p.released },
                      }),
                    ),
                  )
                }
              >
                {p.released ? 'the customer sees it' : 'show the customer'}
              </button>
            )}
          </div>
        ))}
      </div>
    </section>
  )
}
