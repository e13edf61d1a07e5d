// @vitest-environment jsdom
import { act, render, screen } from '@testing-library/react'
import { MantineProvider } from '@mantine/core'
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
