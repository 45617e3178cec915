import fc from 'fast-check'
import { foldText, initialsOf, resolveShownName, toPlainLine, toSignInKey } from './index.ts'

describe('names', () => {
  const names = { fullName: 'Juno Castellane', firstName: 'Juno', chosenName: 'June' }

  it('shows by the rule of the year group, and staff in full', () => {
    expect(resolveShownName(names, 'full')).toBe('Juno Castellane')
    expect(resolveShownName(names, 'first')).toBe('Juno')
    expect(resolveShownName(names, 'chosen')).toBe('June')
    expect(resolveShownName(names, null)).toBe('Juno Castellane')
  })

  it('shows the first name where a chosen one is asked for and none was chosen', () => {
    expect(resolveShownName({ ...names, chosenName: null }, 'chosen')).toBe('Juno')
  })

  it('folds case, accents and look-alikes', () => {
    expect(foldText('  Álvaro   NÚÑEZ ')).toBe('alvaro nunez')
    expect(toSignInKey(' Ｗren ')).toBe('wren')
  })

  it('makes plain lines that stay as they are', () => {
    fc.assert(
      fc.property(fc.string(), (text) => expect(toPlainLine(toPlainLine(text))).toBe(toPlainLine(text))),
    )
  })

  it('stands for a name with its first letters, whatever the script', () => {
    expect(initialsOf('Wren Adeyemi-Holt')).toBe('WA')
    expect(initialsOf('juno')).toBe('J')
    expect(initialsOf('𝒜da 李')).toBe('𝒜李')
    expect(initialsOf('')).toBe('')
  })
})
