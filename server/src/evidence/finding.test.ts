// Finding again: every filter against plain loops over the same items, on both databases.
import {
  evidenceKinds,
  evidenceMarks,
  evidenceOrders,
  isShownAsPicture,
  writeEvidenceQuery,
} from '@valise/core/evidence'
import type { EvidenceQuery } from '@valise/core/evidence'
import { everything } from '@valise/core/evidence'
import { addDays, toInstant } from '@valise/core/time'
import { inTransaction } from '../database/index.ts'
import {
  describeEachDatabase,
  insertSampleEvidence,
  makePicture,
  makeSmallSchool,
  makeTestSite,
  sayOf,
  upload,
} from '../testing/index.ts'
import type { TestBrowser } from '../testing/index.ts'
import { indexWords } from './wordsStore.ts'
import { updateEvidence } from './store.ts'
import { replaceTags } from './tagStore.ts'

interface Plain {
  readonly id: string
  readonly kind: string
  readonly title: string
  readonly tags: readonly string[]
  readonly madeDay: string
  readonly noRights: boolean
  readonly silent: boolean
}

/** Numbers that a seed decides (mulberry32). */
function dice(seed: number): (below: number) => number {
  let state = seed
  return (below) => {
    state = (state + 0x6d2b79f5) | 0
    let t = Math.imul(state ^ (state >>> 15), 1 | state)
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t
    return Math.floor((((t ^ (t >>> 14)) >>> 0) / 4_294_967_296) * below)
  }
}

const search = (query: Partial<EvidenceQuery>) =>
  new URLSearchParams(writeEvidenceQuery({ ...everything, ...query }) as Record<string, string>)

