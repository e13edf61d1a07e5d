// @vitest-environment jsdom
import { render, screen } from '@testing-library/react'
import { describe, expect, it } from 'vitest'
import { MarginMark } from './MarginMark'
import { OddsMark, percent } from './OddsMark'
import { PaperTag } from './PaperTag'

describe('the mark of a margin', () => {
  const mark = (minutes: number | undefined) => render(<MarginMark minutes={minutes} />).container

  it('is a wedge that touches the date, longer with more to spare, and no longer than a week', () => {
    const reach = (minutes: number) =>
      66 - Number(/^M ([\d.-]+)/.exec(mark(minutes).querySelector('path')!.getAttribute('d')!)![1])
    expect(reach(20 * 60)).toBeCloseTo(29, 6)
    expect(reach(40 * 60)).toBeCloseTo(58, 6)
    expect(reach(400 * 60)).toBeCloseTo(58, 6)
    expect(reach(0)).toBe(3)
  })

  it('is a hatched block past the date where it is late or cannot be planned, and the figure says so', () => {
    for (const [minutes, said] of [
      [-90, '−1½ h'],
      [undefined, 'cannot be planned'],
    ] as const) {
      const late = mark(minutes)
      expect(late.querySelector('path')).toBeNull()
      expect(Number(late.querySelector('rect')!.getAttribute('x'))).toBe(66)
      expect(late.querySelector('.hot')?.textContent).toBe(said)
    }
  })
})

describe('odds', () => {
  it('are never rounded to certainty', () => {
    expect(percent(1)).toBe('100 %')
    expect(percent(0.999)).toBe('> 99 %')
    expect(percent(0.994)).toBe('99 %')
    expect(percent(0.004)).toBe('< 1 %')
    expect(percent(0)).toBe('0 %')
  })

  it('cut as many of ten notches as trials keep the date', () => {
    const { container } = render(<OddsMark chance={0.62} />)
    const tall = [...container.querySelectorAll('line')].filter((l) => l.getAttribute('y1') === '1')
    expect(tall).toHaveLength(6)
    expect(screen.getByTitle('kept in 62 % of a thousand trials')).toBeDefined()
  })

  it('are hot below half', () => {
    expect(render(<OddsMark chance={0.49} />).container.querySelector('.hot')).not.toBeNull()
    expect(render(<OddsMark chance={0.5} />).container.querySelector('.hot')).toBeNull()
  })
})

describe('a paper tag', () => {
  it('is hot where it needs somebody, and says its word besides its colour', () => {
    const hot = render(<PaperTag tag="DECIDE" said="which colour" hot />).container
    expect(hot.querySelector('b')?.textContent).toBe('DECIDE')
    expect(hot.innerHTML).toContain('var(--hot)')
    expect(screen.getByTitle('which colour')).toBeDefined()
    expect(render(<PaperTag tag="AFTER" />).container.innerHTML).not.toContain('var(--hot)')
  })
})
