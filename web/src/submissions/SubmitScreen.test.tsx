import type { CheckedRequirement } from '@valise/core/assignments'
import type { HandIn, ListedPart } from '@valise/core/submissions'
import { renderHtml, renderWords } from '../testing/renderWords.tsx'
import {
  feedback,
  fewWords,
  handIn,
  listedPage,
  pageLacks,
  rightsThere,
  submissionRow,
} from '../testing/samples.ts'
import { HandInPanel } from './HandInPanel.tsx'
import { LatestHandIn } from './LatestHandIn.tsx'
import { PartsList } from './PartsList.tsx'
import { submissionQueries } from './queries.ts'
import { ReadinessList } from './ReadinessList.tsx'

const there = (checked: CheckedRequirement) =>
  ({ ...checked, result: { ...checked.result, isThere: true } }) as CheckedRequirement
const refused = (reason: string, params = {}): Partial<HandIn> => ({
  decision: { allowed: false, reason, params },
})

describe('readiness', () => {
  const list = (change: Partial<HandIn> = {}, path = '/') =>
    renderWords(<ReadinessList handIn={{ ...handIn, ...change }} />, { path })

  it('says how much is there, and of each requirement what is asked and what is missing', () => {
    const words = list()
    expect(words).toContain('1 of 3 done')
    expect(words).toContain('A page with a picture and 2 data tables')
    expect(words).toContain('The creek still needs 2 data tables.')
    expect(words).toContain('Only 12 words about Transect map so far.')
  })

  it('puts what is missing before what is there, each must before each should, with its verb', () => {
    const words = list({ readiness: [rightsThere, fewWords, pageLacks] })
    const order = ['Choose a page', 'Write it', 'Done'].map((verb) => words.indexOf(`\n${verb}`))
    expect(order).toEqual([...order].sort((a, b) => a - b))
    expect(order).not.toContain(-1)
  })

  it('names what nobody has declared, three at most', () => {
    const undeclared = ['Rock', 'Weir', 'Gate', 'Bank'].map((title) => ({ id: title, title }))
    const owed = { ...rightsThere, result: { isThere: false, items: 4, undeclared } }
    expect(list({ readiness: [owed] })).toContain('Still to say who made: Rock, Weir and Gate.')
  })

  it('says so where nothing particular is asked', () => {
    expect(list({ readiness: [] })).toContain('Nothing special is needed.')
  })

  it('keeps the drawer open on what was just mended, and says that it is there', () => {
    const html = renderHtml(
      <ReadinessList handIn={{ ...handIn, readiness: [there(pageLacks), rightsThere] }} />,
      { path: '/assignments/transect?mend=page' },
    )
    expect(html).toContain('aria-expanded="true"')
    expect(html).toMatch(/role="status"[^>]*>.*Done/s)
  })

  it('is said in Spanish too, with the plurals of the language', () => {
    const words = renderWords(<ReadinessList handIn={handIn} />, { language: 'es' })
    expect(words).not.toMatch(/found\.|wanted\.|\bthe\b/)
    expect(words).toMatch(/2 tablas/)
  })
})

describe('what goes in', () => {
  const list = (change: Partial<ListedPart>, totals = handIn.totals) =>
    renderWords(<PartsList handIn={{ ...handIn, totals, parts: [{ ...listedPage, ...change }] }} />)

  it('is the published copy, as long as nothing is newer', () => {
    expect(list({})).toContain('Page with 8 things, as published 21 Nov. No newer changes.')
  })

  it('offers to publish what is newer first, or to seal the draft', () => {
    const words = list({ changes: 4 })
    expect(words).toMatch(
      /You hand in what you published 21 Nov\. 4 newer changes are not in it:\s*Publish them first/,
    )
    expect(words).toContain('Hand in the draft')
  })

  it('says that the draft is sealed, by how much it is newer, and offers the way back', () => {
    const words = list({ changes: 1, copy: 'draft' })
    expect(words).toContain('You hand in the draft.')
    expect(words).toContain('It has 1 change that you made after publishing 21 Nov:')
    expect(words).toContain('Hand in what is published')
    expect(list({ changes: 0, copy: 'draft' })).not.toContain('Publish them first')
  })

  it('says why a page does not go in: never published, or in the bin', () => {
    expect(list({ publishedAt: null, goesIn: false })).toContain('never published, so it is not handed in')
    expect(list({ publishedAt: null, copy: 'draft' })).toContain('it was never published')
    expect(list({ isBinned: true })).toContain('It is in the bin, so it is not handed in.')
  })

  it('seals entries and single items as they are at that second', () => {
    expect(list({ kind: 'entry' })).toContain('Entry, as it is when you hand in.')
    expect(list({ kind: 'evidence' })).toContain('Evidence, as it is when you hand in.')
  })

  it('is counted: parts, pieces, files and their size', () => {
    expect(list({})).toContain('Everything you chose: 8 things and 3 files, 48 kB.')
    expect(list({ isIn: false }, { parts: 0, pieces: 0, files: 0, bytes: 0 })).toContain(
      'Nothing chosen yet.',
    )
    expect(renderWords(<PartsList handIn={{ ...handIn, parts: [] }} />)).toContain('Choose what to hand in')
  })
})

