import type { Queue, Submission, SubmissionRow } from '@valise/core/submissions'
import { inOneLine as text, renderHtml, renderWords } from '../testing/renderWords.tsx'
import { assignment, feedback, scale, submission, submissionRow } from '../testing/samples.ts'
import { AnswerPanel } from './AnswerPanel.tsx'
import { CopyFaults } from './CopyFaults.tsx'
import { CopyHead } from './CopyHead.tsx'
import { DeskQueue } from './DeskQueue.tsx'
import { OwnSubmission } from './OwnSubmission.tsx'
import { PageAnswers } from './PageAnswers.tsx'
import { submissionQueries } from './queries.ts'
import type { QueueShelf } from './queries.ts'
import type { Answers } from './useAnswers.ts'
import type { DeskQueueState } from './useQueue.ts'

const received = { level: scale[2] ?? { id: '', name: {} }, position: 3, of: 4 }
const opened = { openedAt: '2026-11-24T10:42:00.000Z' }

describe('the queue', () => {
  const queue = (
    items: readonly Partial<SubmissionRow>[],
    shelf: QueueShelf = 'to-read',
    { language, isOfAll = false }: { readonly language?: 'es'; readonly isOfAll?: boolean } = {},
  ) => {
    const rows = items.map((row, n) => ({ ...submissionRow, id: `s${n}`, ...row }))
    const page: Queue = {
      assignment: isOfAll ? null : assignment,
      ...{ items: rows, next: null, toRead: rows.length, read: 7, failed: ['Nell Sorrel'] },
    }
    const desk = {
      assignmentId: isOfAll ? null : 'transect',
      query: {
        ...{ data: { pages: [page], pageParams: [null] }, isPending: false, isError: false, error: null },
        ...{ hasNextPage: false, isFetchingNextPage: false },
      },
      ...{ rows, shelf },
    } as unknown as DeskQueueState // what the list reads of it
    return renderHtml(<DeskQueue queue={desk} current="s0" />, language && { language })
  }

  it('says how much is read, and who stands in it since when', () => {
    const words = text(queue([{}, { ownerName: 'Ines Mallow', gaps: 2 }]))
    expect(words).toContain('7 of 9 read')
    expect(words).toContain('To read, 2')
    expect(words).toContain('Tomasz Ilves-Barr')
    expect(words).toContain('20 Nov, 2 things missing')
    expect(words).toContain('Could not be handed in: Nell Sorrel. They can hand it in themselves.')
  })

  it('marks what came late, what came again, what was opened, and the one that is open now', () => {
    const html = queue([{ lateMinutes: 90 }, { n: 2 }, opened])
    const [late = '', again = '', seen = ''] = html.match(/<li>.*?<\/li>/gs) ?? []
    expect(text(late)).toContain('late')
    expect(late).toContain('aria-current="true"')
    expect(text(again)).toContain('20 Nov')
    expect(text(again)).toContain('handed in again')
    expect(text(seen)).toContain('opened')
    expect(seen).not.toContain('aria-current')
  })

  it('over all assignments says of which each is, and leads to a copy that keeps that queue', () => {
    const html = queue([{}, { requestedAt: '2026-11-21T16:42:00.000Z' }], 'to-read', { isOfAll: true })
    expect(text(html)).toContain('To read, oldest first')
    expect(text(html)).toContain('Transect portfolio, 20 Nov')
    expect(html).toContain('href="/submissions/s1?queue=all"')
    expect(queue([{}])).toContain('href="/submissions/s0"')
  })

  it('says on the other shelf what was answered', () => {
    const words = text(queue([{ state: 'accepted', level: received }, { state: 'changes-asked' }], 'read'))
    expect(words).toContain('On my own')
    expect(words).toContain('Changes asked for')
  })

  it('says so when nothing is there, in both languages', () => {
    expect(text(queue([]))).toContain('You have read everything.')
    expect(text(queue([], 'read'))).toContain('You have not read any yet.')
    expect(text(queue([], 'to-read', { language: 'es' }))).not.toMatch(/read|allRead/)
  })
})

describe('the head of a sealed copy', () => {
  const faults = [{ what: 'file-changed', path: 'parts/1/index.html' }]
  const answersOf = (agrees: boolean): [readonly unknown[], object][] => [
    [submissionQueries.check('s1').queryKey, { agrees, files: 3, faults: agrees ? [] : faults }],
  ]
  const head = (agrees?: boolean) =>
    renderWords(<CopyHead submission={{ ...submission, isMine: false, ...opened }} />, {
      answers: agrees === undefined ? [] : answersOf(agrees),
    })

  it('says whether the bytes agree with the checksum, and what to do where they do not', () => {
    expect(head()).toContain('Checking that nothing changed…')
    expect(head(true)).toContain(
      'Sealed copy MB-0412. Fri 20 Nov, 16:42. Nothing has changed since it was handed in.',
    )
    expect(head(false)).not.toContain('Nothing has changed since it was handed in.')
    const shownFaults = renderWords(<CopyFaults id="s1" />, { answers: answersOf(false) })
    expect(shownFaults).toContain('This copy is not the one that was handed in. Tell your administrator.')
    expect(shownFaults).toContain('parts/1/index.html was changed afterwards.')
  })
})

