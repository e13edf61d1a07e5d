import { describe, expect, it } from 'vitest'
import { type Draft, linesOf, planned } from './lines'

const draft = (personId: string, workId: string, more: Partial<Draft> = {}): Draft => ({
  key: `${personId} ${workId}`,
  personId,
  workId,
  minutes: 60,
  done: false,
  on: true,
  ...more,
})

describe('the lines of a day', () => {
  it('begin with what was planned, not ticked', () =>
    expect(
      planned([{ personId: 'bo', inMinutes: 480, written: [], planned: [{ workId: 'a', minutes: 90 }] }]),
    ).toEqual([draft('bo', 'a', { minutes: 90, on: false })]))

  it('put those together who did the same for as long', () =>
    expect(linesOf([draft('bo', 'a'), draft('kit', 'a'), draft('ruth', 'a', { minutes: 30 })])).toEqual([
      { workId: 'a', people: ['bo', 'kit'], minutes: 60, done: false },
      { workId: 'a', people: ['ruth'], minutes: 30, done: false },
    ]))

  it('leave out what is not ticked, or has no time', () =>
    expect(linesOf([draft('bo', 'a', { on: false }), draft('bo', 'b', { minutes: undefined })])).toEqual([]))
})
