import { inTransaction } from '../database/index.ts'
import type { Reader, Trx } from '../database/index.ts'
import {
  describeEachDatabase,
  insertSampleAssignment,
  insertSampleEvidence,
  insertToRead,
  makeSmallSchool,
  makeTestSite,
} from '../testing/index.ts'
import { isGivenOut } from '../evidence/index.ts'
import { sealedFilesOf } from './index.ts'

describeEachDatabase('what sealed copies keep of an item', (open, onSqlite) => {
  async function start() {
    const site = makeTestSite(await open())
    const { people, classes } = await makeSmallSchool(site.services)
    const { database } = site.services
    const handedIn = await inTransaction(database, async (trx) => {
      const assignment = await insertSampleAssignment(trx, classes.methods)
      return {
        wren: await insertToRead(trx, assignment, people.wren, 1),
        tomasz: await insertToRead(trx, assignment, people.tomasz, 1),
        item: await insertSampleEvidence(trx, people.wren, 1),
      }
    })
    const save = (submissionId: string, ending: string) =>
      inTransaction(database, (trx) => insertFile(trx, submissionId, handedIn.item, ending))
    const paths = async (owner: string, n: number | null = null): Promise<string[]> => {
      const rows: { path: string }[] = await filesOf(database.reader(), owner, n)
        .select('path')
        .orderBy('path')
      return rows.map(({ path }) => path.replace(`files/${handedIn.item}-`, ''))
    }
    const filesOf = (reader: Reader, owner: string, n: number | null) =>
      sealedFilesOf(reader, owner, handedIn.item, n)
    const given = (n: number) =>
      inTransaction(database, (trx) => isGivenOut(trx, people.wren, handedIn.item, n))
    return { people, handedIn, save, paths, given }
  }

  it('is found by the item, or by one version of it alone', async () => {
    const { people, handedIn, save, paths } = await start()
    for (const ending of ['1.txt', '1-screen.webp', '12.txt', '2']) await save(handedIn.wren, ending)
    expect(await paths(people.wren)).toEqual(['1-screen.webp', '1.txt', '12.txt', '2'])
    expect(await paths(people.wren, 1)).toEqual(['1-screen.webp', '1.txt'])
    // A file without an ending has none in its copy.
    expect(await paths(people.wren, 2)).toEqual(['2'])
    expect(await paths(people.wren, 3)).toEqual([])
  })

  onSqlite('is what its owner handed in, and not what others did', async () => {
    const { people, handedIn, save, paths } = await start()
    await save(handedIn.tomasz, '1.txt')
    expect(await paths(people.wren)).toEqual([])
    expect(await paths(people.tomasz)).toEqual(['1.txt'])
  })

  onSqlite('makes a version one that others were given', async () => {
    const { handedIn, save, given } = await start()
    expect(await given(1)).toBe(false)
    await save(handedIn.wren, '1.txt')
    expect(await given(1)).toBe(true)
    expect(await given(2)).toBe(false)
  })
})

async function insertFile(trx: Trx, submissionId: string, item: string, ending: string): Promise<void> {
  const { sql } = trx
  const path = `files/${item}-${ending}`
  const sha256 = 'a'.repeat(64)
  await sql('files').insert({ sha256, bytes: 1, createdAt: trx.now }).onConflict('sha256').ignore()
  await sql('sealedFiles').insert({
    ...{ submissionId, path, fileSha256: sha256, bytes: 1, mime: 'text/plain' },
    ...{ evidenceId: item, evidenceN: parseInt(ending, 10) },
  })
}
