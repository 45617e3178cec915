import { isSessionLost, loseSession, regainSession } from './lostSession.ts'

describe('a session that was lost', () => {
  const later = () => new Promise((resolve) => setTimeout(resolve, 5))

  it('is lost until somebody signs in again', async () => {
    loseSession()
    expect(isSessionLost()).toBe(true)
    await later()
    regainSession()
    expect(isSessionLost()).toBe(false)
  })

  it('stays regained when an answer comes late to what was asked before', async () => {
    const askedAt = performance.now()
    await later()
    regainSession()
    loseSession(askedAt)
    expect(isSessionLost()).toBe(false)
  })

  it('is lost again by what is asked after that', async () => {
    regainSession()
    await later()
    loseSession(performance.now())
    expect(isSessionLost()).toBe(true)
    regainSession()
  })
})
