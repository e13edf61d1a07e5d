import { Button, Menu } from '@mantine/core'
import { useMemo, useState } from 'react'
import { Link, useNavigate, useParams, useSearchParams } from 'react-router'
import { type Car, isCar, useBoard, type Work } from '../api/board'
import { client, dataOf, done, type Schemas } from '../api/client'
import { useSend } from '../api/send'
import { CarOutline, type ZoneName } from '../domain/CarOutline'
import { NextGate } from '../domain/NextGate'
import { MissedSlot } from '../domain/MissedSlot'
import { ComponentsPanel } from '../life/ComponentsPanel'
import { Parked } from '../domain/Parked'
import { Nothing } from '../ui/Nothing'
import { word } from '../format/words'
import { CarForm } from './CarForm'
import { Dates } from './Dates'
import { Decisions } from './Decisions'
import { Loans } from './Loans'
import { Faults } from './Faults'
import { ParkCar } from './ParkCar'
import { Rounds } from './Rounds'
import { Finished } from './Finished'
import { History } from './History'
import { ImportSheet } from './ImportSheet'
import { JobDrawer } from './JobDrawer'
import { JobTable } from './JobTable'
import { MeasuredList } from './MeasuredList'
import { NewBuild } from './NewBuild'
import { OutworkDrawer } from './OutworkDrawer'
import { OutworkList } from './OutworkList'
import { Parts } from './Parts'
import { Photos } from './Photos'
import { RunningInDrawer } from './RunningInDrawer'
import { AddTemplate, SaveTemplate } from './TemplateForms'
import { Restricted } from '../domain/Restricted'
import layout from '../ui/layout.module.css'
import css from './builds.module.css'

