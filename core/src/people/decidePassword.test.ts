import { fillSentence, reasonSentences } from '../problems/index.ts'
import { decidePassword } from './index.ts'

const names = ['Wren Adeyemi-Holt', 'wren']
const reasonOf = (password: string) => {
  const decision = decidePassword(password, names)
  return decision.allowed ? null : decision.reason
}

describe('passwords', () => {
  it.each(['low water at seven', 'ñandú-over-the-marsh', '潮が引くと干潟が現れるよ', 'Zq8!vv2#Lm'])(
    'takes %s',
    (password) => {
      expect(reasonOf(password)).toBeNull()
    },
  )

  it.each([
    ['tide', 'password-short'],
    ['low water', 'password-short'],
    ['aaaaaaaaaaaa', 'password-common'],
    ['1234567890', 'password-common'],
    ['Password2026!', 'password-common'],
    ['schoolSCHOOL99', 'password-common'],
    ['adeyemi on the marsh', 'password-like-name'],
    ['my-own-WREN-key', 'password-like-name'],
  ])('refuses %s as %s', (password, reason) => {
    expect(reasonOf(password)).toBe(reason)
  })

  it('says how long it must be', () => {
    const decision = decidePassword('tide', names)
    if (decision.allowed) throw new Error('it was taken')
    expect(fillSentence(reasonSentences[decision.reason], decision.params)).toContain(
      'at least 10 characters',
    )
  })
})
