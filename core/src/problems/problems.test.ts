import { AppError, assertAllowed, fillSentence, no, reasonSentences, yes } from './index.ts'

describe('refusals', () => {
  it('carry their sentence with its values', () => {
    const error = new AppError('too-many', 'too-many-tries', { params: { minutes: 7 } })
    expect(error.message).toBe('There were too many tries. Wait 7 minutes, then try again.')
    expect(error).toMatchObject({ code: 'too-many', reason: 'too-many-tries', fields: [] })
  })

  it('say what to do: every sentence has at least two sentences or a demand', () => {
    for (const sentence of Object.values(reasonSentences)) {
      expect(sentence).toMatch(/^[A-Z].*\.$/)
      expect(sentence).not.toMatch(/!|please/i)
    }
  })

  it('leave the place of a missing value empty', () => {
    expect(fillSentence('Wait {{minutes}} minutes.')).toBe('Wait  minutes.')
  })

  it('turn a no into a throw and let a yes pass', () => {
    expect(() => assertAllowed(yes)).not.toThrow()
    expect(() => assertAllowed(no('not-found'), 'not-found')).toThrow(AppError)
  })
})
