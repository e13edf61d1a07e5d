// @vitest-environment jsdom
import { act, render, screen } from '@testing-library/react'
import { MantineProvider } from '@mantine/core'
import { useLayoutEffect } from 'react'
import { createRoot } from 'react-dom/client'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { room } from './room'

const Hall = ({ name }: { name: string }) => <h1>{name}</h1>
const shown = (Room: ReturnType<typeof room<{ name: string }>>) =>
  render(
    <MantineProvider env="test">
      <Room name="The hall" />
    </MantineProvider>,
  )

describe('a room', () => {
  beforeEach(() => sessionStorage.clear())

  it('is drawn the moment it is here', async () => {
    let arrive: (hall: typeof Hall) => void = () => {}
    const Room = room(() => new Promise<typeof Hall>((resolve) => (arrive = resolve)))
    shown(Room)
    expect(screen.getByLabelText('Loading')).toBeDefined()
    await act(async () => arrive(Hall))
    expect(screen.getByRole('heading').textContent).toBe('The hall')
    expect(screen.queryByLabelText('Loading')).toBeNull()
  })

  it('that was begun is fetched once, and there at once', async () => {
    const load = vi.fn(async () => Hall)
    const Room = room(load)
    await Promise.all([Room.begin(), Room.begin()])
    shown(Room)
    expect(screen.getByRole('heading').textContent).toBe('The hall')
    expect(load).toHaveBeenCalledTimes(1)
  })

  it('is drawn also where it comes just after its stand-in', async () => {
    let arrive: (hall: typeof Hall) => void = () => {}
    const Room = room(() => new Promise<typeof Hall>((resolve) => (arrive = resolve)))
    void Room.begin()
    // A layout effect runs before the room's own effect does, and what it begins comes to its end before that too.
    const Neighbour = () => {
      useLayoutEffect(() => arrive(Hall), [])
      return null
    }
    vi.stubGlobal('IS_REACT_ACT_ENVIRONMENT', false)
    const root = createRoot(document.body.appendChild(document.createElement('div')))
    root.render(
      <MantineProvider env="test">
        <Neighbour />
        <Room name="The hall" />
      </MantineProvider>,
    )
    await vi.waitFor(() => expect(screen.getByRole('heading').textContent).toBe('The hall'))
    root.unmount()
    vi.unstubAllGlobals()
  })

  it('that is not there any more is asked for by the page anew, once', async () => {
    const reload = vi.fn()
    vi.stubGlobal('location', { reload })
    const gone = vi.fn(() => Promise.reject(new Error('gone')))
    void room(gone).begin()
    await vi.waitFor(() => expect(reload).toHaveBeenCalledTimes(1))
    const again = room(gone)
    await expect(again.begin()).rejects.toThrow('gone')
    await expect(again.begin()).rejects.toThrow('gone')
    expect(gone).toHaveBeenCalledTimes(3)
    expect(reload).toHaveBeenCalledTimes(1)
    vi.unstubAllGlobals()
  })
})
