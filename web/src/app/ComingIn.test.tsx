import { afterEach, describe, expect, it } from '@jest/globals'
import { listsUploads, uploadsHere } from '../evidence/upload/index.ts'
import type { UploadHere, UploadState } from '../evidence/upload/index.ts'
import { inOneLine, renderHtml } from '../testing/renderWords.tsx'
import { ComingIn } from './ComingIn.tsx'

afterEach(() => uploadsHere.set([]))

const upload = (state: UploadState, key: number): UploadHere => ({
  ...{ key, file: new File(['x'], `${key}.jpg`), replaces: null, landing: {}, state },
  ...{ sent: 0, uploadId: null, outcome: null, problem: null },
})

function shown(path: string, states: readonly UploadState[], language: 'en' | 'es' = 'en') {
  uploadsHere.set(states.map(upload))
  return renderHtml(<ComingIn />, { path, language })
}

describe('files on their way, told by the top bar', () => {
  it('are counted while they wait, go, rest or pause, and lead to their list', () => {
    const html = shown('/pages', ['waiting', 'going', 'pausing', 'paused', 'arrived', 'refused'])
    expect(html).toContain('href="/evidence"')
    expect(inOneLine(html)).toContain('Uploading 4 files')
    expect(inOneLine(shown('/pages', ['going']))).toContain('Uploading 1 file')
    expect(inOneLine(shown('/pages', ['going'], 'es'))).not.toMatch(/file|coming/)
  })

  it('are not told where nothing is on its way, nor where they are listed anyway', () => {
    expect(shown('/pages', [])).toBe('')
    expect(shown('/pages', ['arrived', 'refused'])).toBe('')
    for (const path of ['/', '/evidence', '/evidence/some-item']) {
      expect(listsUploads(path)).toBe(true)
      expect(shown(path, ['going'])).toBe('')
    }
  })
})
