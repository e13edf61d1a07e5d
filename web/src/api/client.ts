import createClient from 'openapi-fetch'
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
}

/** The token that shows a request is ours, from its cookie. */
export function token(): string {
  return /(?:^|; )XSRF-TOKEN=([^;]*)/.exec(document.cookie)?.[1] ?? ''
}

export const client = createClient<paths>({ baseUrl: '/' })

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
  } catch {
    throw new ProblemError(0, 'The server cannot be reached. What you typed is still here; try again.')
  }
  if (!result.response.ok) throw problemOf(result.response.status, result.error)
  return result.data as T
}

export function problemOf(status: number, body: unknown): ProblemError {
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
  const response = await fetch(path, { method: 'POST', body: form, headers: { 'X-XSRF-TOKEN': token() } })
  const body: unknown = await response.json().catch(() => undefined)
  if (!response.ok) throw problemOf(response.status, body)
  return body as T
}
