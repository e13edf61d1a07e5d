import { Button } from '@mantine/core'
import { useEffect, useState } from 'react'
import { useDevice } from '../api/devices'

/** Takes the temperature from the weather station, where there is one. */
export function RoomTemperature({ onRead }: { onRead: (said: string) => void }) {
  const [asking, setAsking] = useState(false)
  const { device, none } = useDevice('weather', asking)
  const said = asking ? device?.readings.find((r) => r.name === 'temperature' && !r.silent)?.said : undefined
  useEffect(() => {
    if (!said) return
    setAsking(false)
    onRead(said)
    // Once it is known; how it changes after that does not matter here.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [said])
  return (
    <div>
      <Button variant="default" size="compact-sm" loading={asking && !none} onClick={() => setAsking(true)}>
        Temperature of the room
      </Button>
      {none && <span className="small soft"> No weather station is joined.</span>}
    </div>
  )
}
