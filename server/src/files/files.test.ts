import { createHash } from 'node:crypto'
import { mkdtempSync, readdirSync, rmSync, symlinkSync, utimesSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { buffer } from 'node:stream/consumers'
import fc from 'fast-check'
import { openFolderStore } from './index.ts'

const folder = mkdtempSync(join(tmpdir(), 'valise-store-'))
afterAll(() => rmSync(folder, { recursive: true }))
const files = openFolderStore(folder)

const id = '01890000-0000-7000-8000-000000000001'
const hashOf = (content: Buffer) => createHash('sha256').update(content).digest('hex')
async function* inPieces(content: Buffer, size = 7): AsyncGenerator<Buffer> {
  for (let at = 0; at < content.length; at += size) yield content.subarray(at, at + size)
}
async function* broken(content: Buffer): AsyncGenerator<Buffer> {
  yield content
  throw new Error('the line broke')
}
const listed = async (of: AsyncIterable<string>) => {
  const names: string[] = []
  for await (const name of of) names.push(name)
  return names
}

describe('the file store', () => {
  it('keeps any content under its own hash, and gives back the whole and every part', async () => {
    await fc.assert(
      fc.asyncProperty(
        fc.uint8Array({ minLength: 1, maxLength: 300 }),
        fc.nat(),
        fc.nat(),
        async (bytes, a, b) => {
          const content = Buffer.from(bytes)
          const stored = await files.put(inPieces(content))
          expect(stored).toEqual({ sha256: hashOf(content), bytes: content.length })
          expect(await buffer(await files.open(stored.sha256))).toEqual(content)
          const [first, last] = [a % content.length, b % content.length].sort((x, y) => x - y) as [
            number,
            number,
          ]
          expect(await buffer(await files.open(stored.sha256, { first, last }))).toEqual(
            content.subarray(first, last + 1),
          )
        },
      ),
      { numRuns: 25 },
    )
  })

  it('leaves nothing of a stream that broke', async () => {
    const before = await listed(files.list())
    await expect(files.put(broken(Buffer.from('half a foot')))).rejects.toThrow('the line broke')
    expect(await listed(files.list())).toEqual(before)
    expect(readdirSync(join(folder, 'files/incoming'))).toEqual([])
  })

  it('says plainly that a file is not there, and takes no path for a name', async () => {
    await expect(files.open(hashOf(Buffer.from('never')))).rejects.toMatchObject({ code: 'not-found' })
    await expect(async () => files.open('../../server.keys')).rejects.toThrow('no SHA-256')
    await expect(async () => files.incoming.append('../x', 0, inPieces(Buffer.from('x')))).rejects.toThrow()
  })

  it('removes only what nobody has put lately', async () => {
    const content = Buffer.from('loose')
    const { sha256 } = await files.put(inPieces(content))
    const path = join(folder, 'files', sha256.slice(0, 2), sha256)
    expect(await files.remove(sha256, 3_600_000)).toBe(false)
    utimesSync(path, new Date(0), new Date(0))
    await files.put(inPieces(content)) // put again: it is wanted
    expect(await files.remove(sha256, 3_600_000)).toBe(false)
    utimesSync(path, new Date(0), new Date(0))
    expect(await files.remove(sha256, 3_600_000)).toBe(true)
    expect(await files.remove(sha256, 3_600_000)).toBe(true) // gone is gone
  })
})

describe('files on their way in', () => {
  it('go on where the line broke, and end as if it had not', async () => {
    const content = Buffer.from('low water at seven, high water at one')
    await expect(files.incoming.append(id, 0, broken(content.subarray(0, 10)))).rejects.toThrow()
    expect(await files.incoming.received(id)).toBe(10)
    expect(await files.incoming.append(id, 10, inPieces(content.subarray(10)))).toBe(content.length)
    const saved = await files.incoming.save(id)
    expect(saved.sha256).toBe(hashOf(content))
    expect(await files.incoming.save(id)).toEqual(saved) // again after a crash
    await files.incoming.drop(id)
    await files.incoming.drop(id)
    expect(await files.incoming.received(id)).toBe(0)
    expect(await buffer(await files.open(saved.sha256))).toEqual(content)
  })

  it('have the same hash in one stretch, in several, and across a restart', async () => {
    const content = Buffer.alloc(600_000, 'silt and sand ')
    const first = '01890000-0000-7000-8000-00000000f0a1'
    const second = '01890000-0000-7000-8000-00000000f0a2'
    await files.incoming.append(first, 0, inPieces(content, 9_000))
    expect(await files.incoming.save(first)).toEqual({ sha256: hashOf(content), bytes: content.length })
    await files.incoming.append(second, 0, inPieces(content.subarray(0, 300_000), 9_000))
    await openFolderStore(folder).incoming.append(second, 300_000, inPieces(content.subarray(300_000), 9_000))
    expect(await files.incoming.save(second)).toEqual({ sha256: hashOf(content), bytes: content.length })
    await Promise.all([files.incoming.drop(first), files.incoming.drop(second)])
  })

  it('are refused on a full disk with a word for it', async () => {
    const full = '01890000-0000-7000-8000-00000000f011'
    symlinkSync('/dev/full', join(folder, 'files/incoming', full))
    const attempt = files.incoming.append(full, 0, inPieces(Buffer.from('no room'), 3))
    await expect(attempt).rejects.toMatchObject({ code: 'no-space', reason: 'no-space' })
    await files.incoming.drop(full)
  })

  it('are listed by their ids; what a stopped server left beside them is cleared after a day', async () => {
    await files.incoming.append(id, 0, inPieces(Buffer.from('x')))
    const left = join(folder, 'files/incoming', `put-${id}`)
    writeFileSync(left, 'half')
    expect(await listed(files.incoming.list())).toEqual([id])
    await files.incoming.clearLeftovers(86_400_000)
    expect(readdirSync(join(folder, 'files/incoming')).sort()).toEqual([id, `put-${id}`])
    utimesSync(left, new Date(0), new Date(0))
    await files.incoming.clearLeftovers(86_400_000)
    expect(readdirSync(join(folder, 'files/incoming'))).toEqual([id])
    await files.incoming.drop(id)
  })

  it('know how much room there is', async () => {
    expect(await files.freeBytes()).toBeGreaterThan(0)
  })
})
