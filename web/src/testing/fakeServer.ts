// A server of a few lines for tests of what talks to it: answers by method and path, and remembers what was asked.
type Answer = (body: unknown) => unknown

export class FakeServer {
  readonly asked: { readonly call: string; readonly body: unknown }[] = []
  isAway = false
  readonly #answers: Readonly<Record<string, Answer>>
  readonly #real = globalThis.fetch

  /** @param answers by `METHOD path`; whatever else is asked gets the answer of a thing that is not there */
  constructor(answers: Readonly<Record<string, Answer>>) {
    this.#answers = answers
    globalThis.fetch = (path, options) => this.#answer(String(path), options)
  }

  /** The bodies of all calls of one kind, in order. */
  bodies(call: string): unknown[] {
    return this.asked.filter((one) => one.call === call).map(({ body }) => body)
  }

  leave(): void {
    globalThis.fetch = this.#real
  }

  async #answer(path: string, options: RequestInit = {}): Promise<Response> {
    if (this.isAway) throw new TypeError('away')
    const call = `${options.method} ${path}`
    const body: unknown = typeof options.body === 'string' ? JSON.parse(options.body) : undefined
    this.asked.push({ call, body })
    const answer = this.#answers[call]
    if (answer) return Response.json(answer(body))
    const problem = { status: 404, code: 'not-found', reason: 'not-found', params: {} }
    return Response.json(problem, { status: 404 })
  }
}
