import createClient from 'openapi-fetch'
import { isAway, isBack } from './away'
import type { components, paths } from './schema'

/** Types of the server, made from its description of itself. */
export type Schemas = components['schemas']

/** What is wrong with one field. */
export interface Problem {
  field: string
  message: string
}

/** A field that differs between what was sent and what is there now. */
export interface Difference {
  field: string
  yours: string
  theirs: string
}

/** An answer that is not the wanted one: problem details (RFC 9457). */
export class ProblemError extends Error {
  constructor(
    readonly status: number,
    message: string,
    readonly problems: Problem[] = [],
    readonly differences: Difference[] = [],
    readonly version?: number,
  ) {
    super(message)
  }

  /** Whether it is not the request that is wrong: the server, or its database, does not answer. */
  get isAway(): boolean {
    return this.status === 0 || this.status >= 502
  }
}

/** Whether a request failed only because the server, or its database, does not answer. */
export function isAwayError(error: unknown): boolean {
  return error instanceof ProblemError && error.isAway
}

/** What is said to who asks for links too often. */
export function tooOften(error: unknown): string | undefined {
  return error instanceof ProblemError && error.status === 429 ? error.message : undefined
}

/** So soon what failed because something is away is asked for again. */
export const AGAIN_MILLIS = 3_000

/** The token that shows a request is ours, from its cookie. */
export function token(): string {
  return /(?:^|; )XSRF-TOKEN=([^;]*)/.exec(document.cookie)?.[1] ?? ''
}

const READ_MILLIS = 20_000
const WRITE_MILLIS = 60_000
/** A large picture over a poor connection takes its time. */
const UPLOAD_MILLIS = 300_000

/** A request that hangs ends: what is asked for sooner than what is written. */
function inTime(request: Request): Promise<Response> {
  return fetch(request, {
    signal: AbortSignal.timeout(request.method === 'GET' ? READ_MILLIS : WRITE_MILLIS),
  })
}

export const client = createClient<paths>({ baseUrl: '/', fetch: inTime })

client.use({
  onRequest({ request }) {
    if (request.method !== 'GET') request.headers.set('X-XSRF-TOKEN', token())
    return request
  },
})

interface Answer<T> {
  data?: T
  error?: unknown
  response: Response
}

/** The data of an answer; throws what went wrong as a {@link ProblemError}. */
export async function dataOf<T>(answer: Promise<Answer<T>>): Promise<T> {
  let result: Answer<T>
  try {
    result = await answer
  } catch (failure) {
    throw notReached(failure)
  }
  if (!result.response.ok) throw problemOf(result.response.status, result.error)
  isBack()
  return result.data as T
}

/** For a change that answers nothing: it was done. */
export async function done(answer: Promise<Answer<unknown>>): Promise<true> {
  await dataOf(answer)
  return true
}

/** No answer came. */
function notReached(failure: unknown): ProblemError {
  isAway('server')
  return new ProblemError(
    0,
    failure instanceof DOMException && failure.name === 'TimeoutError'
      ? 'The server did not answer in time. Look whether it was saved before you do it again.'
      : 'The server cannot be reached. What you typed is still here; try again.',
  )
}

export function problemOf(status: number, body: unknown): ProblemError {
  if (status === 502 || status === 504) return notReached(body)
  if (status === 503 && typeof body === 'object' && body !== null && 'away' in body) isAway('database')
  const details = (typeof body === 'object' && body !== null ? body : {}) as {
    detail?: string
    problems?: Problem[]
    differences?: Difference[]
    version?: number
  }
  const message =
    details.detail ?? (status === 401 ? 'You are signed out.' : `The server answered ${status}.`)
  return new ProblemError(status, message, details.problems, details.differences, details.version)
}

/** Sends a file as a form; for what openapi-fetch does not cover. */
export async function upload<T>(path: string, file: File): Promise<T> {
  const form = new FormData()
  form.append('file', file)
  const response = await fetch(path, {
    method: 'POST',
    body: form,
    headers: { 'X-XSRF-TOKEN': token() },
    signal: AbortSignal.timeout(UPLOAD_MILLIS),
  }).catch((failure: unknown) => {
    throw notReached(failure)
  })
  const body: unknown = await response.json().catch(() => undefined)
  if (!response.ok) throw problemOf(response.status, body)
  isBack()
  return body as T
}
