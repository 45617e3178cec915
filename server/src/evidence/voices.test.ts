import { newEvidencePiece } from '@valise/core/pages'
import {
  describeEachDatabase,
  handInSealed,
  makePicture,
  makeSmallSchool,
  makeTestSite,
  sendEdit,
  setAssignment,
  startSubmissions,
  upload,
} from '../testing/index.ts'

/** The first bytes of a WebM without pictures: what a browser records as a voice. */
const voiceBytes = (words: string) =>
  Buffer.concat([
    Buffer.from('1a45dfa39f4286810142f7810142f2810442f381084282847765626d', 'hex'),
    Buffer.from(words),
  ])

describeEachDatabase('voices over things', (open, onSqlite) => {
  async function start() {
    const site = makeTestSite(await open())
    await makeSmallSchool(site.services)
    const as = async (name: string) => {
      const browser = site.browser()
      await browser.signIn(name)
      return browser
    }
    const wren = await as('wren')
    const { body } = await upload(wren, { name: 'sheet.jpg', content: await makePicture() })
    const id = body.outcome.evidenceId as string
    const speak = async (words: string, more: { about?: string; moments?: unknown }) => {
      const answer = await upload(wren, { name: `${words}.webm`, content: voiceBytes(words), ...more })
      return answer.body.outcome.evidenceId as string
    }
    const voices = async () => (await wren.get(`/api/evidence/${id}`)).body.voices
    return { site, as, wren, id, speak, voices }
  }
  const moment = (atMs: number, words = '') => ({ atMs, spot: [10, 20], filmMs: null, words })

  onSqlite('come in with the moments at which they point at something, in the order of time', async () => {
    const { id, speak, voices } = await start()
    const voiceId = await speak('hear', { about: id, moments: [moment(4000, 'the crust'), moment(900)] })
    expect(await voices()).toMatchObject([
      { id: voiceId, n: 1, title: 'hear', revision: 1, moments: [moment(900), moment(4000, 'the crust')] },
    ])
  })

  onSqlite(
    'are kept as recordings alone where what they speak of is gone, and without moments that are none',
    async () => {
      const { wren, id, speak, voices } = await start()
      const alone = await speak('alone', { about: 'nothing' })
      expect((await wren.get(`/api/evidence/${alone}`)).status).toBe(200)
      await upload(wren, { name: 'no-voice.jpg', content: await makePicture({ camera: true }), about: id })
      expect(await voices()).toEqual([])
      await speak('odd', { about: id, moments: [{ atMs: -1 }] })
      expect(await voices()).toMatchObject([{ title: 'odd', moments: [] }])
    },
  )

  it('have their moments changed over the revision that was read', async () => {
    const { wren, id, speak, voices } = await start()
    const voiceId = await speak('hear', { about: id })
    const path = `/api/evidence/${id}/voices/${voiceId}`
    expect((await wren.put(path, { moments: [moment(5)] }, 1)).body.voices).toMatchObject([{ revision: 2 }])
    expect((await wren.put(path, { moments: [] }, 1)).status).toBe(412)
    expect((await wren.put(`/api/evidence/${voiceId}/voices/${id}`, { moments: [] }, 1)).status).toBe(404)
    expect(await voices()).toMatchObject([{ moments: [moment(5)] }])
  })

  it('fall silent in the bin, and when they are taken off; the recording stays', async () => {
    const { wren, id, speak, voices, as } = await start()
    const voiceId = await speak('hear', { about: id })
    await wren.ask('PUT', `/api/things/${voiceId}/bin`)
    expect(await voices()).toEqual([])
    await wren.ask('DELETE', `/api/things/${voiceId}/bin`)
    expect(await voices()).toHaveLength(1)
    const tomasz = await as('tomasz')
    expect((await tomasz.ask('DELETE', `/api/evidence/${id}/voices/${voiceId}`)).status).toBe(404)
    await wren.ask('DELETE', `/api/evidence/${id}/voices/${voiceId}`)
    expect(await voices()).toEqual([])
    expect((await wren.get(`/api/evidence/${voiceId}`)).status).toBe(200)
  })

  it('are heard where the item is published, by whoever may see the page, until they lie in the bin', async () => {
    const { site, wren, id, speak, as } = await start()
    const voiceId = await speak('hear', { about: id, moments: [moment(61_000, 'The <crust>'), moment(9)] })
    const page = (await wren.post('/api/pages', { title: 'Shore', lang: 'en' })).body.id as string
    const piece = { ...newEvidencePiece('map', { id, kind: 'picture' }), alternativeText: 'A sheet' }
    const operations = [{ op: 'insert-row' as const, row: { id: 'r', pieces: [piece] }, after: null }]
    await sendEdit(wren, `/api/pages/${page}`, { base: 1, operations })
    await wren.ask('POST', `/api/pages/${page}/published`, undefined, { 'if-match': '"r2"' })
    const read = async () => (await wren.get(`/api/pages/${page}/published`)).body.html as string
    const address = `/api/pages/${page}/published/1/pieces/map/voice-${voiceId}`
    expect(await read()).toContain(`<audio src="${address}"`)
    expect(await read()).toContain('<li><time>1:01</time> The &lt;crust&gt;</li>')
    expect((await wren.get(address)).bytes.equals(voiceBytes('hear'))).toBe(true)
    const tomasz = await as('tomasz')
    expect((await tomasz.get(address)).status).toBe(404)
    const { address: link } = (
      await wren.post('/api/passes', {
        ...{ thing: { kind: 'page', id: page }, audience: { kind: 'link', name: 'Visitors' } },
        ...{ rights: ['look'], firstDay: null, lastDay: null },
      })
    ).body
    const visitor = site.browser()
    await visitor.get(link)
    expect((await visitor.get(address)).status).toBe(200)
    await wren.ask('PUT', `/api/things/${voiceId}/bin`)
    expect(await read()).not.toContain('<audio')
    expect((await visitor.get(address)).status).toBe(404)
  })

  onSqlite('go along into sealed copies with what they speak of', async () => {
    const { site, wren, odalys, school, seal } = await startSubmissions(open)
    const { body } = await upload(wren, { name: 'sheet.jpg', content: await makePicture() })
    const id = body.outcome.evidenceId as string
    const answer = await upload(wren, { name: 'hear.webm', content: voiceBytes('hear'), about: id })
    const voiceId = answer.body.outcome.evidenceId as string
    await seal()
    const assignment = await setAssignment(odalys, school.classes.methods)
    const submission = await handInSealed(site, wren, assignment, [{ kind: 'evidence', id }])
    await odalys.post(`/api/submissions/${submission}/open`)
    const heard = await odalys.get(`/api/submissions/${submission}/files/${voiceId}-1.webm`)
    expect(heard.bytes.equals(voiceBytes('hear'))).toBe(true)
  })
})
