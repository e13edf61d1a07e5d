import { useState } from 'react'
import { useBoard } from '../api/board'
import { type Component, useComponents } from '../api/components'
import { PanelHead } from '../ui/PanelHead'
import { ComponentDrawer } from './ComponentDrawer'
import { LifeBar } from './LifeBar'
import css from './life.module.css'

/** The components of a car: what runs out, and at which event. */
export function ComponentsPanel({ car, changes }: { car: string; changes: boolean }) {
  const { looked } = useBoard()
  const components = useComponents(looked)
  const [picked, setPicked] = useState<string | 'new'>()
  if (!components) return null
  const own = components.filter((c) => c.buildId === car)
  const shelf = components.filter((c) => !c.buildId)
  const chosen = components.find((c) => c.id === picked)
  return (
    <section className="panel" aria-label="Components">
      <PanelHead title="Components" onAdd={changes ? () => setPicked('new') : undefined} />
      {own.length === 0 && (
        <p className="small soft">
          Engines, harnesses, dampers and what else is used up: none is written down.
        </p>
      )}
      {own.map((c) => (
        <Row key={c.id} component={c} onPick={() => setPicked(c.id)} />
      ))}
      {shelf.length > 0 && changes && (
        <p className="small soft">
          On the shelf:{' '}
          {shelf.map((c) => (
            <button key={c.id} type="button" className="link" onClick={() => setPicked(c.id)}>
              {called(c)}
            </button>
          ))}
        </p>
      )}
      {(picked === 'new' || chosen) && (
        <ComponentDrawer
          key={picked}
          car={car}
          component={chosen}
          changes={changes}
          onClose={() => setPicked(undefined)}
        />
      )}
    </section>
  )
}

/** A day with its year, as people write it. */
const fullDay = (iso: string) =>
  new Date(`${iso}T12:00:00Z`).toLocaleDateString('en-GB', {
    day: 'numeric',
    month: 'short',
    year: 'numeric',
    timeZone: 'UTC',
  })

const called = (c: Component) => `${c.name} ${c.identity}`.trim()

function Row({ component, onPick }: { component: Component; onPick: () => void }) {
  const { due } = component
  return (
    <div className={css.row}>
      <button type="button" className="link" onClick={onPick}>
        {called(component)}
      </button>{' '}
      {(component.limits.length > 0 || !component.expires) && (
        <span className="small soft">{component.said}</span>
      )}
      {component.limits.map((l) => (
        <LifeBar key={l.counter + l.service} limit={l} />
      ))}
      {component.expires && due.length === 0 && (
        <div className="small soft">good until {fullDay(component.expires)}</div>
      )}
      {due.map((d) => (
        <div key={d.said} className={`small ${d.at ? 'strong' : 'hot strong'}`}>
          {d.said}
          {!d.at && component.safety && ': nobody drives with it'}
        </div>
      ))}
    </div>
  )
}
