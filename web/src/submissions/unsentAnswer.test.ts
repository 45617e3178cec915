import { unsentInWindow, writeUnsent } from '../saving/index.ts'
import { FakeServer } from '../testing/fakeServer.ts'
import { clearAnswer, hasUnsentWords, placesOf, restoreAnswer } from './unsentAnswer.ts'
import 'fake-indexeddb/auto'

let server: FakeServer
beforeEach(() => {
  server = new FakeServer({ 'GET /api/session/device-key': () => ({ key: `${'A'.repeat(42)}8` }) })
})
afterEach(() => server.leave())

const places = placesOf('s1')
const at = (place: string) => unsentInWindow('odalys', place)
const put = (place: string, value: unknown) => writeUnsent('odalys', place, value)
const feedback = { part: null, isOpen: false, text: 'You looked twice.' }

describe('an answer that is being made', () => {
  it('leaves nothing on the device once it is given', () => {
    put(places.level, 'own')
    put(places.changes, 'Say more')
    put(places.feedback, ' You looked twice.')
    put(places.reach, { on: 'whole', isOpen: false })
    clearAnswer('odalys', 's1', { act: 'accept', levelId: 'own', feedback })
    expect(Object.values(places).map(at)).toEqual([undefined, undefined, undefined, undefined])
  })

  it('keeps the words that were typed while it was under way', () => {
    put(places.feedback, 'You looked twice. And then')
    clearAnswer('odalys', 's1', { act: 'accept', levelId: 'own', feedback })
    expect(at(places.feedback)).toBe('You looked twice. And then')
  })

  it('comes back whole when it is undone, before what was typed since', () => {
    put(places.feedback, 'One more thing')
    restoreAnswer('odalys', 's1', { act: 'accept', levelId: 'own', feedback })
    expect(at(places.level)).toBe('own')
    expect(at(places.feedback)).toBe('You looked twice.\n\nOne more thing')
    expect(at(places.reach)).toEqual({ on: 'whole', isOpen: false })
    restoreAnswer('odalys', 's1', { act: 'ask-for-changes', words: 'Say how' })
    expect(at(places.changes)).toBe('Say how')
  })

  it('is told of by a row only where words of it wait', () => {
    expect(hasUnsentWords(new Set([places.level, places.reach]), 's1')).toBe(false)
    expect(hasUnsentWords(new Set([places.feedback]), 's1')).toBe(true)
    expect(hasUnsentWords(new Set([places.changes]), 's1')).toBe(true)
    expect(hasUnsentWords(new Set([places.changes]), 's2')).toBe(false)
  })
})
