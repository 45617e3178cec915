import { fromLines } from '../ui/textLines.ts'
import { toDraft, toInput } from './assignmentDraft.ts'

const usual = { scale: { en: 'Not yet\nOn my own', es: 'Aún no\nPor mi cuenta' }, terms: { en: '', es: '' } }
const counted = () => {
  let n = 0
  return () => `id-${(n += 1)}`
}

describe('an assignment while it is written', () => {
  it('joins the lines of its languages by their place', () => {
    expect(fromLines({ en: 'One\n\nThree', es: 'Uno\nDos' })).toEqual([
      { en: 'One', es: 'Uno' },
      { es: 'Dos' },
      { en: 'Three' },
    ])
    expect(fromLines({ en: ' \n ', es: '' })).toEqual([])
  })

  it('comes back from what was kept as it was, with the ids of its levels', () => {
    const draft = { ...toDraft(null, usual), title: { en: ' Transect ', es: '' } }
    const input = toInput(draft, [], counted())
    expect(input).toMatchObject({ title: { en: 'Transect' }, brief: null, dueLocal: null, allowsGaps: true })
    expect(input.scale).toEqual([
      { id: 'id-1', name: { en: 'Not yet', es: 'Aún no' } },
      { id: 'id-2', name: { en: 'On my own', es: 'Por mi cuenta' } },
    ])
    const saved = {
      ...input,
      ...{ id: 'a', classId: 'c', className: '', classCode: '', dueAt: null, setAt: '', endedAt: null },
      guideId: null,
      revision: 1,
    }
    const again = toInput(toDraft(saved, usual), saved.scale, counted())
    expect(again).toEqual(input)
  })
})
