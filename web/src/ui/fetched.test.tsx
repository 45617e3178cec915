import { describe, expect, it } from '@jest/globals'
import type { Problem } from '@valise/core/problems'
import { ApiProblem } from '../api/index.ts'
import { renderHtml, renderWords, wordsOf } from '../testing/renderWords.tsx'
import { Fetched } from './Fetched.tsx'
import { Refusal } from './Refusal.tsx'
import { useProblemWords, useReasonWords } from './useProblemWords.ts'
import { useSize } from './useSize.ts'

const refetch = () => Promise.reject(new Error('nobody asks here'))
const fetched = (data: string | undefined, error: Error | null) =>
  renderHtml(<Fetched query={{ data, error, refetch }}>{(words) => <p>{words}</p>}</Fetched>)
const problem = (change: Partial<Problem>) =>
  new ApiProblem({
    ...{ type: '', title: '', detail: 'As the server says it.', status: 422, code: 'invalid' as const },
    ...{ reason: 'file-empty', params: {}, ...change },
  })

describe('a view that fetches', () => {
  it('shows outlines while it waits, and its things once they are there', () => {
    expect(fetched(undefined, null)).toContain('aria-busy="true"')
    expect(fetched('Stake 2', null)).toBe('<p>Stake 2</p>')
  })

  it('keeps what it has, also where it could not be fetched anew', () => {
    expect(fetched('Stake 2', new ApiProblem(null))).toBe('<p>Stake 2</p>')
  })

  it('says what went wrong and lets one try again, or that there is nothing', () => {
    const failed = fetched(undefined, new ApiProblem(null))
    expect(failed).toContain('role="alert"')
    expect(wordsOf(failed)).toContain('Try again')
    const missing = wordsOf(fetched(undefined, problem({ code: 'not-found', reason: 'not-found' })))
    expect(missing).toContain('Valise cannot find this')
    expect(missing).not.toContain('Try again')
  })
})

describe('a refusal', () => {
  const said = (error: unknown, language: 'en' | 'es' = 'en') =>
    renderWords(<Refusal error={error} />, { language })

  it('is said in the language of the screen, with its values', () => {
    const tooLarge = problem({ reason: 'file-too-large', params: { most: 60 } })
    expect(said(tooLarge)).toContain('larger than 60 MB')
    expect(said(tooLarge, 'es')).toContain('60 MB')
    expect(said(tooLarge, 'es')).not.toContain('larger')
  })

  it('keeps the sentence of a server that is newer than this page', () => {
    expect(said(problem({ reason: 'of-tomorrow' }), 'es')).toBe('As the server says it.')
  })

  it('tells that nothing came back from what broke here, and nothing from nothing', () => {
    expect(said(new ApiProblem(null))).toContain('There is no connection.')
    expect(said(new TypeError('x is not a function'))).not.toContain('function')
    expect(said(null)).toBe('')
  })

  it('can come from the device itself, in the words of the server', () => {
    expect(said(ApiProblem.ofDevice('file-empty'))).toBe(said(problem({})))
    expect(said(ApiProblem.ofDevice('file-unreadable'))).toContain('does not let Valise read the file')
  })

  it('names its field, whatever the field is called', () => {
    function Field({ path }: { readonly path: string }) {
      const words = useProblemWords()
      return <p>{words.field(problem({ errors: [{ path: '/rights/maker', reason: 'missing' }] }), path)}</p>
    }
    expect(renderWords(<Field path="rights/maker" />)).not.toBe('')
    expect(renderWords(<Field path="rights/source" />)).toBe('')
  })

  it('is the same sentence before anything was refused', () => {
    function Before() {
      return <p>{useReasonWords()('file-empty', {})}</p>
    }
    expect(renderWords(<Before />)).toBe(said(problem({})))
  })
})

describe('a number of bytes', () => {
  function Size({ bytes }: { readonly bytes: number }) {
    return <p>{useSize()(bytes)}</p>
  }
  it.each([
    [0, '0 bytes'],
    [1, '1 byte'],
    [1023, '1,023 bytes'],
    [2048, '2 kB'],
    [1_572_864, '1.5 MB'],
    [16_777_216, '16 MB'],
    [1_181_116_006, '1.1 GB'],
  ])('%d is %s', (bytes, words) => {
    expect(renderWords(<Size bytes={bytes} />)).toBe(words)
  })
})
