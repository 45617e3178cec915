import { AppError } from '@valise/core/problems'
import { describeEachDatabase, openTestSqlite } from '../testing/index.ts'
import {
  createTable,
  createThingTable,
  inPortions,
  inTransaction,
  isOneOf,
  prepareRead,
  rebuildTable,
  reshapeTables,
} from './index.ts'
import type { Database, Trx } from './index.ts'

const boats = (database: Database) =>
  createTable(
    database.writer,
    'boats',
    {
      id: { type: 'text' },
      name: { type: 'text' },
      afloat: { type: 'flag' },
      length: { type: 'real', nullable: true },
    },
    { primaryKey: ['id'], unique: [['name']], indexes: { boatsByLength: ['length', 'id'] } },
  )
const boat = (id: string, name = id) => ({ id, name, afloat: 1, length: null })

describeEachDatabase('the database', (open) => {
  it('keeps to the types and rules of its tables', async () => {
    const database = await open({ migrated: false })
    await boats(database)
    await database.writer('boats').insert({ ...boat('a'), length: 4.5 })
    expect(await database.writer('boats').first()).toEqual({ id: 'a', name: 'a', afloat: 1, length: 4.5 })
    await expect(database.writer('boats').insert({ ...boat('b'), afloat: 2 })).rejects.toBeDefined()
    await expect(database.writer('boats').insert({ id: 'b', name: null, afloat: 1 })).rejects.toBeDefined()
    await expect(database.writer('boats').insert({ ...boat('b'), length: 'long' })).rejects.toBeDefined()
  })

  it('asks a query that was put together once with other values each time', async () => {
    const database = await open({ migrated: false })
    await boats(database)
    for (const [id, length] of [
      ['a', 4],
      ['b', 5],
      ['c', null],
    ] as const)
      await database.writer('boats').insert({ ...boat(id), length })
    let made = 0
    const read = prepareRead<{ name: string; least: number }, { id: string }>((sql, value) => {
      made += 1
      return sql('boats')
        .where((one) => one.where('name', value('name')).orWhere('length', '>=', value('least')))
        .where('afloat', 1)
        .select('id')
        .orderBy('id')
    })
    const idsOf = async (name: string, least: number) =>
      (await read(database.reader(), { name, least })).map(({ id }) => id)
    expect(await idsOf('a', 5)).toEqual(['a', 'b'])
    expect(await idsOf("c' or 1=1", 6)).toEqual([])
    expect(await idsOf('c', 4)).toEqual(['a', 'b', 'c'])
    expect(made).toBe(1)
  })

  it('sorts text by bytes, so that both kinds give one order', async () => {
    const database = await open({ migrated: false })
    await boats(database)
    for (const name of ['ä', 'a', 'B', 'Z', 'b']) await database.writer('boats').insert(boat(name))
    const rows = await database.reader().sql('boats').orderBy('name').select('name')
    expect(rows.map((row) => row.name)).toEqual(['B', 'Z', 'a', 'b', 'ä'])
  })

  it('keeps all of a transaction or nothing, and runs effects after the commit alone', async () => {
    const database = await open({ migrated: false })
    await boats(database)
    const effects: string[] = []
    const work = (fails: boolean) => async (trx: Trx) => {
      await trx.sql('boats').insert(boat('a'))
      trx.afterCommit(async () => {
        effects.push(`saved ${(await database.reader().sql('boats')).length}`)
      })
      if (fails) throw new Error('capsized')
    }
    await expect(inTransaction(database, work(true))).rejects.toThrow('capsized')
    expect(await database.reader().sql('boats')).toEqual([])
    await inTransaction(database, work(false))
    expect(effects).toEqual(['saved 1'])
  })

  it("takes the caller's transaction, so that an outer failure takes the inner work back", async () => {
    const database = await open({ migrated: false })
    await boats(database)
    const add = (on: Database | Trx, id: string) =>
      inTransaction(on, (trx) => trx.sql('boats').insert(boat(id)))
    await expect(
      inTransaction(database, async (trx) => {
        await add(trx, 'a')
        throw new Error('capsized')
      }),
    ).rejects.toThrow('capsized')
    await add(database, 'b')
    expect(await database.reader().sql('boats').select('id')).toEqual([{ id: 'b' }])
  })

  it('turns a broken unique rule into a conflict', async () => {
    const database = await open({ migrated: false })
    await boats(database)
    const twice = inTransaction(database, async (trx) => {
      await trx.sql('boats').insert(boat('a', 'Tern'))
      await trx.sql('boats').insert(boat('b', 'Tern'))
    })
    await expect(twice).rejects.toMatchObject({ code: 'conflict' })
    await expect(twice).rejects.toBeInstanceOf(AppError)
  })

  it('runs a transaction again that lost against another one', async () => {
    const database = await open({ migrated: false })
    await boats(database)
    let tries = 0
    const lost = Object.assign(new Error('try again'), {
      code: database.dialect.name === 'sqlite' ? 'SQLITE_BUSY' : '40001',
    })
    await inTransaction(database, async (trx) => {
      await trx.sql('boats').insert(boat('a'))
      tries += 1
      if (tries < 3) throw lost
    })
    expect(tries).toBe(3)
    expect(await database.reader().sql('boats')).toHaveLength(1)
  })

  it('finds rows by a list of ids, however many, in one statement', async () => {
    const database = await open({ migrated: false })
    await boats(database)
    await database.writer('boats').insert([boat('a'), boat('b'), boat('c')])
    const asked = new Set<string>()
    database.reader().sql.on('query', ({ sql }: { sql: string }) => asked.add(sql))
    const find = (ids: readonly string[]) =>
      database.reader().sql('boats').modify(isOneOf, 'id', ids).orderBy('id').pluck('id')
    expect(await find(['c', 'a'])).toEqual(['a', 'c'])
    expect(await find(['b', `it's "\\`])).toEqual(['b'])
    expect(await find([])).toEqual([])
    expect(await find(Array.from({ length: 40_000 }, (_, n) => (n === 7 ? 'b' : `${n}`)))).toEqual(['b'])
    expect(asked.size).toBe(1)
  })

  it('reads through a table in portions, each row once', async () => {
    const database = await open({ migrated: false })
    await boats(database)
    await database.writer('boats').insert(['a', 'b', 'c', 'd', 'e'].map((id) => boat(id)))
    const portions: (readonly object[])[] = []
    for await (const rows of inPortions(database, 'boats', { id: '' }, 2)) portions.push(rows)
    expect(portions).toEqual([[{ id: 'a' }, { id: 'b' }], [{ id: 'c' }, { id: 'd' }], [{ id: 'e' }]])
    const found: (readonly object[])[] = []
    const big = inPortions(
      database,
      'boats',
      { name: '', id: '' },
      2,
      (query) => void query.whereNot('id', 'b'),
    )
    for await (const rows of big) found.push(rows)
    expect(found.flat()).toEqual(['a', 'c', 'd', 'e'].map((id) => ({ id, name: id })))
  })

  it('makes ids that sort by time', async () => {
    const database = await open({ migrated: false })
    const first = await inTransaction(database, async (trx) => trx.newId())
    await new Promise((resolve) => setTimeout(resolve, 3))
    const second = await inTransaction(database, async (trx) => trx.newId())
    expect(first < second).toBe(true)
    expect(first).toMatch(/^[0-9a-f]{8}-[0-9a-f]{4}-7/)
  })
})

