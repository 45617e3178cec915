// Sealing: what a copy holds, that it stays, and what happens where it can't be made.
import { createHash, createPublicKey, verify } from 'node:crypto'
import type { Knex } from 'knex'
import { newEntryPiece, newEvidencePiece, newTextPiece, textOf } from '@valise/core/pages'
import {
  allRows,
  choose,
  describeEachDatabase,
  handInChosen,
  handInSealed,
  makePicture,
  newsKinds,
  rightsWanted,
  sayOf,
  sendEdit,
  setAssignment,
  startSealed,
  startSubmissions,
  upload,
  writeText,
} from '../testing/index.ts'
import { seal } from './sealing.ts'

describeEachDatabase('sealed copies', (open, onSqlite) => {
  it('are sealed with everything that they show, under a manifest and a signed receipt', async () => {
    const { wren, id, reader } = await startSealed(open)
    const { body } = await wren.get(`/api/submissions/${id}`)
    expect(body).toMatchObject({ state: 'with-assessor', number: 'MB-0001', n: 1, lateMinutes: 0, gaps: 1 })
    const paths = (await reader()('sealedFiles').orderBy('path')).map(({ path }) => path)
    expect(paths).toEqual([
      expect.stringMatching(/^files\/.*-1-screen\.webp$/),
      ...['manifest.json', 'paper.css', 'parts/1/document.json', 'parts/1/index.html', 'submission.json'],
    ])
    const proof = (await wren.get(`/api/submissions/${id}/receipt`)).body
    const signed = Buffer.from(proof.receipt)
    const key = createPublicKey(proof.publicKey)
    expect(verify(null, signed, key, Buffer.from(proof.signature, 'base64url'))).toBe(true)
    expect(
      verify(null, Buffer.from(`${proof.receipt} `), key, Buffer.from(proof.signature, 'base64url')),
    ).toBe(false)
    const manifestSha256 = createHash('sha256').update(proof.manifest).digest('hex')
    expect(JSON.parse(proof.receipt)).toMatchObject({
      ...{ manifestSha256, number: 'MB-0001', gaps: ['rights'] },
      from: { shownName: 'Wren Adeyemi-Holt', fullName: 'Wren Adeyemi-Holt' },
    })
    expect((await wren.get(`/api/submissions/${id}/check`)).body).toEqual({
      agrees: true,
      files: 6,
      faults: [],
    })
    expect(await newsKinds(wren)).toContain('copy-sealed')
  })

  it('are sealed once: again, and by two servers at the same moment, changes nothing', async () => {
    const { site, wren, id } = await startSealed(open)
    const before = await allRows(site.services.database, ['sessions', 'rateLimits'])
    await seal(site.services, id)
    await Promise.all([seal(site.services, id), seal(site.services, id)])
    expect(await allRows(site.services.database, ['sessions', 'rateLimits'])).toEqual(before)
    expect((await wren.get(`/api/submissions/${id}/check`)).body).toEqual({
      agrees: true,
      files: 6,
      faults: [],
    })

    // One that is not sealed yet, taken up by two servers: one number, one copy, one piece of news.
    const { site: other, wren: writer, odalys, school, addPage } = await startSubmissions(open)
    const page = await addPage('Transect 3')
    const assignment = await setAssignment(odalys, school.classes.methods)
    await choose(writer, assignment, [{ kind: 'page', id: page.id }])
    const { body } = await handInChosen(writer, assignment)
    await Promise.allSettled([seal(other.services, body.id), seal(other.services, body.id)])
    await other.services.jobs.drain()
    const { sql } = other.services.database.reader()
    expect((await writer.get('/api/submissions')).body.items).toMatchObject([{ number: 'MB-0001' }])
    expect(await sql('counters').pluck('value')).toEqual([1])
    expect((await newsKinds(writer)).filter((kind) => kind === 'copy-sealed')).toHaveLength(1)
    expect((await writer.get(`/api/submissions/${body.id}/check`)).body.agrees).toBe(true)
  })

  onSqlite('stay as they were whatever becomes of the page and its things', async () => {
    const { wren, odalys, id, page, site, pass } = await startSealed(open)
    const partOf = async () => (await odalys.get(`/api/submissions/${id}/parts/1`)).body
    const before = await partOf()
    expect(before.html).toContain('Transect 3 at low water')
    expect(before.html).toContain(`src="/api/submissions/${id}/files/`)
    const [, address = ''] = /src="([^"]+)"/.exec(before.html) ?? []
    expect((await odalys.get(address)).status).toBe(200)
    await sendEdit(wren, `/api/pages/${page.id}`, { base: 2, operations: [writeText('t', 'All new')] })
    await wren.put(`/api/things/${page.id}/bin`, undefined)
    await wren.delete(`/api/things/${page.id}`)
    await wren.put(`/api/things/${page.evidenceId}/bin`, undefined)
    await wren.delete(`/api/things/${page.evidenceId}`)
    pass(3 * 24 * 60)
    await site.services.jobs.drain()
    pass(3 * 24 * 60)
    await site.services.jobs.drain()
    await odalys.signIn('odalys')
    expect((await partOf()).html).toBe(before.html)
    expect((await odalys.get(address)).status).toBe(200)
    expect((await odalys.get(`/api/submissions/${id}/check`)).body.agrees).toBe(true)
  })

  it('give credit on every page that shows an item, also on one published before its rights were known', async () => {
    const { site, school, wren, odalys, addPage, publish } = await startSubmissions(open)
    const assignment = await setAssignment(odalys, school.classes.methods, { requirements: [rightsWanted] })
    const before = await addPage('Before')
    const { body: item } = await wren.get(`/api/evidence/${before.evidenceId}`)
    const rights = { state: 'licensed', maker: 'Ines Quarrow', source: 'Shore archive', licence: 'cc-by-4.0' }
    const path = `/api/evidence/${before.evidenceId}`
    expect((await wren.patch(path, { rights }, item.revision)).status).toBe(200)
    const { id: after } = (await wren.post('/api/pages', { title: 'After', lang: 'en' })).body
    const piece = newEvidencePiece('map', { id: before.evidenceId, kind: 'picture' })
    const row = { id: 'row-map', pieces: [{ ...piece, alternativeText: 'A map' }] }
    await sendEdit(wren, `/api/pages/${after}`, {
      base: 1,
      operations: [{ op: 'insert-row', row, after: null }],
    })
    await publish(wren, after, 2)
    // The one that knows comes first.
    const parts = [after, before.id].map((id) => ({ kind: 'page' as const, id }))
    const id = await handInSealed(site, wren, assignment, parts)
    expect((await wren.get(`/api/submissions/${id}`)).body).toMatchObject({ gaps: 0, parts: 2 })
    for (const n of [1, 2])
      expect((await wren.get(`/api/submissions/${id}/parts/${n}`)).body.html).toContain('Ines Quarrow')
  })

  onSqlite('are named at what their pages show, to its owner', async () => {
    const { wren, odalys, id } = await startSealed(open)
    const { items } = (await wren.get('/api/evidence')).body
    const uses = (await wren.get(`/api/things/${items[0].id}/uses`)).body
    expect(uses).toMatchObject([{ kind: 'page' }, { kind: 'submission', id }])
    expect((await odalys.get(`/api/things/${items[0].id}/uses`)).status).toBe(404)
  })

  onSqlite('tell when the bytes of a copy no longer agree', async () => {
    const { site, odalys, id } = await startSealed(open)
    const put = site.services.files.open.bind(site.services.files)
    Object.assign(site.services.files, {
      open: async (sha256: string) => {
        const stream = await put(sha256)
        const [first] = await stream.toArray()
        return [Buffer.concat([Buffer.from(first), Buffer.from('x')])]
      },
    })
    const { body } = await odalys.get(`/api/submissions/${id}/check`)
    expect(body.agrees).toBe(false)
    expect(body.faults).toContainEqual({ what: 'manifest', path: 'manifest.json' })
  })

  const forgeries: [string, (sql: Knex, id: string) => PromiseLike<unknown>, object][] = [
    [
      'an earlier moment',
      (sql, id) => sql('submissions').where({ id }).update({ requestedAt: '2026-11-20T10:00:00.000Z' }),
      { what: 'receipt', path: null },
    ],
    [
      'another number',
      (sql, id) => sql('submissions').where({ id }).update({ number: 'MB-0777' }),
      { what: 'receipt' },
    ],
    [
      'fewer gaps',
      (sql, id) => sql('submissions').where({ id }).update({ readiness: '[]' }),
      { what: 'receipt' },
    ],
    [
      'another receipt',
      async (sql, id) => {
        const { receipt } = await sql('submissions').where({ id }).first('receipt')
        await sql('submissions')
          .where({ id })
          .update({ receipt: receipt.replace('MB-0001', 'MB-0002'), number: 'MB-0002' })
      },
      { what: 'signature', path: null },
    ],
    [
      'no signature',
      (sql, id) => sql('submissions').where({ id }).update({ signature: null }),
      { what: 'signature' },
    ],
    [
      'another title of a part',
      (sql, submissionId) => sql('submissionParts').where({ submissionId }).update({ title: 'Better' }),
      { what: 'work', path: 'submission.json' },
    ],
    [
      'other words',
      async (sql, submissionId) => {
        const { document } = await sql('submissionParts').where({ submissionId }).first('document')
        await sql('submissionParts')
          .where({ submissionId })
          .update({ document: document.replace('"text":"', '"text":"Gold ') })
      },
      { what: 'work', path: 'parts/1/document.json' },
    ],
    [
      'a file less',
      (sql, submissionId) => sql('sealedFiles').where({ submissionId, path: 'paper.css' }).delete(),
      { what: 'file-missing', path: 'paper.css' },
    ],
    [
      'a file more',
      async (sql, submissionId) => {
        const row = await sql('sealedFiles').where({ submissionId, path: 'paper.css' }).first()
        await sql('sealedFiles').insert({ ...row, path: 'files/late.webp' })
      },
      { what: 'file-added', path: 'files/late.webp' },
    ],
    [
      'a file in the place of another',
      async (sql, submissionId) => {
        const other = await sql('sealedFiles').where({ submissionId, path: 'paper.css' }).first()
        const { fileSha256, bytes } = other
        await sql('sealedFiles')
          .where({ submissionId, path: 'parts/1/index.html' })
          .update({ fileSha256, bytes })
      },
      { what: 'file-changed', path: 'parts/1/index.html' },
    ],
    [
      'another manifest',
      async (sql, submissionId) => {
        const { fileSha256, bytes } = await sql('sealedFiles')
          .where({ submissionId, path: 'paper.css' })
          .first()
        await sql('sealedFiles').where({ submissionId, path: 'manifest.json' }).update({ fileSha256, bytes })
        await sql('submissions').where({ id: submissionId }).update({ manifestSha256: fileSha256 })
      },
      { what: 'manifest', path: 'manifest.json' },
    ],
  ]
  onSqlite('tell both sides of every forgery in the database, and what it is', async () => {
    for (const [name, forge, fault] of forgeries) {
      const { site, wren, odalys, id } = await startSealed(open)
      await forge(site.services.database.writer, id)
      for (const side of [wren, odalys]) {
        const { body } = await side.get(`/api/submissions/${id}/check`)
        expect([name, body.agrees, body.faults]).toEqual([
          name,
          false,
          expect.arrayContaining([expect.objectContaining(fault)]),
        ])
      }
    }
  })

  it('wait for pictures that are still being made', async () => {
    const { site, school, wren, odalys, pass } = await startSubmissions(open)
    const assignment = await setAssignment(odalys, school.classes.methods)
    const { body } = await upload(wren, { name: 'map.png', content: await makePicture() })
    const { evidenceId } = body.outcome
    const chosen = await choose(wren, assignment, [{ kind: 'evidence', id: evidenceId }])
    // A file counts as soon as it is gathered, whether its picture is made or not.
    const { totals } = chosen.body
    expect(totals).toMatchObject({ pieces: 1, files: 1 })
    expect(totals.bytes).toBeGreaterThan(0)
    const { body: handed } = await handInChosen(wren, assignment)
    expect(handed.state).toBe('sealing')
    // The picture was first in line; sealing looks again a moment later.
    await site.services.jobs.drain()
    pass(1)
    await site.services.jobs.drain()
    await odalys.post(`/api/submissions/${handed.id}/open`)
    const { files, bytes } = (await wren.get(`/api/submissions/${handed.id}`)).body
    expect({ files, bytes }).toEqual({ files: totals.files, bytes: totals.bytes })
    const part = (await odalys.get(`/api/submissions/${handed.id}/parts/1`)).body
    expect(part.html).toContain('<img')
    const use = { kind: 'submission', id: handed.id, title: handed.title }
    expect((await wren.get(`/api/things/${evidenceId}/uses`)).body).toEqual([use])
  })

  it('show pictures that were not made yet when the page was published, in its rows and in its entries', async () => {
    const { site, school, wren, odalys, publish, pass } = await startSubmissions(open)
    const assignment = await setAssignment(odalys, school.classes.methods)
    const items: { readonly id: string; readonly kind: 'picture' }[] = []
    for (const colour of ['#b79b73', '#73b79b']) {
      const { body } = await upload(wren, { name: 'map.png', content: await makePicture({ colour }) })
      items.push({ id: body.outcome.evidenceId as string, kind: 'picture' })
    }
    const rowOf = (where: string) => ({
      op: 'insert-row' as const,
      row: { id: where, pieces: items.map((item, n) => newEvidencePiece(`${where}-${n}`, item)) },
      after: null,
    })
    const logbook = (await wren.post('/api/logbooks', { title: 'Visits' })).body.id
    const day = { day: '2026-11-24', title: 'Counting', lang: 'en' }
    const entry = (await wren.post(`/api/logbooks/${logbook}/entries`, day)).body.id
    await sendEdit(wren, `/api/entries/${entry}`, { base: 1, operations: [rowOf('beside')] })
    const page = (await wren.post('/api/pages', { title: 'Transect 3', lang: 'en' })).body.id
    const row = { id: 'said', pieces: [newEntryPiece('said', entry)] }
    const operations = [{ op: 'insert-row' as const, row, after: null }, rowOf('row')]
    await sendEdit(wren, `/api/pages/${page}`, { base: 1, operations })
    expect((await publish(wren, page, 2)).status).toBe(201)
    await choose(wren, assignment, [{ kind: 'page', id: page }])
    const { body: handed } = await handInChosen(wren, assignment)
    await site.services.jobs.drain()
    pass(1)
    await site.services.jobs.drain()
    await odalys.post(`/api/submissions/${handed.id}/open`)
    const { html } = (await odalys.get(`/api/submissions/${handed.id}/parts/1`)).body
    expect(html.match(/<img/g)).toHaveLength(4)
  })

  it('say so when sealing fails for good, and can be handed in again', async () => {
    const { site, school, wren, odalys, addPage, pass } = await startSubmissions(open)
    const assignment = await setAssignment(odalys, school.classes.methods)
    const { id } = await addPage('Transect 3')
    await choose(wren, assignment, [{ kind: 'page', id }])
    await handInChosen(wren, assignment)
    const { put } = site.services.files
    Object.assign(site.services.files, { put: () => Promise.reject(new Error('the disk is away')) })
    for (let n = 0; n < 5; n += 1) {
      await expect(site.services.jobs.drain()).rejects.toThrow('the disk is away')
      pass(120)
    }
    Object.assign(site.services.files, { put })
    await wren.signIn('wren')
    const { items } = (await wren.get('/api/submissions')).body
    expect(items).toMatchObject([{ state: 'not-sealed', number: null }])
    expect(await newsKinds(wren)).toContain('sealing-failed')
    expect((await handInChosen(wren, assignment)).body).toMatchObject({ n: 2, state: 'sealing' })
  })

  it('take in entries and evidence as they are at that second, with the words about them', async () => {
    const { site, school, wren, odalys } = await startSubmissions(open)
    const assignment = await setAssignment(odalys, school.classes.methods)
    const file = await upload(wren, { name: 'silt.csv', content: Buffer.from('m,ntu\n0,12\n') })
    const evidenceId = file.body.outcome.evidenceId as string
    await sayOf(wren, evidenceId, 'Twice the silt <here>')
    const logbook = (await wren.post('/api/logbooks', { title: 'Visits' })).body.id
    const day = { day: '2026-11-24', title: 'Counting', lang: 'en' }
    const entry = (await wren.post(`/api/logbooks/${logbook}/entries`, day)).body.id
    const operations = [
      {
        op: 'insert-row' as const,
        row: { id: 'r', pieces: [newTextPiece('words', textOf('I counted again'))] },
        after: null,
      },
    ]
    await sendEdit(wren, `/api/entries/${entry}`, { base: 1, operations })
    const parts = [
      { kind: 'entry', id: entry },
      { kind: 'evidence', id: evidenceId },
    ] as const
    const id = await handInSealed(site, wren, assignment, parts)
    await odalys.post(`/api/submissions/${id}/open`)
    const htmlOf = async (n: number) => (await odalys.get(`/api/submissions/${id}/parts/${n}`)).body.html
    expect(await htmlOf(1)).toContain('I counted again')
    expect(await htmlOf(2)).toContain('Twice the silt &lt;here&gt;')
    const [, address = ''] = /href="([^"]+)"/.exec(await htmlOf(2)) ?? []
    expect((await odalys.get(address)).bytes.toString()).toBe('m,ntu\n0,12\n')
  })
})
