import { readdirSync } from 'node:fs'
import { allRows, describeEachDatabase, openTestSqlite } from '../../testing/index.ts'
import { migrateDown, migrateToLatest, migrateUpTo, migrations } from '../index.ts'
import { seedRows } from './seedRows.ts'

/** These move what is there to other tables, which tests of their own hold against stored rows. */
const reshaping = ['20261130100000_create_things', '20261130190000_offer_versions']

/** Rows that fit the tables as they stood after a migration. */
async function seedRowsAt(name: string) {
  const sqlite = await openTestSqlite({ migrated: false })
  await migrateUpTo(sqlite, name)
  return seedRows(sqlite.writer)
}

/** What migrations make of the rows that were there: new columns, and rows of new tables. */
const madeOfOldRows: Readonly<Record<string, Record<string, readonly object[]>>> = {
  '20261123150000_create_collections_and_passes': {
    publishedEvidence: [{ pageId: 'drafts.id', evidenceId: 'evidence.id' }],
    sharingAllowances: [
      { yearGroupId: 'yearGroups.id', audience: 'assessors' },
      { yearGroupId: 'yearGroups.id', audience: 'class' },
    ],
  },
  '20261123190000_create_assignments_and_submissions': {
    counters: [{ name: 'receipts', prefix: 'SN', value: 0 }],
    evidence: [{ statement: '' }],
  },
  '20261127100000_extend_evidence': {
    evidence: [
      {
        ...{ titleKey: 'evidence.title', alternativeText: '', transcript: '', madeWeek: '' },
        ...{ isUnused: 0, lacksRights: 1, lacksAlternative: 0, looksAlike: 0 },
        ...{ assignmentId: null, searchRow: 0 },
      },
    ],
    evidenceVersions: [
      { textState: 'unread', document: null, durationMs: null, encoding: null, hash: null, pages: null },
    ],
    uploads: [{ assignmentId: null, durationMs: null, isMine: 0, title: null }],
    yearGroups: [{ pictureShelf: 'young' }],
  },
  '20261128100000_create_picture_recipes': {
    evidenceVersions: [{ recipeRevision: 0, concealRevision: 0, takenWidth: null, takenHeight: null }],
    uploads: [{ recipe: null }],
  },
  '20261128110000_create_voices': { uploads: [{ aboutId: null, moments: null }] },
  '20261128140000_create_collages': { evidence: [{ caption: '' }] },
  '20261129100000_add_person_to_jobs': { jobs: [{ personId: null }] },
  '20261129120000_create_known_devices': { rateLimits: [{ waitUntil: null }] },
  '20261129140000_send_feedback_with_outcomes': { submissions: [{ feedbackWithOutcomeId: null }] },
  '20261129170000_number_schemas_of_requirements': {
    assignments: [{ requirementsSchema: 1 }],
    submissions: [{ requirementsSchema: 1 }],
  },
  '20261130150000_find_by_index': { sealedFiles: [{ evidenceId: null, evidenceN: null }] },
  '20261130160000_name_leases_of_jobs': { jobs: [{ lease: null }] },
  '20261130180000_extend_logbooks': {
    logbooks: [{ summary: '', coverId: null, usualSheetId: null, classId: null }],
    logEntries: [{ sheetId: null, sheetTitle: null, asked: 0, answered: 0, recordings: 0, searchRow: 0 }],
  },
  '20261201100000_create_guides': {
    assignments: [{ guideId: null, collectedAt: null }],
    submissions: [{ byItself: 0 }],
  },
  '20261202100000_add_written_at': {
    draftEdits: [{ writtenAt: null }],
    submissions: [{ pinnedAt: null, cameAt: null }],
  },
  '20261202120000_tell_of_the_week': { people: [{ showsWeek: 1 }] },
}

const only = (row: Record<string, unknown>, test: (entry: [string, unknown]) => boolean) =>
  Object.fromEntries(Object.entries(row).filter(test))

