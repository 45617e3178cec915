import fc from 'fast-check'
import { toSearchWords } from '@valise/core/evidence'
import { inTransaction, isOneOfNumbers } from '../database/index.ts'
import type { Database } from '../database/index.ts'
import { describeEachDatabase } from '../testing/index.ts'
import type { OpenDatabase } from '../testing/databases.ts'
import { findRows, putWords, removeWords } from './index.ts'

/** A migrated database with three owners. */
async function withOwners(open: OpenDatabase): Promise<Database> {
  const database = await open()
  await inTransaction(database, async ({ sql, now }) => {
    for (const id of ['wren', 'tomasz', 'odalys']) {
      const names = { fullName: id, firstName: id, sortName: id, signInName: id, signInKey: id }
      const usual = { language: 'en', letterKeys: 1, administrator: 0, createdAt: now, revision: 1 }
      await sql('people').insert({ id, ...names, ...usual })
    }
  })
  return database
}

const putAs = (database: Database, owner: string, words: string, row = 0) =>
  inTransaction(database, (trx) => putWords(trx, owner, row, words))
const find = (database: Database, owner: string, words: string) => findRows(database.reader(), owner, words)

describeEachDatabase('the index of words', (open) => {
  it('finds what holds every word, whatever its case, marks and signs', async () => {
    const database = await withOwners(open)
    const etang = await putAs(database, 'wren', 'L’étang de Ría, (nord-est)')
    const bank = await putAs(database, 'wren', 'The north bank')
    expect(await find(database, 'wren', 'ETANG nord')).toEqual([etang])
    expect(await find(database, 'wren', 'ria est')).toEqual([etang])
    expect(await find(database, 'wren', 'étang bank')).toEqual([])
    expect(await find(database, 'wren', 'the BANK')).toEqual([bank])
  })

  it('takes the last word as a beginning, and the others as they are', async () => {
    const database = await withOwners(open)
    const row = await putAs(database, 'wren', 'Samphire on the marsh')
    expect(await find(database, 'wren', 'samphire mar')).toEqual([row])
    expect(await find(database, 'wren', 'samph marsh')).toEqual([])
  })

  it('finds nothing by signs alone, and takes none of them as orders', async () => {
    const database = await withOwners(open)
    const row = await putAs(database, 'wren', 'salt or fresh not both')
    for (const words of ['', ' ', '*', '"', '()', '& | !', ':*'])
      expect(await find(database, 'wren', words)).toEqual([])
    for (const words of ['salt" OR "x', 'salt AND NOT fresh', 'salt NEAR(fresh)', "salt' | 'x", 'words:salt'])
      await expect(find(database, 'wren', words)).resolves.toBeDefined()
    expect(await find(database, 'wren', 'salt OR fresh')).toEqual([row])
  })

  it('keeps each owner’s words apart', async () => {
    const database = await withOwners(open)
    const [wrens, tomaszs] = [
      await putAs(database, 'wren', 'heron'),
      await putAs(database, 'tomasz', 'heron at the weir'),
    ]
    const second = await putAs(database, 'wren', 'heron once more')
    expect((await find(database, 'wren', 'heron')).sort()).toEqual([wrens, second].sort())
    expect(await find(database, 'tomasz', 'heron')).toEqual([tomaszs])
    expect(await find(database, 'odalys', 'heron')).toEqual([])
    expect(new Set([wrens, tomaszs, second]).size).toBe(3)
  })

  it('holds the new words of an item in the place of the old ones', async () => {
    const database = await withOwners(open)
    const row = await putAs(database, 'wren', 'curlew')
    expect(await putAs(database, 'wren', 'redshank', row)).toBe(row)
    expect(await find(database, 'wren', 'curlew')).toEqual([])
    expect(await find(database, 'wren', 'redshank')).toEqual([row])
  })

  it('lets words go, and passes over items that never had any', async () => {
    const database = await withOwners(open)
    const gone = await putAs(database, 'wren', 'curlew')
    const stays = await putAs(database, 'wren', 'curlew too')
    await inTransaction(database, (trx) => removeWords(trx, [0, gone]))
    expect(await find(database, 'wren', 'curlew')).toEqual([stays])
    await inTransaction(database, (trx) => removeWords(trx, []))
    expect(await find(database, 'wren', 'curlew')).toEqual([stays])
  })

  it('gives rows to look among, none as well as many', async () => {
    const database = await withOwners(open)
    const rows = [await putAs(database, 'wren', 'one'), await putAs(database, 'wren', 'two')]
    const reader = database.reader()
    const among = async (some: readonly number[]) => {
      const found: { rowid: number | string }[] = await reader
        .sql('evidenceWords')
        .modify(isOneOfNumbers, 'rowid', some)
        .orderBy('rowid')
        .select('rowid')
      return found.map(({ rowid }) => Number(rowid))
    }
    expect(await among([])).toEqual([])
    expect(await among([...rows, 7])).toEqual(rows)
    // More than a statement may have parameters.
    expect(await among([...rows, ...Array.from({ length: 70_000 }, (_, n) => n + 5)])).toEqual(rows)
  })

  it('finds an item by any words of its own', async () => {
    const database = await withOwners(open)
    const words = fc.array(fc.stringMatching(/^[a-zéñ0-9]{1,9}$/), { minLength: 1, maxLength: 8 })
    await fc.assert(
      fc.asyncProperty(words, fc.nat(), async (held, seed) => {
        const row = await putAs(database, 'wren', held.join(', '))
        const one = held[seed % held.length] ?? ''
        expect(toSearchWords(one)).toHaveLength(1)
        expect(await find(database, 'wren', `${held[0]} ${one}`)).toContain(row)
      }),
      { numRuns: 25 },
    )
  })
})
