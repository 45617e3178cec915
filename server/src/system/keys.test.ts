import { createPublicKey, verify } from 'node:crypto'
import { mkdtempSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { hashToken, makeKeys, newToken, openKeys } from './keys.ts'

describe('the server’s keys', () => {
  const folders: string[] = []
  const newFolder = () => {
    const folder = mkdtempSync(join(tmpdir(), 'valise-keys-'))
    folders.push(folder)
    return folder
  }
  afterAll(() => folders.forEach((folder) => rmSync(folder, { recursive: true, force: true })))

  it('are made once, for their owner alone, and are the same after that', () => {
    const folder = newFolder()
    const first = openKeys(folder)
    expect(statSync(join(folder, 'server.keys')).mode & 0o777).toBe(0o600)
    const again = openKeys(folder)
    expect(again.publicKey).toBe(first.publicKey)
    expect(again.digest('link', 'a')).toBe(first.digest('link', 'a'))
    expect(openKeys(newFolder()).publicKey).not.toBe(first.publicKey)
  })

  it('sign so that anybody can check it with the public key, and nobody can change a letter', () => {
    const keys = openKeys(newFolder())
    const signature = Buffer.from(keys.sign('{"number":"MB-0412"}'), 'base64url')
    const isGood = (text: string) =>
      verify(null, Buffer.from(text), createPublicKey(keys.publicKey), signature)
    expect(isGood('{"number":"MB-0412"}')).toBe(true)
    expect(isGood('{"number":"MB-0413"}')).toBe(false)
  })

  it('give other digests for other purposes, so that one cannot stand for another', () => {
    const keys = makeKeys(Buffer.alloc(32, 7))
    const digests = [
      keys.digest('link', 'a'),
      keys.digest('address', 'a'),
      keys.digest('link', 'b'),
      keys.digest('lin', 'ka'),
    ]
    expect(new Set(digests).size).toBe(4)
    expect(makeKeys(Buffer.alloc(32, 8)).digest('link', 'a')).not.toBe(digests[0])
  })

  it('say what to do when the file is broken, and leave it as it is', () => {
    const folder = newFolder()
    const file = join(folder, 'server.keys')
    writeFileSync(file, 'half a key')
    expect(() => openKeys(folder)).toThrow('restore it from a backup')
    expect(readFileSync(file, 'utf8')).toBe('half a key')
  })
})

describe('tokens', () => {
  it('are long, never the same, and safe in addresses', () => {
    const tokens = Array.from({ length: 50 }, newToken)
    expect(new Set(tokens).size).toBe(50)
    for (const token of tokens) expect(token).toMatch(/^[\w-]{43}$/)
  })

  it('are kept as something from which they cannot be read', () => {
    const token = newToken()
    expect(hashToken(token)).toBe(hashToken(token))
    expect(hashToken(token)).not.toContain(token.slice(0, 8))
  })
})