describe('the act of handing in', () => {
  const panel = (change: Partial<HandIn>) => renderHtml(<HandInPanel handIn={{ ...handIn, ...change }} />)
  const button = (html: string) =>
    /<button[^>]*>(?:(?!<button).)*?Hand in.*?<\/button>/s.exec(html)?.[0] ?? ''
  const noTerms = { assignment: { ...handIn.assignment, terms: [] } }

  it('names the gaps on its button, which is never the filled one while a must is missing', () => {
    const html = panel(noTerms)
    expect(button(html)).toContain('Hand in anyway')
    expect(button(html)).toContain('MuiButton-outlined')
    expect(button(html)).not.toContain('disabled=""')
    expect(html).toContain('Still missing: 1 required thing and 1 recommended thing.')
    expect(html).toContain('Go to the first')
  })

  it('is the one filled button once all is there', () => {
    const html = panel({ ...noTerms, readiness: [there(pageLacks), there(fewWords), rightsThere] })
    expect(button(html)).toContain('Hand in')
    expect(button(html)).toContain('MuiButton-contained')
    expect(html).toContain('Nothing is missing.')
  })

  it('stays shut until each of the terms is agreed to', () => {
    const html = panel({ readiness: [rightsThere] })
    expect(html).toContain('This is my own work.')
    expect(button(html)).toContain('disabled=""')
    expect(html).toContain('Tick all the terms first.')
  })

  it('says why it cannot be: gaps are forbidden, nothing goes in, the assignment has ended', () => {
    const forbidden = panel({ ...noTerms, ...refused('gaps-forbidden', { count: 1 }) })
    expect(button(forbidden)).toContain('disabled=""')
    const said = ['nothing-goes-in', 'assignment-ended', 'already-accepted'].map((reason) =>
      panel({ ...noTerms, ...refused(reason) }).replace(/<[^>]+>/g, ' '),
    )
    expect(new Set([...said, forbidden]).size).toBe(4)
    for (const words of said) expect(words).toMatch(/[A-Z][^.]+\.\s/)
  })

  it('gives way while somebody has it, and the receipt to come names giver, readers and parts', () => {
    const html = panel(refused('with-assessor'))
    expect(button(html)).toBe('')
    expect(html).toContain('Odalys Fenn and Rufus Brandt-Osei, FLD-204')
    expect(html).toContain('1 thing, with 3 files')
    expect(html).toContain('aria-label="Not handed in yet"')
  })
})

describe('the hand-in before', () => {
  const latest = (change: Partial<typeof submissionRow>) =>
    renderWords(<LatestHandIn handIn={{ ...handIn, latest: { ...submissionRow, ...change } }} />, {
      answers: [[submissionQueries.feedback('s1').queryKey, [{ ...feedback, isRequest: true }]]],
    })

  it('can be taken back until somebody opened it', () => {
    expect(latest({})).toContain('Take it back')
    expect(latest({ state: 'sealing', number: null })).toContain('Take it back')
    expect(latest({ openedAt: '2026-11-24T10:42:00.000Z' })).not.toContain('Take it back')
    expect(latest({ state: 'accepted' })).not.toContain('Take it back')
  })

  it('shows the sentence with which changes were asked for, where they are made', () => {
    const words = latest({ state: 'changes-asked' })
    expect(words).toContain('Say how you chose the places.')
    expect(words).toContain('Odalys Fenn')
    expect(latest({})).not.toContain('Say how you chose')
  })

  it('says when it came, and is nothing where there was none', () => {
    expect(latest({})).toContain('Handed in Fri 20 Nov, 16:42.')
    expect(renderHtml(<LatestHandIn handIn={handIn} />)).toBe('')
  })
})
