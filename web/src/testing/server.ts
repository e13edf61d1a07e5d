/** A server that answers what a test tells it to, and remembers what it was asked. */

export interface Asked {
  method: string
  path: string
  query: URLSearchParams
  body: unknown
}

type Answer = (asked: Asked) => unknown

let answers = new Map<string, Answer>()
let log: Asked[] = []

/** An answer that is not the wanted one, as problem details. */
export class Refusal {
  constructor(
    readonly status: number,
    readonly body: unknown = {},
  ) {}
}

/** Begins anew: nothing is answered, nothing was asked. */
export function newServer() {
  answers = new Map()
  log = []
}

/** Answers "GET /api/board" and the like; what answers with nothing is a 204. */
export function on(what: string, give: Answer) {
  answers.set(what, give)
}

/** All that was asked of that, in order. */
export function asked(what: string): Asked[] {
  return log.filter((a) => `${a.method} ${a.path}` === what)
}

/** What was asked the first time, or a later one. */
export function askedFor(what: string, time = 0): Asked {
  const one = asked(what)[time]
  if (!one) throw new Error(`${what} was not asked ${time + 1} times`)
  return one
}

export async function answer(request: Request): Promise<Response> {
  const url = new URL(request.url)
  const text = await request.text()
  const one: Asked = {
    method: request.method,
    path: url.pathname,
    query: url.searchParams,
    body: request.headers.get('Content-Type')?.includes('json') ? JSON.parse(text) : text || undefined,
  }
  log.push(one)
  const give = answers.get(`${one.method} ${one.path}`)
  if (!give) throw new TypeError(`Nobody answers ${one.method} ${one.path}`)
  const body = await give(one)
  if (body instanceof Refusal) {
    return new Response(JSON.stringify(body.body), {
      status: body.status,
      headers: { 'Content-Type': 'application/problem+json' },
    })
  }
  if (body === undefined) return new Response(null, { status: 204 })
  return new Response(JSON.stringify(body), { headers: { 'Content-Type': 'application/json' } })
}
