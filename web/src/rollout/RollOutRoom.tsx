import { Button, Modal } from '@mantine/core'
import { useState } from 'react'
import { useParams } from 'react-router'
import { type Car, isCar, useBoard } from '../api/board'
import { type Schemas } from '../api/client'
import { type GateState, type RollOut, useGates, useRollOut } from '../api/rollout'
import { CarHead } from '../domain/CarHead'
import { useSimulated } from '../api/devices'
import { Nothing } from '../ui/Nothing'
import { Fires } from './Fires'
import { Found } from './Found'
import { GateLines } from '../gates/GateLines'
import { GateSheet } from './GateSheet'
import { Impact } from './Impact'
import { Inspections } from './Inspections'
import { LoggerStandIn } from './LoggerStandIn'
import { gateKey, hereOf, postsOf } from './road'
import { Road } from './Road'
import css from './rollout.module.css'
import { Steps } from '../gates/Steps'
import { StepSheet } from './StepSheet'

const address = (car: string, at?: string) => `/rollout/${car}${at ? `/${at}` : ''}`

/** From power-up to load and speed: gates and steps along a road, and what is to be done at the one at hand. */
export function RollOutRoom({ account }: { account: Schemas['Account'] }) {
  const { board, car: cars } = useBoard()
  const { id, at } = useParams()
  const car = cars.get(id ?? '') ?? (id ? undefined : board.cars.find((c) => !c.parked && isCar(c)))
  if (!car) {
    return (
      <>
        <div className="room-head">
          <h1>Roll-out</h1>
        </div>
        <Nothing
          title={id ? 'There is no such car (any more)' : 'No cars yet'}
          text="A car comes to life here, gate by gate and step by step."
        />
      </>
    )
  }
  return <OfCar key={car.id} car={car} at={at} account={account} />
}

function OfCar({ car, at, account }: { car: Car; at?: string; account: Schemas['Account'] }) {
  const { board } = useBoard()
  const rollOut = useRollOut(car.id, board.change)
  const gates = useGates(car.id, board.change)
  return (
    <>
      <CarHead car={car} address={(c) => address(c)}>
        {rollOut && <span className="soft">{said(rollOut)}</span>}
      </CarHead>
      {rollOut && gates ? (
        <Along car={car} at={at} account={account} rollOut={rollOut} gates={gates} />
      ) : (
        <p className="soft" role="status">
          Looking at the car…
        </p>
      )}
    </>
  )
}

function said(rollOut: RollOut) {
  const done = rollOut.steps.filter((s) => s.done).length
  const open = rollOut.open
  return [
    `${done} of ${rollOut.steps.length} steps`,
    open?.driver && `${open.driver} drives`,
    open?.looker && `${open.looker} looks`,
  ]
    .filter(Boolean)
    .join(' · ')
}

interface Props {
  car: Car
  at?: string
  account: Schemas['Account']
  rollOut: RollOut
  gates: GateState[]
}

function Along({ car, at: asked, account, rollOut, gates }: Props) {
  const simulated = useSimulated()
  const posts = postsOf(rollOut, gates)
  const at = posts.some((p) => p.key === asked) ? asked : hereOf(rollOut, posts)
  const gate = gates.find((g) => gateKey(g.gate) === at)
  const step = rollOut.steps.find((s) => s.key === at)
  return (
    <>
      <Road posts={posts} at={at} address={(key) => address(car.id, key)} />
      <div className={css.columns}>
        <div>
          {gate && (
            <GateSheet key={gate.gate} car={car.id} gate={gate} people={rollOut.people} account={account} />
          )}
          {step && <StepSheet key={step.key} car={car.id} step={step} rollOut={rollOut} account={account} />}
          {account.role !== 'HAND' && <Own car={car.id} gates={gate !== undefined} />}
          <Inspections key={car.id} car={car.id} signs={account.role !== 'HAND'} />
          {simulated && <LoggerStandIn />}
        </div>
        <div className={css.side}>
          <Found car={car.id} rollOut={rollOut} />
          <Fires rollOut={rollOut} />
          <Impact car={car.id} />
        </div>
      </div>
    </>
  )
}

/** What the gates of this car ask, or its steps, where they are to be others than those of its kind. */
function Own({ car, gates }: { car: string; gates: boolean }) {
  const [open, setOpen] = useState(false)
  return (
    <div className={`no-print ${css.goRow}`}>
      <Button variant="default" size="compact-md" onClick={() => setOpen(true)}>
        {gates ? 'Change what its gates ask' : 'Change its steps'}
      </Button>
      <Button variant="default" size="compact-md" onClick={() => window.print()}>
        Print
      </Button>
      <Modal
        opened={open}
        onClose={() => setOpen(false)}
        size="min(1160px, 96vw)"
        title={gates ? 'What the gates of this car ask' : 'The steps of this car'}
      >
        {gates ? <GateLines whose={{ car }} changes /> : <Steps whose={{ car }} changes />}
      </Modal>
    </div>
  )
}
