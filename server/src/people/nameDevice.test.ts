import { nameDevice } from './nameDevice.ts'

describe('the name of a device', () => {
  it('is short, and empty where nothing is said', () => {
    const agent = 'Mozilla/5.0 (X11; Linux x86_64; rv:140.0) Gecko/20100101 Firefox/140.0'
    expect(nameDevice(agent)).toBe('Firefox, Linux')
    expect(nameDevice('')).toBe('')
    expect(nameDevice('x'.repeat(100_000)).length).toBeLessThan(60)
  })
})
