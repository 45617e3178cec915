import { describe, expect, it } from '@jest/globals'
import type { OpenSession } from '@valise/core/people'
import { renderWords } from '../testing/renderWords.tsx'
import { NOW } from '../testing/samples.ts'
import { sessionQueries } from '../session/index.ts'
import { OpenSessions } from './OpenSessions.tsx'

const session = (change: Partial<OpenSession>): OpenSession => ({
  ...{ id: 's', device: 'Firefox on Linux', startedAt: NOW, lastSeenAt: NOW, here: false },
  ...change,
})
const words = (sessions: readonly OpenSession[], language: 'en' | 'es' = 'en') =>
  renderWords(<OpenSessions />, { language, answers: [[sessionQueries.all().queryKey, sessions]] })

describe('where one is signed in', () => {
  it('is told by device, with the way out of all but this one', () => {
    const said = words([session({ id: 'a', here: true, device: 'Chrome on Windows' }), session({ id: 'b' })])
    expect(said).toMatch(/Chrome on Windows\s*This device/)
    expect(said).toMatch(/Firefox on Linux\s*last used Thu 26 Nov/)
    expect(said.match(/Sign out there/g)).toHaveLength(1)
    expect(said).toContain('Sign out everywhere else')
  })

  it('needs no way out where it is this device alone', () => {
    const said = words([session({ here: true })])
    expect(said).toContain('You are signed in on this device only.')
    expect(said).not.toContain('Sign out')
  })

  it('is told of a device that does not say its name', () => {
    expect(words([session({ device: '' })])).toContain('A device without a name')
    expect(words([session({ device: '' })], 'es')).not.toMatch(/device|Sign/)
  })
})
