import { describe, expect, it } from '@jest/globals'
import { holdsFiles, isUnreadable, readDrop } from './droppedFiles.ts'

const file = (name: string) => ({
  name,
  ...{ isFile: true, isDirectory: false },
  file: (done: (file: File) => void) => done(new File(['x'], name)),
})
/** Told in pieces of two, as browsers tell large folders in pieces of a hundred. */
const folder = (name: string, inside: readonly object[]) => ({
  name,
  ...{ isFile: false, isDirectory: true },
  createReader: () => {
    const left = [...inside]
    return { readEntries: (done: (some: object[]) => void) => done(left.splice(0, 2)) }
  },
})
const drop = (entries: readonly (object | null)[], files: readonly File[] = []) =>
  ({ items: entries.map((entry) => ({ webkitGetAsEntry: () => entry })), files }) as unknown as DataTransfer
const namesIn = async (transfer: DataTransfer) => (await readDrop(transfer)).map(({ name }) => name)

describe('what is dropped', () => {
  it('is every file, those in folders within folders included', async () => {
    const walk = folder('walk', [
      ...[file('1.jpg'), file('2.jpg'), file('3.jpg')],
      folder('later', [file('4.jpg'), folder('empty', [])]),
    ])
    expect(await namesIn(drop([file('map.pdf'), walk]))).toEqual([
      ...['map.pdf', '1.jpg', '2.jpg', '3.jpg', '4.jpg'],
    ])
  })

  it('is not what the system notes for itself in a folder', async () => {
    expect(await namesIn(drop([folder('walk', [file('.notes'), file('1.jpg')])]))).toEqual(['1.jpg'])
    expect(await namesIn(drop([file('.profile')]))).toEqual(['.profile'])
  })

  it('is told as what cannot be read where the device refuses it, and the others come in', async () => {
    const refused = (name: string) => ({
      name,
      ...{ isFile: true, isDirectory: false },
      file: (_: unknown, fail: (error: Error) => void) => fail(new DOMException('', 'NotReadableError')),
    })
    const shut = { ...folder('shut', []), createReader: () => ({ readEntries: refused('').file }) }
    const files = await readDrop(drop([folder('walk', [file('1.jpg'), refused('2.jpg')]), shut]))
    expect(files.map((one) => [one.name, isUnreadable(one)])).toEqual([
      ['1.jpg', false],
      ['2.jpg', true],
      ['shut', true],
    ])
  })

  it('is what the browser lists, where it knows no entries', async () => {
    expect(await namesIn(drop([null], [new File(['x'], 'map.pdf')]))).toEqual(['map.pdf'])
  })

  it('is looked at only where files are dragged', () => {
    expect(holdsFiles({ types: ['Files'] } as unknown as DataTransfer)).toBe(true)
    expect(holdsFiles({ types: ['text/plain'] } as unknown as DataTransfer)).toBe(false)
    expect(holdsFiles(null)).toBe(false)
  })
})
