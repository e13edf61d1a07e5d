// @vitest-environment jsdom
import { render, screen } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { useState } from 'react'
import { describe, expect, it } from 'vitest'
import { Typed } from './Typed'

function Form({ name, onTyping }: { name: string; onTyping: (typing: boolean) => void }) {
  const [text, setText] = useState(name)
  return (
    <>
      <input
        aria-label="name"
        value={text}
        onChange={(e) => {
          setText(e.currentTarget.value)
          onTyping(true)
        }}
      />
      <button onClick={() => onTyping(false)}>saved</button>
    </>
  )
}
const form = (name: string, edition: number) => (
  <Typed said={name} edition={edition} what="the name">
    {(shown, onTyping) => <Form name={shown} onTyping={onTyping} />}
  </Typed>
)
const value = () => screen.getByLabelText<HTMLInputElement>('name').value

describe('a form of something that others change too', () => {
  it('shows theirs at once while nothing is typed', () => {
    const { rerender } = render(form('first', 1))
    rerender(form('theirs', 2))
    expect(value()).toBe('theirs')
    expect(screen.queryByRole('status')).toBeNull()
  })

  it('keeps what is typed, says that it was overtaken, and gives it up only when told', async () => {
    const { rerender } = render(form('first', 1))
    await userEvent.type(screen.getByLabelText('name'), ' and mine')
    rerender(form('theirs', 2))
    expect(value()).toBe('first and mine')
    expect(screen.getByRole('status').textContent).toContain(
      'Somebody else has changed the name since you began.',
    )
    await userEvent.click(screen.getByRole('button', { name: /Look at theirs/ }))
    expect(value()).toBe('theirs')
    expect(screen.queryByRole('status')).toBeNull()
  })

  it('takes up what was saved here without a word', async () => {
    const { rerender } = render(form('first', 1))
    await userEvent.type(screen.getByLabelText('name'), ' and mine')
    await userEvent.click(screen.getByRole('button', { name: 'saved' }))
    rerender(form('first and mine', 2))
    expect(screen.queryByRole('status')).toBeNull()
    expect(value()).toBe('first and mine')
  })
})
