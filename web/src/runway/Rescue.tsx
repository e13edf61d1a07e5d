import { Button, Progress } from '@mantine/core'
import { type Commitment, useBoard } from '../api/board'
import { client, dataOf, type Schemas } from '../api/client'
import { useSend } from '../api/send'
import { thinking, type Tried, useThoughts } from '../api/thinking'
import { OddsMark, percent } from '../domain/OddsMark'
import { margin } from '../format/margin'
import { varied } from './varied'
import layout from '../ui/layout.module.css'
import css from './runway.module.css'

const EFFECTS = 3
/** A change of another date's chance that is worth a word. */
const NOTED = 0.02

/** What would win a date back: moves that were tried, what each does to this date and to the others. */
export function Rescue({ date, account }: { date: Commitment; account: Schemas['Account'] }) {
  const { send, busy } = useSend()
  const thought = useThoughts().find((t) => t.kind === 'RESCUE' && t.subject === date.id)
  const manager = account.role === 'MANAGER'
  const going = thinking(thought)
  const found = thought?.rescue
  const ask = () =>
    void send(() => dataOf(client.POST('/api/thoughts/rescue', { body: { commitmentId: date.id } })))
  const path = { path: { id: thought?.id ?? '' } }
  return (
    <section aria-label="What would help" className={css.effort}>
      <div className={css.progress} aria-live="polite">
        <span className="strong">What would help</span>
        {manager && !going && (
          <Button size="compact-sm" variant={found ? 'default' : 'filled'} loading={busy} onClick={ask}>
            {found ? 'Try everything again' : 'Try everything that could'}
          </Button>
        )}
        {going && (
          <>
            <Progress
              className={css.bar}
              value={found && found.all > 0 ? (100 * found.done) / found.all : 2}
              aria-label="Moves tried"
            />
            <span className="soft small">
              {found ? `${found.done} of ${found.all} tried` : 'waiting for its turn'}
            </span>
            {manager && (
              <Button
                size="compact-sm"
                variant="default"
                onClick={() =>
                  void send(() => dataOf(client.POST('/api/thoughts/{id}/stop', { params: path })))
                }
              >
                Stop
              </Button>
            )}
          </>
        )}
        {thought?.state === 'FAILED' && (
          <span className="hot">It could not be thought through. Try again.</span>
        )}
      </div>
      {found && found.tried.length === 0 && !going && (
        <p className="soft">Nothing that the shop could do alone wins anything here.</p>
      )}
      {found && found.tried.length > 0 && (
        <table className={`plain ${layout.belowThin}`}>
          <thead>
            <tr>
              <th className={layout.left}>move</th>
              <th className={layout.left}>kept</th>
              <th className="right">margin</th>
              <th className={layout.left}>other dates</th>
              <th className="right">to tell</th>
              <th className="right">effort</th>
              <th />
            </tr>
          </thead>
          <tbody>
            {varied(found.tried).map(([tried, i]) => (
              <Row
                key={tried.words.join()}
                tried={tried}
                onTry={
                  manager && !going && thought
                    ? () =>
                        void send(() =>
                          dataOf(client.POST('/api/thoughts/{id}/try', { params: path, body: { index: i } })),
                        )
                    : undefined
                }
              />
            ))}
          </tbody>
        </table>
      )}
      {found && found.tried.length > 0 && (
        <p className={`soft small ${layout.note}`}>
          The best first: the chance and the margin that it wins, less what other dates lose, for each hour of
          effort: extra work, ringing and fetching, telling those whose plan changes. The effort is our
          estimate.
        </p>
      )}
    </section>
  )
}

function Row({ tried, onTry }: { tried: Tried; onTry?: () => void }) {
  const { commitment, car } = useBoard()
  const others = tried.others
    .filter((e) => Math.abs(e.chanceAfter - e.chanceBefore) >= NOTED)
    .sort((a, b) => a.chanceAfter - a.chanceBefore - (b.chanceAfter - b.chanceBefore))
  return (
    <tr>
      <td>
        {tried.words.map((w) => (
          <div key={w}>{w}</div>
        ))}
      </td>
      <td className={layout.nowrap}>
        <OddsMark chance={tried.chanceAfter} />{' '}
        <span className="soft small">from {percent(tried.chanceBefore)}</span>
      </td>
      <td className={`right ${layout.nowrap}`}>{margin(tried.marginAfter)}</td>
      <td className="small">
        {others.length === 0 && <span className="soft">none suffers</span>}
        {others.slice(0, EFFECTS).map((e) => {
          const date = commitment.get(e.commitmentId)
          return (
            <div key={e.commitmentId} className={e.chanceAfter < e.chanceBefore ? 'hot' : ''}>
              {car.get(date?.buildId ?? '')?.number} {date?.name}: {percent(e.chanceBefore)} →{' '}
              {percent(e.chanceAfter)}
            </div>
          )
        })}
        {others.length > EFFECTS && <div className="soft">and {others.length - EFFECTS} more</div>}
      </td>
      <td className="right">{tried.told.length}</td>
      <td className={`right ${layout.nowrap}`}>{tried.effort.toFixed(1)} h</td>
      <td className="right">
        {onTry && (
          <Button size="compact-sm" variant="default" onClick={onTry}>
            Try
          </Button>
        )}
      </td>
    </tr>
  )
}
