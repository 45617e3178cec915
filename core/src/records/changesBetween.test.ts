import { changesBetween } from './index.ts'

describe('what a change did', () => {
  it('names the settings that differ, with both values', () => {
    expect(
      changesBetween({ role: 'student', until: null }, { role: 'student', until: '2026-12-12' }),
    ).toEqual({
      until: [null, '2026-12-12'],
    })
  })

  it('shows new settings as coming from nothing', () => {
    expect(changesBetween({}, { name: 'Shore Methods' })).toEqual({ name: [null, 'Shore Methods'] })
  })
})