describe('the answer', () => {
  const answers: Answers = { give: () => undefined, undo: () => Promise.resolve() }
  const panel = (change: Partial<Submission>, part = 1, said = [feedback]) =>
    renderHtml(
      <AnswerPanel
        submission={{ ...submission, isMine: false, ...opened, ...change }}
        answers={answers}
        part={part}
        hasNext
        onScroll={() => undefined}
      />,
      {
        answers: [[submissionQueries.feedback('s1').queryKey, said]],
      },
    )

  it('shows what was asked and whether it was there when it was handed in', () => {
    const words = panel({}).replace(/<[^>]+>/g, ' ')
    expect(words).toContain('1 of 3 done')
    expect(words).toContain('The creek still needs 2 data tables.')
    // What is missing stands first.
    expect(words.indexOf('still needs')).toBeLessThan(words.indexOf('Done'))
  })

  it('offers each level of the scale, and accepts none before one is chosen', () => {
    const html = panel({})
    for (const { name } of scale) expect(html).toContain(name.en)
    expect(/<button[^>]*disabled=""[^>]*>(?:(?!<button).)*Accept and open next/s.test(html)).toBe(true)
    expect(html).toContain('Choose a level to accept it, or ask for changes.')
  })

  it('may be undone by whoever gave it, as long as the server says so', () => {
    const accepted = { state: 'accepted', level: received } as const
    expect(panel({ ...accepted, mayUndo: true })).toContain('Undo the answer')
    expect(panel(accepted)).not.toContain('Undo the answer')
    expect(panel(accepted)).not.toContain('Choose a level')
  })

  it('can be open only on a page, and says who reads it', () => {
    const onPage = panel({})
    expect(onPage).toContain('Tomasz Ilves-Barr, Odalys Fenn and Rufus Brandt-Osei can read it.')
    expect(onPage).not.toContain('data-barred="true"')
    const onItem = panel({}, 2)
    expect(onItem).toContain('data-barred="true"')
    expect(onItem).toContain('Only feedback on a page can be read by everyone.')
  })

  it('shows what was said before: by whom, on which part, and who reads it', () => {
    const words = panel({}, 1, [
      feedback,
      { ...feedback, id: 'f2', part: null, isMine: true, isOpen: true, text: 'I threw a stone.' },
    ]).replace(/<[^>]+>/g, ' ')
    expect(words).toMatch(
      /Odalys Fenn\s+on The creek\s+Tue 24 Nov, 10:42\s+Only Tomasz Ilves-Barr and the teachers/,
    )
    expect(words).toMatch(/You\s+Tue 24 Nov, 10:42\s+Everyone who can see the page\s+I threw a stone\./)
  })
})

describe('one’s own hand-in', () => {
  const screen = (change: Partial<Submission>, language: 'en' | 'es' = 'en') =>
    renderHtml(<OwnSubmission submission={{ ...submission, ...change }} />, {
      language,
      answers: [[submissionQueries.feedback('s1').queryKey, [feedback]]],
    })

  it('shows the receipt with number, readers, parts and the beginning of the checksum', () => {
    const html = screen({})
    expect(html).toContain('aria-label="Sealed copy MB-0412"')
    expect(html).toContain('2 things, with 3 files, 48 kB')
    expect(html).toContain('>ab12cd34ef56ab12cd34ef56<')
    expect(html).toContain('href="/api/submissions/s1/receipt"')
    expect(html).toContain('Take it back')
  })

  it('says who opened and who answered it, and leads on where changes were asked for', () => {
    const html = screen({
      ...{ state: 'changes-asked', ...opened, openedByName: 'Odalys Fenn', mayTakeBack: false },
      ...{ decidedAt: '2026-11-25T09:00:00.000Z', decidedByName: 'Rufus Brandt-Osei' },
    })
    expect(html).toContain('Odalys Fenn opened it Tue 24 Nov, 10:42.')
    expect(html).toContain('Rufus Brandt-Osei answered Wed 25 Nov, 09:00.')
    expect(html).toContain('Change and hand in')
    expect(html).not.toContain('Take it back')
  })

  it('shows the level that it was accepted with', () => {
    const html = screen({ state: 'accepted', level: received, mayTakeBack: false })
    expect(html).toContain('On my own')
    expect(html).not.toContain('hand in again')
  })

  it('says while it is being sealed that one can leave, and after a failure that nobody has it', () => {
    const unsealed = { number: null, sealedAt: null }
    expect(screen({ ...unsealed, state: 'sealing' })).toContain(
      'You can leave this screen; it goes on by itself.',
    )
    expect(screen({ ...unsealed, state: 'not-sealed' })).toContain('Nobody else has it')
    expect(screen({ ...unsealed, state: 'not-sealed' }, 'es')).not.toMatch(/nobody|receipt\./)
  })
})

describe('on the page that was handed in', () => {
  const answers = (data: object) =>
    renderWords(<PageAnswers pageId="creek" />, {
      answers: [[submissionQueries.ofPage('creek').queryKey, data]],
    })

  it('stands what came of it, the newest said last and the rest folded away', () => {
    const words = answers({
      submissions: [
        { ...submissionRow, state: 'accepted', level: received },
        { ...submissionRow, id: 's0', number: 'MB-0400', state: 'replaced' },
      ],
      feedback: [feedback, { ...feedback, id: 'f2', text: 'Now I see it.' }],
    })
    expect(words).toContain('Accepted')
    expect(words).toContain('On my own')
    expect(words).not.toContain('MB-0400')
    expect(words).toContain('1 earlier comment')
    expect(words.indexOf('Now I see it.')).toBeGreaterThan(words.indexOf('Say how you chose'))
  })

  it('stands nothing where nothing was handed in or said', () => {
    expect(answers({ submissions: [], feedback: [] })).toBe('')
  })
})
