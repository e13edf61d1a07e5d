import type { Query } from '@tanstack/react-query'
import { describe, expect, it } from 'vitest'
import { whileSame } from './beside'
import { done, ProblemError } from './client'

describe('what stays while a list is looked up anew', () => {
  const query = (...queryKey: unknown[]) =>
    ({ queryKey }) as unknown as Query<string[], Error, string[], readonly unknown[]>

  it('is what was there of the same thing, as of whatever change', () => {
    expect(whileSame('b61')(['a'], query('faults', 'b61', 7))).toEqual(['a'])
  })

  it('is nothing of another thing, and nothing the first time', () => {
    expect(whileSame('b7')(['a'], query('faults', 'b61', 7))).toBeUndefined()
    expect(whileSame('b7')(undefined, undefined)).toBeUndefined()
  })
})

describe('a change that answers nothing', () => {
  const answer = (status: number) =>
    Promise.resolve({ response: new Response(null, { status }), error: { detail: 'No.' } })

  it('was done', async () => {
    expect(await done(answer(204))).toBe(true)
  })

  it('was not, and says why', async () => {
    await expect(done(answer(409))).rejects.toMatchObject({ status: 409, message: 'No.' })
    await expect(done(answer(422))).rejects.toBeInstanceOf(ProblemError)
  })
})
