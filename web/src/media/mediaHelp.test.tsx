import { describe, expect, it } from '@jest/globals'
import { inOneLine, renderHtml } from '../testing/renderWords.tsx'
import { MediaHelp } from './MediaHelp.tsx'
import type { MediaTrouble } from './useMedia.ts'
import { toFile } from './recordingShelf.ts'

const troubles: readonly MediaTrouble[] = ['refused', 'none', 'busy', 'unsupported']

describe('a camera or a microphone that cannot be used', () => {
  it('is told with what to do, each trouble in words of its own', () => {
    for (const language of ['en', 'es'] as const) {
      const said = (['camera', 'microphone'] as const).flatMap((what) =>
        troubles.map((trouble) => {
          const help = <MediaHelp trouble={trouble} what={what} onAgain={() => undefined} />
          const html = renderHtml(help, { language })
          expect(html).toContain('role="alert"')
          expect(html).toContain('<button')
          return inOneLine(html)
        }),
      )
      expect(new Set(said).size).toBe(8)
    }
  })

  it('is led through the permission step by step, where that was refused', () => {
    const steps = (trouble: MediaTrouble) =>
      renderHtml(<MediaHelp trouble={trouble} what="camera" onAgain={() => undefined} />).match(/<li>/g)
    expect(steps('refused')).toHaveLength(3)
    expect(steps('busy')).toBeNull()
  })
})

describe('a recording', () => {
  it('becomes a file of its sort, in order, named by when it began', async () => {
    const file = toFile(['one ', 'two'], { mime: 'audio/webm;codecs=opus', startedAt: 7 })
    expect([file.name, file.type, file.lastModified]).toEqual(['voice 7.webm', 'audio/webm;codecs=opus', 7])
    expect(await file.text()).toBe('one two')
    expect(toFile([], { mime: 'video/mp4', startedAt: 8 }).name).toBe('video 8.mp4')
  })
})
