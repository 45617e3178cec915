import type { ErrorCode } from '@valise/core/problems'
import { ApiProblem } from '../../api/index.ts'
import { inOneLine as text, renderHtml, renderWords } from '../../testing/renderWords.tsx'
import { StoppedUpload } from './StoppedUpload.tsx'
import type { UploadHere } from './uploadsHere.ts'
import { UploadRow } from './UploadRow.tsx'

const row = (change: Partial<UploadHere>, size = 2048) =>
  renderHtml(
    <UploadRow
      upload={{
        ...{ key: 1, replaces: null, landing: {}, state: 'going', sent: 1024, uploadId: null },
        ...{ outcome: null, problem: null },
        file: { name: 'C:\\photos\\weir.png', size } as File, // what is read of it
        ...change,
      }}
    />,
  )
const problem = (code: ErrorCode, reason: string) => new ApiProblem({ code, reason, status: 400 } as never)

describe('a file on its way', () => {
  it('is called by its name alone, and says how much of it has arrived', () => {
    const html = row({})
    expect(text(html)).toContain('weir.png')
    expect(text(html)).not.toContain('C:')
    expect(text(html)).toContain('1 kB')
    expect(html).toContain('aria-valuenow="50"')
    expect(text(html)).toContain('Stop')
  })

  it('says that its turn comes, that it pauses, and what became of it', () => {
    expect(text(row({ state: 'waiting', sent: 0 }))).toContain('waiting')
    const said = (['waiting', 'going', 'pausing'] as const).map((state) => text(row({ state })))
    expect(new Set(said).size).toBe(3)
    const arrived = row({ state: 'arrived', outcome: { kind: 'new', evidenceId: 'e1' } as never })
    expect(arrived).toContain('href="/evidence/e1"')
    expect(arrived).not.toContain('role="progressbar"')
    expect(text(arrived)).not.toContain('Stop')
  })

  it('can be paused and goes on, and what is there already is offered for use', () => {
    expect(text(row({}))).toContain('Pause')
    const paused = row({ state: 'paused' })
    expect(text(paused)).toMatch(/Paused at 1 kB of 2 kB.*Resume/)
    const same = row({ state: 'arrived', outcome: { kind: 'same', evidenceId: 'e1' } as never })
    expect(text(same)).toContain('Pick it up')
    expect(
      text(row({ state: 'arrived', outcome: { kind: 'new', evidenceId: 'e1' } as never })),
    ).not.toContain('tray')
  })

  it('can go on where the trouble may pass, and only be removed where it will not', () => {
    const unreachable = row({ state: 'refused', problem: problem('busy', 'unexpected') })
    expect(text(unreachable)).toContain('Resume')
    const tooLarge = row({ state: 'refused', problem: problem('too-large', 'too-large') })
    expect(text(tooLarge)).not.toContain('Resume')
    expect(tooLarge).toContain('role="alert"')
  })
})

describe('a file that was begun before', () => {
  it('asks for the file once more, and says how far it came', () => {
    const words = renderWords(
      <StoppedUpload
        upload={
          {
            ...{ id: 'u', fileName: 'long walk.webm', bytes: 4096, received: 1024, replaces: null },
          } as never
        }
      />,
    )
    expect(words).toContain('long walk.webm')
    expect(words).toMatch(/1 kB.*4 kB/)
  })
})