describeEachDatabase('finding evidence again', (open) => {
  async function start() {
    const site = makeTestSite(await open())
    const school = await makeSmallSchool(site.services)
    const as = async (name: string) => {
      const browser = site.browser()
      await browser.signIn(name)
      return browser
    }
    const wren = await as('wren')
    const add = async (name: string, content: Buffer, by: TestBrowser = wren) => {
      const { body } = await upload(by, { name, content })
      await site.services.jobs.drain()
      return body.outcome.evidenceId as string
    }
    const find = async (query: Partial<EvidenceQuery>, by: TestBrowser = wren) => {
      const { body } = await by.get(`/api/evidence?${search(query)}&limit=200`)
      return body.items.map(({ id }: { id: string }) => id) as string[]
    }
    const counts = async (query: Partial<EvidenceQuery>) =>
      (await wren.get(`/api/evidence/counts?${search(query)}`)).body
    return { site, school, as, wren, add, find, counts }
  }

  it('finds and counts what plain loops find and count, whatever is asked together', async () => {
    const { site, school, find, counts } = await start()
    const { database } = site.services
    const ownerId = school.people.wren
    const actor = {
      kind: 'person',
      personId: ownerId,
      sessionId: '',
      administrator: false,
      memberships: [],
    } as const
    const roll = dice(11)
    const words = ['silt', 'Marsh', 'étang', 'weir']
    const items: Plain[] = []
    for (let n = 0; n < 60; n += 1) {
      const madeDay = addDays('2026-11-20', -roll(60))
      const one = {
        kind: evidenceKinds[roll(evidenceKinds.length)] ?? 'file',
        title: `${words[roll(4)]} ${words[roll(4)]} ${n}`,
        tags: words.filter(() => roll(3) === 0),
        madeDay,
        noRights: roll(3) === 0,
        silent: roll(2) === 0,
      }
      const id = await inTransaction(database, async (trx) => {
        const made = await insertSampleEvidence(trx, ownerId, n * 3)
        await trx.sql('evidence').where({ id: made }).update({ kind: one.kind })
        await updateEvidence(trx, made, null, {
          title: one.title,
          rights: one.noRights ? { state: 'missing' } : { state: 'mine' },
          alternativeText: one.silent ? '' : 'said',
          made: { at: toInstant(Date.parse(`${madeDay}T12:00:00Z`)), zone: 'Europe/Lisbon' },
        })
        await replaceTags(trx, actor, made, one.tags)
        await indexWords(trx, made)
        return made
      })
      items.push({ ...one, id })
    }
    const plain = (query: EvidenceQuery) => (one: Plain) =>
      (query.kinds.length === 0 || query.kinds.some((kind) => kind === one.kind)) &&
      (query.tags.length === 0 ||
        query.tags[query.tagged === 'all' ? 'every' : 'some']((tag) => one.tags.includes(tag))) &&
      (query.from === null || one.madeDay >= query.from) &&
      (query.until === null || one.madeDay <= query.until) &&
      (query.words === '' || `${one.title} ${one.tags.join(' ')}`.toLowerCase().includes(query.words)) &&
      query.marks.every((mark) => hasMark(one, mark))
    const hasMark = (one: Plain, mark: string) =>
      mark === 'unused' ||
      (mark === 'no-rights' && one.noRights) ||
      (mark === 'no-alternative' && isShownAsPicture(one.kind) && one.silent)

    for (let round = 0; round < 60; round += 1) {
      const query: EvidenceQuery = {
        ...everything,
        kinds: roll(2) === 0 ? [] : evidenceKinds.filter(() => roll(2) === 0),
        tags: roll(2) === 0 ? [] : words.filter(() => roll(2) === 0),
        tagged: roll(2) === 0 ? 'all' : 'any',
        from: roll(3) === 0 ? addDays('2026-11-20', -roll(60)) : null,
        until: roll(3) === 0 ? addDays('2026-11-20', -roll(60)) : null,
        words: roll(3) === 0 ? (['silt', 'wei', 'marsh'][roll(3)] ?? '') : '',
        marks: (['unused', 'no-rights', 'no-alternative'] as const).filter(() => roll(4) === 0),
        order: evidenceOrders[roll(4)] ?? 'latest',
      }
      const expected = items.filter(plain(query))
      expect([query, new Set(await find(query))]).toEqual([query, new Set(expected.map(({ id }) => id))])
      const counted = await counts(query)
      expect([query, counted.matching, counted.all]).toEqual([query, expected.length, items.length])
      for (const { kind, count } of counted.kinds)
        expect(count).toBe(items.filter(plain({ ...query, kinds: [kind] })).length)
      for (const mark of evidenceMarks.filter((one) => one !== 'shared' && one !== 'alike'))
        expect([query, mark, counted.marks[mark]]).toEqual([
          query,
          mark,
          items.filter(plain({ ...query, marks: [...query.marks, mark] })).length,
        ])
      const ever = items.filter(plain({ ...query, from: null, until: null }))
      const inWeeks = counted.weeks.reduce((sum: number, { count }: { count: number }) => sum + count, 0)
      expect(inWeeks).toBe(ever.length)
    }
  })

  it.each(evidenceOrders)('pages through all without a gap or a repeat, %s', async (order) => {
    const { site, school, wren, find } = await start()
    await inTransaction(site.services.database, async (trx) => {
      for (let n = 0; n < 40; n += 1) await insertSampleEvidence(trx, school.people.wren, n)
    })
    const whole = await find({ order })
    const seen: string[] = []
    for (let cursor: string | null = ''; cursor !== null;) {
      const more = cursor === '' ? '' : `&cursor=${cursor}`
      const { body } = await wren.get(`/api/evidence?order=${order}&limit=7${more}`)
      seen.push(...body.items.map(({ id }: { id: string }) => id))
      cursor = body.next
    }
    expect(seen).toEqual(whole)
    const ids = (await wren.get(`/api/evidence/ids?order=${order}`)).body.ids
    expect(ids).toEqual(whole)
  })

  it('finds words in titles, statements, tags, texts for others, transcripts, names and inside texts', async () => {
    const { as, wren, add, find } = await start()
    const id = await add('barometer.txt', Buffer.from('Rain on the causeway\nÉtang du nord'))
    const { body } = await wren.get(`/api/evidence/${id}`)
    const change = {
      title: 'Kestrel',
      tags: ['Estuary'],
      transcript: 'Listen to the curlew',
      alternativeText: 'A brackish pool',
    }
    await wren.patch(`/api/evidence/${id}`, change, body.revision)
    await sayOf(wren, id, 'Counted twice')
    for (const words of [
      'kestrel',
      'COUNTED twice',
      'estua',
      'curlew',
      'brackish',
      'barometer',
      'causew',
      'etang',
    ])
      expect([words, await find({ words })]).toEqual([words, [id]])
    expect(await find({ words: 'kestrel heron' })).toEqual([])
    expect(await find({ words: '"* OR' })).toEqual([])
    // Whole words but the last: "cause" is the beginning of one, and not the last.
    expect(await find({ words: 'cause rain' })).toEqual([])
    const tomasz = await as('tomasz')
    expect(await find({ words: 'kestrel' }, tomasz)).toEqual([])
    await wren.put(`/api/things/${id}/bin`, {})
    expect(await find({ words: 'kestrel' })).toEqual([])
    await wren.delete(`/api/things/${id}`)
    await wren.delete(`/api/things/${id}/bin`)
    expect(await find({ words: 'kestrel' })).toEqual([])
  })

  it('knows pictures that look alike, until one of them goes into the bin', async () => {
    const { wren, add, find, counts } = await start()
    const { default: sharp } = await import('sharp')
    const bars = (shift: number) =>
      Buffer.from(
        `<svg xmlns="http://www.w3.org/2000/svg" width="400" height="300"><rect width="400" height="300" fill="#fff"/>${[
          0, 1, 2, 3,
        ]
          .map(
            (n) =>
              `<rect x="${n * 100 + shift}" y="${n * 40}" width="50" height="${260 - n * 40}" fill="#234"/>`,
          )
          .join('')}</svg>`,
      )
    const first = await add('a.jpg', await sharp(bars(0)).jpeg({ quality: 90 }).toBuffer())
    const second = await add('b.png', await sharp(bars(2)).resize(800).png().toBuffer())
    const third = await add('c.jpg', await makePicture({ colour: '#b79b73' }))
    expect(new Set(await find({ marks: ['alike'] }))).toEqual(new Set([first, second]))
    expect(new Set(await find({ likeId: first }))).toEqual(new Set([first, second]))
    expect((await wren.get(`/api/evidence/${second}`)).body.alike).toBe(1)
    expect((await wren.get(`/api/evidence/${third}`)).body.alike).toBe(0)
    await wren.put('/api/bin', { ids: [second] })
    expect((await counts({})).marks.alike).toBe(0)
    await wren.delete(`/api/things/${second}/bin`)
    expect((await counts({})).marks.alike).toBe(2)
  })

  it('knows what is used nowhere, and what others can see', async () => {
    const { school, wren, add, counts, find } = await start()
    const id = await add('map.jpg', await makePicture())
    expect((await counts({})).marks).toMatchObject({ unused: 1, shared: 0 })
    const page = (await wren.post('/api/pages', { title: 'Marsh', lang: 'en' })).body.id
    const piece = { id: 'p', kind: 'picture', span: 6, evidenceId: id, version: 'follow', caption: '' }
    const row = { id: 'r', pieces: [{ ...piece, alternativeText: 'A map', isDecoration: false }] }
    const edit = {
      base: 1,
      editId: '01890000-0000-7000-8000-000000000001',
      windowId: '01890000-0000-7000-8000-000000000002',
    }
    await wren.post(`/api/pages/${page}/edits`, {
      ...edit,
      operations: [{ op: 'insert-row', row, after: null }],
    })
    expect(await find({ marks: ['unused'] })).toEqual([])
    await wren.put(`/api/things/${page}/bin`, {})
    expect(await find({ marks: ['unused'] })).toEqual([id])
    await wren.delete(`/api/things/${page}/bin`)
    expect(await find({ marks: ['unused'] })).toEqual([])
    await wren.ask('POST', `/api/pages/${page}/published`, undefined, { 'if-match': '"r2"' })
    await wren.post('/api/passes', {
      thing: { kind: 'page', id: page },
      audience: { kind: 'class', classId: school.classes.methods },
      ...{ rights: ['look'], firstDay: null, lastDay: null },
    })
    expect([await find({ marks: ['shared'] }), (await counts({})).marks.shared]).toEqual([[id], 1])
  })

  it('renames a tag on everything, and makes two tags one', async () => {
    const { wren, add, find } = await start()
    const [a, b] = [await add('a.txt', Buffer.from('a')), await add('b.txt', Buffer.from('b'))]
    await wren.put('/api/evidence/tagged', { ids: [a, b], add: ['Birds'] })
    await wren.put('/api/evidence/tagged', { ids: [b], add: ['Waders'] })
    expect((await wren.put('/api/evidence/tags', { tag: 'birds', name: 'Waders' })).status).toBe(204)
    expect((await wren.get('/api/evidence/tags')).body).toEqual([{ tag: 'Waders', count: 2 }])
    expect((await wren.get(`/api/evidence/${b}`)).body.tags).toEqual(['Waders'])
    expect(new Set(await find({ words: 'waders' }))).toEqual(new Set([a, b]))
    expect((await wren.put('/api/evidence/tags', { tag: 'birds', name: 'x' })).body.reason).toBe(
      'no-such-tag',
    )
  })

  it('does with many what it does with one, and with none where one is not one’s own', async () => {
    const { as, wren, add } = await start()
    const [a, b] = [await add('a.txt', Buffer.from('a')), await add('b.txt', Buffer.from('b'))]
    const foreign = await add('c.txt', Buffer.from('c'), await as('tomasz'))
    for (const path of ['/api/tray', '/api/bin'])
      expect([path, (await wren.put(path, { ids: [a, foreign] })).status]).toEqual([path, 404])
    expect((await wren.put('/api/evidence/tagged', { ids: [a, foreign], add: ['x'] })).status).toBe(404)
    expect((await wren.get(`/api/evidence/${a}`)).body).toMatchObject({ tags: [], binnedAt: null })
    expect((await wren.put('/api/bin', { ids: [a, b] })).status).toBe(204)
    expect((await wren.get('/api/bin')).body.count).toBe(2)
  })

  it('keeps queries under a name, each name once', async () => {
    const { wren } = await start()
    const save = (name: string, query: string) => wren.post('/api/evidence/queries', { name, query })
    await save('To credit', 'only=no-rights')
    const again = (await save('to CREDIT ', 'only=unused')).body
    expect((await wren.get('/api/evidence/queries')).body).toEqual([again])
    expect(again.query).toBe('only=unused')
    expect((await wren.delete(`/api/evidence/queries/${again.id}`)).status).toBe(204)
    expect((await wren.get('/api/evidence/queries')).body).toEqual([])
  })

  it('asks when it was made where no file says it, and takes no day to come', async () => {
    const { wren, add } = await start()
    const id = await add('a.txt', Buffer.from('a'))
    const say = (madeOn: string, revision: number) => wren.patch(`/api/evidence/${id}`, { madeOn }, revision)
    const { revision } = (await wren.get(`/api/evidence/${id}`)).body
    expect((await say('2026-12-01', revision)).body.errors[0].reason).toBe('still-to-come')
    expect((await say('2026-10-04', revision)).body).toMatchObject({
      madeAt: '2026-10-04T11:00:00.000Z', // noon in Lisbon in summer time
      madeAtKnown: true,
    })
  })
})
