import { fieldOf } from '@valise/core/pages'
import type { AnswerPiece, Question } from '@valise/core/pages'
import { answersOf, newEntryDocument } from '@valise/core/reflections'
import { shippedSheets } from '@valise/core/sheets'
import type { OfferedRow } from '@valise/core/offers'
import { renderHtml, renderWords } from '../testing/renderWords.tsx'
import { AnswerColumn } from './AnswerColumn.tsx'
import { sheetQueries } from './queries.ts'
import { SheetsScreen } from './SheetsScreen.tsx'

const languages = ['en', 'es'] as const

/** The questions of a sheet, with the first answered. */
function columnOf(questions: Question[], answer?: object) {
  const document = newEntryDocument({
    ...{ title: '', lang: 'en', textId: 'aaaabbbbcccc' },
    sheet: {
      ...{ id: '5ee70000-0000-7000-8000-000000000009', n: 1, source: 'mine' },
      content: { title: {}, about: {}, questions },
    },
  })
  const [first, ...others] = answersOf(document)
  if (!first) throw new Error('there is no question')
  const { piece } = first
  const given = { ...piece.given, ...(answer && { answer }) }
  const state = answer ? ('there' as const) : first.progress.state
  const answered = {
    ...first,
    piece: { ...piece, given } as AnswerPiece,
    progress: { ...first.progress, state, count: answer ? 4 : 0 },
  }
  return (
    <AnswerColumn
      answers={[answered, ...others]}
      heading="h2"
      lang="en"
      place="/test"
      writing={{ fromElsewhere: 0, registerFlush: () => () => undefined }}
      beside={() => null}
      onPiece={() => undefined}
    />
  )
}

const question = (id: string, change: object = {}): Question => ({
  ...fieldOf({ kind: 'short' }).create(id),
  asks: { en: 'What did you see?', es: '¿Qué viste?' },
  hint: { en: 'Only what was there.', es: 'Solo lo que había.' },
  ...change,
})

describe('the column of questions', () => {
  it.each([
    ['en', 'What did you see?', 'Only what was there.', 'Required', 'Recommended'],
    ['es', '¿Qué viste?', 'Solo lo que había.', 'Obligatoria', 'Recomendada'],
  ] as const)('asks, explains, and says what is required, in %s', (language, ...said) => {
    const words = renderWords(columnOf([question('a', { weight: 'must' }), question('b')]), { language })
    for (const one of said) expect(words).toContain(one)
  })

  it('counts words against the least and the most', () => {
    const of = (least: number, most: number | null) =>
      renderWords(columnOf([question('a', { words: { least, most } })], { text: 'mud and sand again' }))
    expect(of(0, null)).toContain('4 words')
    expect(of(9, null)).toContain('4 words, at least 9')
    expect(of(0, 9)).toContain('4 words, at most 9')
    expect(of(0, 3)).toContain('4 words, 1 too many')
  })

  it('says how many are answered, and how many required ones are not', () => {
    const words = renderWords(
      columnOf([question('a', { weight: 'must' }), question('b', { weight: 'must' })], { text: 'mud' }),
    )
    expect(words).toContain('1 of 2 questions answered')
    expect(words).toContain('1 required question still to do')
  })

  it('names each field by its question, and the rest of it beside', () => {
    const html = renderHtml(columnOf([question('a')]))
    const [, labelled = ''] = /aria-labelledby="([^"]+)"/.exec(html) ?? []
    expect(html).toContain(`id="${labelled}"`)
    expect(html).toMatch(/spellcheck="true"/i)
  })

  it('says of a choice that is offered no more what became of it', () => {
    const chosen = [{ id: 'gone', label: { en: 'The sea' } }]
    const choice = { ...fieldOf({ kind: 'choice' }).create('c'), asks: { en: 'Where from?' } }
    const words = renderWords(columnOf([choice], { chosen }))
    expect(words).toMatch(/The sea\s?This is no longer among the choices\./)
  })

  it.each(shippedSheets)(
    'shows every kind of question of $content.title.en in both languages',
    ({ content }) => {
      for (const language of languages) {
        const words = renderWords(columnOf([...content.questions]), { language })
        for (const { asks } of content.questions) expect(words).toContain(asks[language])
        expect(words).not.toMatch(/sheets\.|answer\.|progress\./)
      }
    },
  )
})

describe('the list of sheets', () => {
  const row = (change: Partial<OfferedRow>): OfferedRow => ({
    ...{
      id: 's',
      n: 1,
      title: { en: 'My week', es: 'Mi semana' },
      about: { en: 'On a Friday.' },
      size: 3,
    },
    ...{ source: 'shipped', ownerName: null, isNewer: false },
    mayEdit: change.source === 'mine',
    ...change,
  })
  const around = (rows: OfferedRow[], language: 'en' | 'es' = 'en') => ({
    language,
    answers: [[sheetQueries.list().queryKey, rows]] as const,
  })

  it('has mine first, then those of my classes with who offers them, then those that ship', () => {
    const rows = [
      row({ id: 'a' }),
      row({ id: 'b', source: 'class', ownerName: 'Odalys Fenn' }),
      row({ id: 'c', source: 'mine', n: 0 }),
    ]
    const words = renderWords(<SheetsScreen />, around(rows))
    const places = ['Mine', 'From my classes', 'Ready to use'].map((name) => words.indexOf(name))
    expect(places).toEqual([...places].sort((a, b) => a - b))
    expect(words).toContain('3 questions, from Odalys Fenn')
    expect(words).toContain('3 questions, not published yet')
  })

  it('leads to mine, lets others be looked at and copied, in both languages', () => {
    const rows = [row({ id: 'a', source: 'mine', isNewer: true }), row({ id: 'b' })]
    const html = renderHtml(<SheetsScreen />, around(rows))
    expect(html).toContain('href="/sheets/a"')
    expect(html).not.toContain('href="/sheets/b"')
    expect(html).toContain('Copy My week')
    expect(renderWords(<SheetsScreen />, around(rows, 'es'))).toContain('con cambios sin publicar')
  })
})
