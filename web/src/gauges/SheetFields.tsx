import { Switch, TextInput } from '@mantine/core'
import css from './gauges.module.css'

interface FieldProps {
  label: string
  value: string
  placeholder?: string
  error?: string
  onChange: (value: string) => void
}

/** A line of a sheet: what people write, with its unit. */
export function Field({ onChange, ...field }: FieldProps) {
  return (
    <TextInput {...field} size="xs" autoComplete="off" onChange={(e) => onChange(e.currentTarget.value)} />
  )
}

export interface StateValues {
  driverIn: boolean
  barsHooked: boolean
  fuel: string
  pressures: string
  instrument: string
  note: string
}

interface StateProps {
  state: StateValues
  setState: (state: StateValues) => void
  at: (field: string) => string | undefined
}

/** How the car stood: sheets in another state are not compared. */
export function State({ state, setState, at }: StateProps) {
  const set = (part: Partial<StateValues>) => setState({ ...state, ...part })
  return (
    <div className={css.state}>
      <Switch
        label="driver in"
        checked={state.driverIn}
        onChange={(e) => set({ driverIn: e.currentTarget.checked })}
      />
      <Switch
        label="bars unhooked"
        checked={!state.barsHooked}
        onChange={(e) => set({ barsHooked: !e.currentTarget.checked })}
      />
      <Field
        label="Fuel"
        value={state.fuel}
        placeholder="30 L"
        error={at('fuel')}
        onChange={(v) => set({ fuel: v })}
      />
      <Field
        label="Pressures"
        value={state.pressures}
        placeholder="1.9 bar"
        onChange={(v) => set({ pressures: v })}
      />
      <Field
        label="Measured with"
        value={state.instrument}
        placeholder="pads A–D"
        onChange={(v) => set({ instrument: v })}
      />
      <Field label="Note" value={state.note} onChange={(v) => set({ note: v })} />
    </div>
  )
}