/** One car: its stages and jobs, by zone on the car from above; dates, parts, outside work. */
export function BuildRoom({ account }: { account: Schemas['Account'] }) {
  const { board, car: cars, work } = useBoard()
  const { id } = useParams()
  const [search, setSearch] = useSearchParams()
  const navigate = useNavigate()
  const [zone, setZone] = useState<ZoneName>()
  const [adding, setAdding] = useState<'job' | 'outwork' | 'running-in'>()
  const [importing, setImporting] = useState<'jobs' | 'parts' | 'outwork'>()
  const [editing, setEditing] = useState(false)
  const [parking, setParking] = useState(false)
  const [history, setHistory] = useState(false)
  const { send } = useSend()
  const [template, setTemplate] = useState<'save' | 'add'>()
  const car = cars.get(id ?? '') ?? (id ? undefined : board.cars[0])
  const changes = account.role !== 'HAND'
  const close = () => {
    setAdding(undefined)
    setSearch({}, { replace: true })
  }
  const picked = work.get(search.get('work') ?? '')
  const newBuild = search.has('new') && account.role === 'MANAGER'
  const header = (
    <Picker
      car={car}
      account={account}
      onPick={(c) => navigate(`/build/${c}`)}
      onNew={() => setSearch({ new: '' })}
    />
  )
  const putAway = (id: string) =>
    void send(() => done(client.POST('/api/builds/{id}/put-away', { params: { path: { id } } }))).then(
      (away) => away && navigate('/build'),
    )
  if (!car) {
    return (
      <>
        <div className="room-head">
          <h1>Build</h1>
          {header}
        </div>
        <Nothing
          title={id ? 'There is no such build (any more)' : 'No builds yet'}
          text="Take a car in: a template gives its stages and jobs, a date says when it must be ready."
        />
        {newBuild && <NewBuild onClose={close} onDone={(made) => navigate(`/build/${made}`)} />}
      </>
    )
  }
  return (
    <>
      <div className="room-head">
        <span className={`number ${css.number}`}>{car.number || '—'}</span>
        <h1>{car.name}</h1>
        <Restricted car={car} />
        <span className="soft">
          {[car.discipline, car.customer, `${car.done} of ${car.total} done`].filter(Boolean).join(' · ')}
        </span>
        <span className={`no-print ${layout.toolbar}`}>
          {header}
          {changes && (
            <>
              <Button size="compact-sm" onClick={() => setAdding('job')}>
                Add a job
              </Button>
              <Menu position="bottom-end">
                <Menu.Target>
                  <Button size="compact-sm" variant="default">
                    More
                  </Button>
                </Menu.Target>
                <Menu.Dropdown>
                  <Menu.Item onClick={() => setAdding('outwork')}>Add outside work</Menu.Item>
                  <Menu.Item onClick={() => setAdding('running-in')}>Add running-in</Menu.Item>
                  <Menu.Item onClick={() => setImporting('jobs')}>Import a job sheet (CSV)</Menu.Item>
                  <Menu.Item onClick={() => setImporting('parts')}>Import parts (CSV)</Menu.Item>
                  <Menu.Item onClick={() => setImporting('outwork')}>Import outside work (CSV)</Menu.Item>
                  <Menu.Item component="a" href={`/api/builds/${car.id}/outwork.csv`}>
                    Export the outside work (CSV)
                  </Menu.Item>
                  <Menu.Item component="a" href={`/api/builds/${car.id}/parts.csv`}>
                    Export the parts (CSV)
                  </Menu.Item>
                  <Menu.Item component={Link} to={`/rollout/${car.id}`}>
                    Gates and roll-out
                  </Menu.Item>
                  <Menu.Item component="a" href={`/api/builds/${car.id}/jobs.csv`}>
                    Export the job sheet (CSV)
                  </Menu.Item>
                  <Menu.Item onClick={() => setTemplate('add')}>Add work from a template</Menu.Item>
                  <Menu.Item onClick={() => setTemplate('save')}>Save its work as a template</Menu.Item>
                  <Menu.Item onClick={() => window.print()}>Print</Menu.Item>
                  {account.role === 'MANAGER' && !car.parked && (
                    <Menu.Item onClick={() => setParking(true)}>Park the car</Menu.Item>
                  )}
                  {account.role === 'MANAGER' && car.done === car.total && car.total > 0 && (
                    <Menu.Item onClick={() => putAway(car.id)}>Put it away, finished</Menu.Item>
                  )}
                  <Menu.Item onClick={() => setHistory(true)}>Finished builds</Menu.Item>
                  {account.role === 'MANAGER' && (
                    <Menu.Item onClick={() => setEditing(true)}>Change or remove the car</Menu.Item>
                  )}
                </Menu.Dropdown>
              </Menu>
            </>
          )}
        </span>
      </div>
      <Parked car={car} account={account} />
      <MissedSlot car={car} />
      <div key={car.id} className={css.columns}>
        <section aria-label="Jobs">
          {isCar(car) && (
            <ZonePlan
              car={car}
              works={board.works}
              zone={zone}
              onZone={(z) => setZone(z === zone ? undefined : z)}
            />
          )}
          <JobTable
            car={car}
            zone={zone}
            changes={changes}
            onPick={(w) => setSearch({ work: w }, { replace: true })}
          />
          <Finished car={car} onPick={(w) => setSearch({ work: w }, { replace: true })} />
        </section>
        <div className={layout.column}>
          <Dates car={car} changes={changes} />
          <section className="panel" aria-label="Gates">
            <h2>Gates</h2>
            <NextGate car={car.id} />
          </section>
          <Rounds car={car} changes={changes} />
          <Parts
            key={search.get('part')}
            car={car}
            changes={changes}
            picked={search.get('part') ?? undefined}
            onClosed={() => search.has('part') && setSearch({}, { replace: true })}
          />
          <OutworkList
            car={car}
            changes={changes}
            onPick={(w) => setSearch({ work: w }, { replace: true })}
          />
          <Decisions car={car} changes={changes} />
          <Faults car={car} />
          <Loans car={car} changes={changes} />
          <MeasuredList car={car} />
          <ComponentsPanel car={car.id} changes={changes} />
          <Photos car={car} manager={account.role === 'MANAGER'} />
        </div>
      </div>
      {(adding === 'job' || picked?.kind === 'JOB') && (
        <JobDrawer
          key={picked?.id ?? 'new'}
          car={car}
          work={adding ? undefined : picked}
          account={account}
          onClose={close}
        />
      )}
      {(adding === 'outwork' || picked?.kind === 'OUTWORK') && (
        <OutworkDrawer
          key={picked?.id ?? 'new'}
          car={car}
          work={adding ? undefined : picked}
          account={account}
          onClose={close}
        />
      )}
      {(adding === 'running-in' || picked?.kind === 'RUNNING_IN') && (
        <RunningInDrawer
          key={picked?.id ?? 'new'}
          car={car}
          work={adding ? undefined : picked}
          account={account}
          onClose={close}
        />
      )}
      {importing && <ImportSheet car={car} kind={importing} onClose={() => setImporting(undefined)} />}
      {template === 'add' && <AddTemplate car={car} onClose={() => setTemplate(undefined)} />}
      {template === 'save' && <SaveTemplate car={car} onClose={() => setTemplate(undefined)} />}
      {parking && <ParkCar car={car} onClose={() => setParking(false)} />}
      {editing && (
        <CarForm car={car} onClose={() => setEditing(false)} onRemoved={() => navigate('/build')} />
      )}
      {newBuild && <NewBuild onClose={close} onDone={(made) => navigate(`/build/${made}`)} />}
      {history && (
        <History
          manager={account.role === 'MANAGER'}
          onClose={() => setHistory(false)}
          onTakenOut={(id) => navigate(`/build/${id}`)}
        />
      )}
    </>
  )
}