describeEachDatabase('migrations', (open) => {
  it.each(migrations)('$name makes its tables, and down takes them away', async ({ name, tables }) => {
    const database = await open({ migrated: false })
    await migrateUpTo(database, name)
    for (const table of tables) expect(await database.writer(table)).toEqual([])
    await migrateDown(database)
    for (const table of tables) await expect(Promise.resolve(database.writer(table))).rejects.toBeDefined()
  })

  const keeping = migrations.map(({ name }) => name).filter((name) => !reshaping.includes(name))
  it.each(keeping)('%s keeps every row that was there before', async (name) => {
    const n = migrations.findIndex((one) => one.name === name)
    const database = await open({ migrated: false })
    const sqlite = await openTestSqlite({ migrated: false })
    const before = migrations[n - 1]
    if (before) for (const one of [database, sqlite]) await migrateUpTo(one, before.name)
    const rows = await seedRows(sqlite.writer)
    for (const [table, row] of rows) await database.writer(table).insert(row)
    const held = await allRows(database)
    expect(Object.keys(held).length).toBeGreaterThanOrEqual(rows.size)

    await migrateUpTo(database, name)
    const after = await allRows(database)
    const remaining: typeof held = {}
    const added: Record<string, unknown> = {}
    for (const [table, some] of Object.entries(after)) {
      const known = Object.keys(held[table]?.[0] ?? {})
      const isNew = ([column]: [string, unknown]) => !known.includes(column)
      if (held[table]) remaining[table] = some.map((row) => only(row, (entry) => !isNew(entry)))
      // What it adds to rows that were there, and the rows it makes of them.
      const more = some.map((row) => only(row, isNew)).filter((row) => Object.keys(row).length > 0)
      if (more.length > 0) added[table] = more
    }
    expect(remaining).toEqual(held)
    expect(added).toEqual(madeOfOldRows[name] ?? {})

    await migrateDown(database)
    expect(await allRows(database)).toEqual(held)
  })

  it('renames the news that something was shared, and back', async () => {
    const database = await open({ migrated: false })
    await migrateUpTo(database, '20261129140000_send_feedback_with_outcomes')
    const rows = await seedRowsAt('20261129140000_send_feedback_with_outcomes')
    await database.writer('people').insert(rows.get('people'))
    const news = { personId: rows.get('people')?.['id'], params: '{}', at: 'now' }
    await database.writer('news').insert({ ...news, id: 'shared', kind: 'opened-to-me' })
    await database.writer('news').insert({ ...news, id: 'other', kind: 'joined-class' })
    const kinds = async () =>
      (await database.writer('news').orderBy('id')).map(({ kind }: { kind: string }) => kind)
    await migrateUpTo(database, '20261129150000_rename_news_of_sharing')
    expect(await kinds()).toEqual(['joined-class', 'shared-with-me'])
    await migrateDown(database)
    expect(await kinds()).toEqual(['joined-class', 'opened-to-me'])
  })

  it('names the voices of published pages as the route does, and nothing that somebody wrote', async () => {
    const database = await open({ migrated: false })
    await migrateUpTo(database, '20261129150000_rename_news_of_sharing')
    const rows = await seedRowsAt('20261129150000_rename_news_of_sharing')
    const published = rows.get('publishedPages')
    for (const table of ['people', 'drafts', 'pages']) await database.writer(table).insert(rows.get(table))
    const voice = '/api/pages/p1/published/2/pieces/map/voices/v1'
    const html = `<audio src="${voice}"></audio><p>src=&quot;${voice}&quot;</p>`
    await database.writer('publishedPages').insert({ ...published, html })
    const stored = async () => (await database.writer('publishedPages').first('html')).html
    await migrateUpTo(database, '20261129160000_name_files_of_pieces')
    expect(await stored()).toBe(
      html.replace(
        '"/api/pages/p1/published/2/pieces/map/voices/',
        '"/api/pages/p1/published/2/pieces/map/voice-',
      ),
    )
    await migrateDown(database)
    expect(await stored()).toBe(html)
  })

  it('lets passes be for audiences that did not exist yet, and keeps their indexes', async () => {
    const database = await open()
    const rows = await seedRows((await openTestSqlite()).writer)
    for (const [table, row] of rows) await database.writer(table).insert(row)
    await database.writer('passes').update({ audience: 'tide-watchers' })
    await database.writer('sharingAllowances').update({ audience: 'tide-watchers' })
    await database.writer('things').delete()
    expect(await database.writer('passes')).toEqual([])
    const isSqlite = database.writer.client.config.client !== 'pg'
    const indexes = isSqlite
      ? await database.writer('sqlite_schema').where({ type: 'index', tbl_name: 'passes' }).pluck('name')
      : await database.writer('pg_indexes').where({ tablename: 'passes' }).pluck('indexname')
    expect(indexes).toEqual(expect.arrayContaining(['passesOfOwner', 'passesOnThing', 'passesForClass']))
  })

  it('gives news their titles as they are, and back', async () => {
    const database = await open({ migrated: false })
    await migrateUpTo(database, '20261129180000_open_lists_of_audiences')
    const rows = await seedRowsAt('20261129180000_open_lists_of_audiences')
    await database.writer('people').insert(rows.get('people'))
    const news = { personId: rows.get('people')?.['id'], at: 'now' }
    const title = { en: 'Two winters', es: 'Dos inviernos' }
    const before = { submissionId: 's1', name: JSON.stringify(title), by: 'Odalys Fenn' }
    const named = { name: 'Tomasz', kind: 'page', thingId: 'p1' }
    const tell = (id: string, kind: string, params: object) =>
      database.writer('news').insert({ ...news, id, kind, params: JSON.stringify(params) })
    await tell('a', 'copy-opened', before)
    await tell('b', 'shared-with-me', named)
    const told = async () =>
      (await database.writer('news').orderBy('id')).map(({ params }: { params: string }) =>
        JSON.parse(params),
      )
    await migrateUpTo(database, '20261129190000_type_params_of_news')
    expect(await told()).toEqual([{ submissionId: 's1', title, by: 'Odalys Fenn' }, named])
    await migrateDown(database)
    expect(await told()).toEqual([before, named])
  })

  it('takes question sheets, their versions and offers for what is offered, and gives them back', async () => {
    const database = await open({ migrated: false })
    await migrateUpTo(database, '20261130180000_extend_logbooks')
    const rows = await seedRowsAt('20261130180000_extend_logbooks')
    for (const [table, row] of rows) await database.writer(table).insert(row)
    const before = await allRows(database)
    await migrateUpTo(database, '20261130190000_offer_versions')
    const { questions, ...sheet } = before['promptSheets']?.[0] ?? {}
    expect(await database.writer('offered')).toEqual([
      { ...sheet, size: questions, kind: 'sheet', isForSchool: 0 },
    ])
    const { sheetId, ...offer } = before['promptSheetOffers']?.[0] ?? {}
    expect(await database.writer('offers')).toEqual([{ ...offer, offeredId: sheetId }])
    expect(await database.writer('offeredVersions').first()).toMatchObject({
      offeredId: sheetId,
      size: questions,
    })
    // A thing takes along what is offered of it, as it did before.
    await migrateDown(database)
    expect(await allRows(database)).toEqual(before)
    await database.writer('things').delete()
    expect(await database.writer('promptSheetVersions')).toEqual([])
  })

  it('can be run again without doing anything', async () => {
    const database = await open()
    await migrateToLatest(database)
    expect(await database.writer('knex_migrations')).toHaveLength(migrations.length)
  })

  it('gives schools that were there before their sharing rules, and notes what their pages show', async () => {
    const database = await open({ migrated: false })
    await migrateUpTo(database, '20261123130000_create_pages_and_logbooks')
    const { writer } = database
    for (const [position, id] of ['young', 'old'].entries()) {
      const row = { id, name: id, position, shownNameRule: 'full', idleMinutes: 1, absoluteMinutes: 1 }
      await writer('yearGroups').insert({ ...row, revision: 1 })
    }
    const names = { fullName: 'P', firstName: 'P', sortName: 'p', signInName: 'p', signInKey: 'p' }
    const flags = { language: 'en', letterKeys: 1, administrator: 0, createdAt: 'now', revision: 1 }
    await writer('people').insert({ id: 'p', ...names, ...flags })
    const owned = { ownerId: 'p', createdAt: 'now' }
    await writer('evidence').insert({
      ...{ id: 'map', ...owned, kind: 'picture', title: '', currentVersion: 1, rights: '{}', revision: 1 },
      ...{ madeAt: 'now', madeAtKnown: 0 },
    })
    const draft = { id: 'page', revision: 1, checkpoint: '{}', checkpointRevision: 1, changedAt: 'now' }
    await writer('drafts').insert({ ...draft, ...owned })
    await writer('pages').insert({ id: 'page', ownerId: 'p', title: '', published: 1, changedAt: 'now' })
    const shown = JSON.stringify({
      evidence: { a: { id: 'map' }, b: { id: 'map' }, c: { id: 'gone' } },
      entries: {},
    })
    const published = {
      pageId: 'page',
      n: 1,
      title: '',
      document: '{"schema":1,"title":"","lang":"en","rows":[]}',
      html: '',
      draftRevision: 1,
      at: 'now',
    }
    await writer('publishedPages').insert({ ...published, shown })
    await migrateToLatest(database)
    const allowed = await writer('sharingAllowances').orderBy(['yearGroupId', 'audience'])
    expect(
      allowed.filter(({ yearGroupId }) => yearGroupId === 'young').map(({ audience }) => audience),
    ).toEqual(['assessors', 'class'])
    expect(allowed).toHaveLength(6)
    expect(await writer('publishedEvidence')).toEqual([{ pageId: 'page', evidenceId: 'map' }])
    expect(await writer('evidence').first()).toMatchObject({ isUnused: 1, lacksAlternative: 1, madeWeek: '' })
    expect(await writer('yearGroups').orderBy('position').select('pictureShelf')).toEqual([
      { pictureShelf: 'young' },
      { pictureShelf: 'all' },
    ])
  })

  it('takes the children of a person along when the person goes', async () => {
    const database = await open()
    const person = {
      id: 'p',
      fullName: 'P',
      firstName: 'P',
      sortName: 'p',
      signInName: 'p',
      signInKey: 'p',
      language: 'en',
    }
    await database
      .writer('people')
      .insert({ ...person, letterKeys: 1, administrator: 0, createdAt: 'now', revision: 1 })
    await database.writer('passwords').insert({ personId: 'p', hash: 'h', changedAt: 'now' })
    await database.writer('people').delete()
    expect(await database.writer('passwords')).toEqual([])
  })
})

it('every migration file is registered', () => {
  const folder = new URL('.', import.meta.url).pathname
  const files = readdirSync(folder)
    .filter((file) => /^\d/.test(file))
    .map((file) => file.replace('.ts', ''))
  expect(migrations.map(({ name }) => name)).toEqual([...files].sort())
})
