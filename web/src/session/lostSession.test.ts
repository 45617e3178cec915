import { ApiProblem } from '../api/index.ts'
import { isSessionLost, loseWhereSignedOut, regainSession } from './lostSession.ts'

describe('a session that was lost', () => {
  const later = () => new Promise((resolve) => setTimeout(resolve, 5))
  const answer = (reason: string) =>
    new ApiProblem({ type: '', title: '', detail: '', status: 401, code: 'signed-out', reason, params: {} })

  it('is lost until somebody signs in again', async () => {
    expect(loseWhereSignedOut(answer('signed-out'))).toBe(true)
    expect(isSessionLost()).toBe(true)
    await later()
    regainSession()
    expect(isSessionLost()).toBe(false)
  })

  it('stays regained when an answer comes late to what was asked before', async () => {
    const late = answer('signed-out')
    await later()
    regainSession()
    expect(loseWhereSignedOut(late)).toBe(true)
    expect(isSessionLost()).toBe(false)
  })

  it('is lost again by what is asked after that', async () => {
    regainSession()
    await later()
    loseWhereSignedOut(answer('signed-out'))
    expect(isSessionLost()).toBe(true)
    regainSession()
  })

  it('is not lost because the server is away, or for any other reason', () => {
    for (const error of [new ApiProblem(null), answer('wrong-password'), new Error('defect')])
      expect(loseWhereSignedOut(error)).toBe(false)
    expect(isSessionLost()).toBe(false)
  })
})
