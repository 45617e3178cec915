import { describe, expect, it } from '@jest/globals'
import type { Collage, Layer, Pictured } from '@valise/core/pictures'
import { inOneLine, renderHtml } from '../testing/renderWords.tsx'
import { useLayerWords } from './layerWords.ts'
import { newLayer } from './newLayers.ts'
import { toPictured } from './toPictured.ts'
import { isSamePicture } from './useCollage.ts'
import { useDraft } from './useDraft.ts'

const empty: Collage = {
  ...{ schema: 1, size: 'wide', background: { kind: 'colour', colour: 'paper' }, layers: [] },
}
const picture = (evidenceId: string, x: number): Layer => ({
  ...{ id: evidenceId, kind: 'picture', evidenceId, n: 1, shape: 'box', focus: { x: 0.5, y: 0.5, zoom: 1 } },
  ...{ x, y: 0, width: 100, height: 100, turn: 0, isLocked: false, group: null },
})
const pictured = (evidenceId: string, title: string, alternativeText = ''): Pictured => ({
  ...{ evidenceId, n: 1, title, alternativeText, width: 4, height: 3, renderRevision: 0 },
})
const words = (id: string, said: string): Layer => ({ ...newLayer('words', id, empty), words: said }) as Layer
const number = (id: string, note: string): Layer => ({ ...newLayer('number', id, empty), note }) as Layer
const board = (...layers: Layer[]): Collage => ({ ...empty, layers })
const pictures = [pictured('a', 'Heron', 'A heron on a weir.'), pictured('b', 'Marsh'), pictured('c', '')]

interface Shown {
  readonly collage: Collage
  readonly known?: readonly Pictured[]
}

function Draft({ collage, known = pictures }: Shown) {
  return <p>{useDraft(collage, known)}</p>
}
function Names({ collage, known = pictures }: Shown) {
  const nameOf = useLayerWords(collage, known)
  return <p>{collage.layers.map(nameOf).join(' | ')}</p>
}
const draft = (shown: Shown, language: 'en' | 'es' = 'en') =>
  inOneLine(renderHtml(<Draft {...shown} />, { language })).trim()
const names = (shown: Shown) => inOneLine(renderHtml(<Names {...shown} />)).trim()

describe('a draft of what a collage shows', () => {
  it('tells its pictures by their own words, from the left to the right', () => {
    const collage = board(picture('b', 500), picture('a', 0))
    expect(draft({ collage })).toBe('2 pictures: A heron on a weir; Marsh.')
    expect(draft({ collage }, 'es')).toBe('2 imágenes: A heron on a weir; Marsh.')
    expect(draft({ collage: board(picture('a', 0)) })).toBe('1 picture: A heron on a weir.')
  })

  it('tells what is written on it, and what its numbers point out', () => {
    const collage = board(
      words('w', 'One\ntide'),
      number('m', 'the crust'),
      number('n', ''),
      number('o', 'a hole'),
    )
    expect(draft({ collage })).toBe('Written on it: One tide. 1: the crust; 3: a hole.')
  })

  it('counts pictures that have no words, and says nothing of an empty board', () => {
    expect(draft({ collage: board(picture('c', 0), picture('gone', 300)) })).toBe('2 pictures.')
    expect(draft({ collage: empty })).toBe('')
  })

  it('is never longer than an alternative text may be', () => {
    const long = Array.from({ length: 40 }, (_, n) => words(`w${n}`, 'low water '.repeat(20)))
    expect(draft({ collage: board(...long) }).length).toBeLessThanOrEqual(1000)
  })
})

describe('things on a board', () => {
  it('are called by what they are and say', () => {
    const bubble = { ...newLayer('bubble', 'u', empty), words: 'Look\nhere' } as Layer
    const collage = board(
      ...[picture('a', 0), picture('c', 0), picture('gone', 0), words('w', ''), words('v', 'One tide')],
      ...[
        bubble,
        newLayer('shape', 's', empty),
        newLayer('arrow', 'r', empty),
        number('n', 'x'),
        number('o', ''),
      ],
    )
    expect(names({ collage }).split(' | ')).toEqual([
      ...['Heron', 'Untitled picture', 'A picture that is no longer there', 'Empty text', '“One tide”'],
      ...['Speech bubble, “Look here”', 'Rounded box', 'Arrow', 'Number 1', 'Number 2'],
    ])
  })

  it('are called by the beginning of what they say, where that is long', () => {
    const said = names({ collage: board(words('w', 'a word after another '.repeat(9))) })
    expect(said.length).toBeLessThan(60)
    expect(said).toContain('…')
  })
})

describe('an item that comes onto a board', () => {
  const row = {
    ...{
      id: 'a',
      kind: 'picture' as const,
      title: 'Heron',
      rightsState: 'mine' as const,
      alternativeText: '',
    },
    ...{ madeAt: '2026-11-26T10:42:00.000Z', inTray: false, binnedAt: null },
    version: {
      ...{ n: 2, fileName: 'a.jpg', mime: 'image/jpeg', bytes: 9, width: 40, height: 30, place: null },
      ...{ durationMs: null, pages: null, encoding: null, textState: 'none' as const, renderRevision: 3 },
      ...{ preview: 'there' as const, previewProblem: null, at: '2026-11-26T10:42:00.000Z' },
    },
  }

  it('is a picture that can be shown, at its newest version; everything else stays away', () => {
    expect(toPictured(row)).toEqual([
      {
        evidenceId: 'a',
        n: 2,
        title: 'Heron',
        alternativeText: '',
        width: 40,
        height: 30,
        renderRevision: 3,
      },
    ])
    expect(toPictured({ ...row, kind: 'collage' })).toEqual([])
    expect(toPictured({ ...row, kind: 'note' })).toEqual([])
    expect(toPictured({ ...row, version: { ...row.version, preview: 'none' } })).toEqual([])
    expect(toPictured({ ...row, version: { ...row.version, width: null } })).toEqual([])
  })

  it('is the same only at the same version', () => {
    expect(isSamePicture({ evidenceId: 'a', n: 1 }, { evidenceId: 'a', n: 1 })).toBe(true)
    expect(isSamePicture({ evidenceId: 'a', n: 1 }, { evidenceId: 'a', n: 2 })).toBe(false)
  })
})
