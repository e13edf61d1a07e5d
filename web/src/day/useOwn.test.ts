// @vitest-environment jsdom
import { renderHook } from '@testing-library/react'
import { expect, it } from 'vitest'
import { job } from '../testing/room'
import { useOwn } from './useOwn'

it('changes with what is to be done by somebody, and not with what others do', () => {
  const mine = job('mine')
  const other = job('other', { placed: { ...mine.placed, crew: ['kit'] } })
  const { result, rerender } = renderHook(({ works }) => useOwn(works, 'bo'), {
    initialProps: { works: [mine, other] },
  })
  const first = result.current
  rerender({ works: [mine, job('other', { placed: other.placed, note: 'held' })] })
  expect(result.current).toBe(first)
  rerender({ works: [job('mine', { note: 'which bolt?' }), other] })
  const second = result.current
  expect(second).not.toBe(first)
  rerender({ works: [other] })
  expect(result.current).not.toBe(second)
})
