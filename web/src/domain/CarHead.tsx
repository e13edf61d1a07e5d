import { type ReactNode } from 'react'
import { useNavigate } from 'react-router'
import { type Car, isCar, useBoard } from '../api/board'
import layout from '../ui/layout.module.css'
import css from './domain.module.css'
import { Restricted } from './Restricted'

interface Props {
  car: Car
  /** Where a room shows another car. */
  address: (car: string) => string
  children?: ReactNode
}

/** The head of a room that is about one car: its number, its name, and another car to go to. */
export function CarHead({ car, address, children }: Props) {
  const { board } = useBoard()
  const navigate = useNavigate()
  return (
    <div className="room-head">
      <span className={`number ${css.carNumber}`}>{car.number || '—'}</span>
      <h1>{car.name}</h1>
      <Restricted car={car} />
      {children}
      <span className={`no-print ${layout.push}`}>
        <select aria-label="Car" value={car.id} onChange={(e) => navigate(address(e.currentTarget.value))}>
          {board.cars.filter(isCar).map((c) => (
            <option key={c.id} value={c.id}>
              {`${c.number} ${c.name}`.trim()}
            </option>
          ))}
        </select>
      </span>
    </div>
  )
}