describe('SQLite alone', () => {
  it('refuses a Date and numbers that are none', async () => {
    const database = await openTestSqlite({ migrated: false })
    await boats(database)
    const insert = (name: unknown) => database.writer('boats').insert({ ...boat('a'), name })
    await expect(insert(new Date())).rejects.toThrow('bind an instant as text')
    await expect(insert(Number.NaN)).rejects.toThrow('cannot bind NaN')
  })

  it('keeps the statements that are used, and drops those that were asked once', async () => {
    const database = await openTestSqlite({ migrated: false })
    await boats(database)
    const connection = await database.writer.client.acquireConnection()
    let prepared: string[] = []
    const prepare = connection.prepare.bind(connection)
    connection.prepare = (sql: string) => {
      prepared.push(sql)
      return prepare(sql)
    }
    await database.writer.client.releaseConnection(connection)
    const ask = (n: number) => database.writer('boats').select(database.writer.raw(`${n} as n`))
    for (let n = 1; n < 1000; n += 1) {
      await ask(0)
      await ask(n)
    }
    expect(prepared.filter((sql) => sql.startsWith('select 0 as n'))).toHaveLength(1)
    prepared = []
    await ask(1)
    await ask(999)
    expect(prepared).toHaveLength(1)
  })

  it('cannot be written through a reader', async () => {
    const database = await openTestSqlite({ migrated: false })
    await boats(database)
    await expect(database.reader().sql('boats').insert(boat('a'))).rejects.toMatchObject({
      code: 'SQLITE_READONLY',
    })
  })

  it('keeps children and links when a table is rebuilt', async () => {
    const database = await openTestSqlite({ migrated: false })
    await boats(database)
    const { writer } = database
    await createTable(
      writer,
      'crew',
      {
        id: { type: 'text' },
        boatId: { type: 'text', references: 'boats.id', onDelete: 'cascade' },
        spareId: { type: 'text', nullable: true, references: 'boats.id', onDelete: 'set null' },
      },
      { primaryKey: ['id'] },
    )
    await writer('boats').insert([boat('a', 'Tern'), boat('b', 'Knot')])
    await writer('crew').insert({ id: 'c', boatId: 'a', spareId: 'b' })
    const columns = { id: { type: 'text' }, title: { type: 'text' } } as const
    await reshapeTables(writer, (trx) =>
      rebuildTable(trx, 'boats', columns, { primaryKey: ['id'] }, { id: 'id', title: 'name' }),
    )
    expect(await writer('crew')).toEqual([{ id: 'c', boatId: 'a', spareId: 'b' }])
    expect(await writer('boats').orderBy('id')).toEqual([
      { id: 'a', title: 'Tern' },
      { id: 'b', title: 'Knot' },
    ])
    await writer('boats').where({ id: 'a' }).delete()
    expect(await writer('crew')).toEqual([]) // foreign keys are on again
  })

  it('leaves a table as it was when rebuilding it would lose a parent', async () => {
    const database = await openTestSqlite({ migrated: false })
    await boats(database)
    const { writer } = database
    const crew = { id: { type: 'text' }, boatId: { type: 'text', references: 'boats.id' } } as const
    await createTable(writer, 'crew', crew, { primaryKey: ['id'] })
    await writer('boats').insert(boat('a'))
    await writer('crew').insert({ id: 'c', boatId: 'a' })
    const id = { type: 'text' } as const
    const rebuilt = reshapeTables(writer, (trx) =>
      rebuildTable(trx, 'boats', { id }, { primaryKey: ['id'] }, { id: "id || 'x'" }),
    )
    await expect(rebuilt).rejects.toThrow('without what they refer to')
    expect(await writer('boats').select('id')).toEqual([{ id: 'a' }])
  })

  it('keeps the rows of a kind with their things: in the bin, out of it, and gone', async () => {
    const database = await openTestSqlite()
    const { writer } = database
    await createThingTable(writer, 'kites', { colour: { type: 'text' } })
    const refused = { code: 'SQLITE_CONSTRAINT_FOREIGNKEY' }
    const person = { id: 'p', fullName: 'P', firstName: 'P', sortName: 'p', signInName: 'p', signInKey: 'p' }
    const said = { language: 'en', letterKeys: 1, administrator: 0, createdAt: 'now', revision: 1 }
    await writer('people').insert({ ...person, ...said })
    const owned = { id: 'k', ownerId: 'p', isBinned: 0 }
    const thing = { ...owned, kind: 'kite', title: '', changedAt: 'now', binnedAt: null, revision: 1 }
    await expect(writer('kites').insert({ ...owned, colour: 'red' })).rejects.toMatchObject(refused)
    await writer('things').insert(thing)
    await writer('kites').insert({ ...owned, colour: 'red' })
    await writer('things').update({ isBinned: 1, binnedAt: 'now' })
    expect(await writer('kites')).toEqual([{ ...owned, isBinned: 1, colour: 'red' }])
    await expect(writer('kites').update({ isBinned: 0 })).rejects.toMatchObject(refused)
    await writer('things').delete()
    expect(await writer('kites')).toEqual([])
  })
})
