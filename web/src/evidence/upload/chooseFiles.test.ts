// Whether something from a camera chooser is its sender's own work.
import { areJustTaken } from './chooseFiles.ts'

const file = (lastModified: number) => new File(['x'], 'photo.jpg', { lastModified })

describe('files of a camera chooser', () => {
  it('are just taken where all of them are newer than its opening', () => {
    expect(areJustTaken([file(1_000_500)], 1_000_000)).toBe(true)
    // Whole seconds may lie a little before.
    expect(areJustTaken([file(1_000_000)], 1_000_400)).toBe(true)
  })

  it('are not where one of them was chosen among older ones, or none came', () => {
    expect(areJustTaken([file(1_000_500), file(900_000)], 1_000_000)).toBe(false)
    expect(areJustTaken([], 1_000_000)).toBe(false)
  })
})