interface PickerProps {
  car?: Car
  account: Schemas['Account']
  onPick: (car: string) => void
  onNew: () => void
}

function Picker({ car, account, onPick, onNew }: PickerProps) {
  const { board } = useBoard()
  return (
    <>
      <select
        aria-label="Car"
        value={car?.id ?? ''}
        onChange={(e) => onPick(e.currentTarget.value)}
        className={css.pick}
      >
        {!car && <option value="">which car?</option>}
        {board.cars.map((c) => (
          <option key={c.id} value={c.id}>
            {`${c.number} ${c.name}${c.parked ? ', parked' : ''}`.trim()}
          </option>
        ))}
      </select>
      {account.role === 'MANAGER' && (
        <Button size="compact-sm" variant="default" onClick={onNew}>
          New build
        </Button>
      )}
    </>
  )
}

interface PlanProps {
  car: Car
  works: Work[]
  zone?: ZoneName
  onZone: (zone: ZoneName) => void
}

function ZonePlan({ car, works, zone, onZone }: PlanProps) {
  const { send } = useSend()
  const open = useMemo(
    () => works.filter((w) => w.buildId === car.id && w.status !== 'DONE'),
    [works, car.id],
  )
  const counts = new Map<string, number>()
  open.forEach((w) => w.job?.onCar && counts.set(w.job.zone, (counts.get(w.job.zone) ?? 0) + 1))
  const busy = new Set(
    open
      .filter((w) => w.job?.onCar && w.job.startedBy.length > 0 && !w.hold)
      .map((w) => w.job!.zone as string),
  )
  return (
    <div className={css.identity}>
      <CarOutline body={car.body} busy={busy} counts={counts} picked={zone} onPick={onZone} width={230} />
      <div className={`small soft ${css.standards}`}>
        {zone
          ? `Only the ${word(zone)} is listed; click it again for all.`
          : 'Open jobs by zone. Click a zone to see its jobs alone.'}
        {car.forNow.length > 0 && (
          <div className={layout.ink}>
            <b>Fitted for now:</b>{' '}
            {car.forNow.map((f) => (
              <span key={f.id}>
                {f.what} ({f.reason && `${f.reason}; `}before {word(f.gate)}){' '}
                <button
                  className="link"
                  onClick={() =>
                    void send(() =>
                      dataOf(
                        client.POST('/api/fitted-for-now/{id}/made-good', { params: { path: { id: f.id } } }),
                      ),
                    )
                  }
                >
                  made good
                </button>{' '}
              </span>
            ))}
          </div>
        )}
      </div>
    </div>
  )
}
