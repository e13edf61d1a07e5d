import { describe, expect, it } from 'vitest'
import { dataOf, ProblemError, problemOf } from './client'
import { atFields } from './send'

const answer = (status: number, body: unknown) =>
  Promise.resolve({ error: body, data: undefined, response: new Response('', { status }) })

describe('what went wrong', () => {
  /** Problem details as RFC 9457 has them, with the fields that ours add. */
  it('is told in the words of the server, at its fields', async () => {
    const details = {
      title: 'That cannot be taken',
      detail: 'The hours must end after they start.',
      problems: [{ field: 'spec.end', message: 'Ends before it starts.' }],
    }
    const problem = await dataOf(answer(422, details)).catch((e: unknown) => e)
    expect(problem).toBeInstanceOf(ProblemError)
    expect(problem).toMatchObject({ status: 422, message: details.detail })
    const seen: string[] = []
    expect(atFields(problem as ProblemError, (field, message) => seen.push(`${field}: ${message}`))).toBe(
      true,
    )
    expect(seen).toEqual(['spec.end: Ends before it starts.'])
  })

  it('is told without words of the server too', () => {
    expect(problemOf(401, undefined).message).toBe('You are signed out.')
    expect(problemOf(500, '<html>').message).toBe('The server answered 500.')
    expect(problemOf(502, '<html>').message).toMatch(/The server cannot be reached/)
    expect(atFields(problemOf(502, null), () => undefined)).toBe(false)
  })

  it('keeps what was typed where nobody answers', async () => {
    const problem = await dataOf(Promise.reject(new TypeError('fetch failed'))).catch((e: unknown) => e)
    expect((problem as Error).message).toContain('What you typed is still here')
  })

  it('says what differs where somebody else was quicker', () => {
    const differences = [{ field: 'name', yours: 'Fit loom', theirs: 'Fit the loom' }]
    expect(problemOf(409, { detail: 'Changed meanwhile', differences, version: 4 })).toMatchObject({
      differences,
      version: 4,
    })
  })
})
