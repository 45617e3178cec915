import { afterEach, describe, expect, it } from '@jest/globals'
import { inOneLine, renderHtml } from '../testing/renderWords.tsx'
import { endGathering, gather, openSource } from './gathering.ts'
import { GatherMenu } from './GatherMenu.tsx'
import { toLanding } from './toLanding.ts'
import { useSources } from './useSources.ts'
import { sourceIcons } from './sourceIcons.ts'
import { allSources } from './sources.ts'

afterEach(endGathering)

describe('where things land', () => {
  it('is told to the server without what the window alone knows', () => {
    const onSaved = () => undefined
    expect(toLanding({ classId: 'methods', assignmentId: 'transect', onSaved })).toEqual({
      ...{ classId: 'methods', assignmentId: 'transect' },
    })
    expect(toLanding({ onSaved })).toEqual({})
  })

  it('is open for one way at a time, and shut again', () => {
    gather('photo', { classId: 'methods' })
    gather('link', {})
    expect(openSource.get()).toEqual({ source: 'link', place: {} })
    endGathering()
    expect(openSource.get()).toBeNull()
  })
})

describe('the ways in', () => {
  it('stand behind one button', () => {
    expect(renderHtml(<GatherMenu />)).toContain('aria-haspopup="menu"')
  })

  function Sources() {
    return <p>{useSources().sources.join(' ')}</p>
  }
  const sourcesWith = (school: object | undefined) =>
    inOneLine(renderHtml(<Sources />, { answers: school ? [[['sources'], school]] : [] }))
      .trim()
      .split(' ')

  it('are all that there are, where the school has all of them', () => {
    expect(sourcesWith({ drive: true, shelf: true })).toEqual([...allSources])
    expect(Object.keys(sourceIcons).sort()).toEqual([...allSources].sort())
  })

  it('leave out what the school has not set up, and what is not known yet', () => {
    expect(sourcesWith({ drive: false, shelf: true })).not.toContain('drive')
    expect(sourcesWith({ drive: true, shelf: false })).not.toContain('shelf')
    expect(sourcesWith(undefined)).not.toContain('drive')
    expect(sourcesWith(undefined)).toContain('photo')
  })
})
