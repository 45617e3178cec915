import { jest } from '@jest/globals'
import { ApiProblem, ask, get, withQuery } from './index.ts'

const answer = jest.fn<typeof fetch>()
const realFetch = globalThis.fetch
beforeAll(() => {
  globalThis.fetch = answer
})
afterAll(() => {
  globalThis.fetch = realFetch
})
beforeEach(() => answer.mockReset())

const sent = () => {
  const [path, init] = answer.mock.calls[0] ?? []
  return {
    path,
    method: init?.method,
    headers: Object.fromEntries(new Headers(init?.headers)),
    body: init?.body,
  }
}

async function refusalOf(promise: Promise<unknown>): Promise<ApiProblem> {
  try {
    await promise
  } catch (error) {
    if (error instanceof ApiProblem) return error
    throw error
  }
  throw new Error('it was not refused')
}

describe('asking the server', () => {
  it('gives the answer, or nothing where there is none', async () => {
    answer.mockResolvedValueOnce(new Response('{"name":"Tern"}'))
    expect(await get('/api/boats/1')).toEqual({ name: 'Tern' })
    answer.mockResolvedValueOnce(new Response(null, { status: 204 }))
    expect(await ask('DELETE', '/api/boats/1')).toBeUndefined()
  })

  it('sends the revision, the key and that it asks by itself', async () => {
    answer.mockResolvedValueOnce(new Response('{}'))
    await ask('PUT', '/api/boats/1', { body: { name: 'Knot' }, revision: 4, key: 'once', background: true })
    expect(sent()).toMatchObject({
      method: 'PUT',
      body: '{"name":"Knot"}',
      headers: {
        'if-match': '"r4"',
        'idempotency-key': 'once',
        'valise-background': '1',
        'content-type': 'application/json',
      },
    })
  })

  it('turns a refusal into its reason, its values and its fields', async () => {
    const problem = {
      code: 'invalid',
      reason: 'password-short',
      title: 'Not valid',
      detail: 'Too short.',
      params: { least: 10 },
      errors: [{ path: '/next', reason: 'password-short' }],
    }
    answer.mockResolvedValueOnce(new Response(JSON.stringify(problem), { status: 422 }))
    expect(await refusalOf(get('/api/x'))).toMatchObject({
      code: 'invalid',
      reason: 'password-short',
      params: { least: 10 },
      fields: problem.errors,
      message: 'Too short.',
    })
  })

  it('takes what no server of ours says for being unreachable', async () => {
    answer.mockResolvedValueOnce(new Response('<h1>Bad gateway</h1>', { status: 502 }))
    expect(await refusalOf(get('/api/x'))).toMatchObject({ code: 'unreachable' })
    answer.mockResolvedValueOnce(new Response('{"other":"shape"}', { status: 500 }))
    expect(await refusalOf(get('/api/x'))).toMatchObject({ code: 'unreachable' })
    answer.mockRejectedValueOnce(new TypeError('failed to fetch'))
    expect(await refusalOf(get('/api/x'))).toMatchObject({ code: 'unreachable' })
  })

  it('lets a request that was given up stay given up', async () => {
    const control = new AbortController()
    control.abort()
    const abort = new DOMException('aborted', 'AbortError')
    answer.mockRejectedValueOnce(abort)
    await expect(get('/api/x', control.signal)).rejects.toBe(abort)
  })

  it('leaves empty values out of an address', () => {
    expect(withQuery('/api/people', { text: 'a b&c', classId: '', cursor: null, limit: 5 })).toBe(
      '/api/people?text=a+b%26c&limit=5',
    )
    expect(withQuery('/api/people', { text: undefined })).toBe('/api/people')
  })
})
