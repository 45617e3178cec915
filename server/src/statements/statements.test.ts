// What is said of evidence, over HTTP: begun once, written in two windows, found, and nobody else's.
import { newEvidencePiece, newTextPiece, textOf } from '@valise/core/pages'
import type { Operation } from '@valise/core/pages'
import { answersOf, textPieceOf } from '@valise/core/reflections'
import { shippedSheets } from '@valise/core/sheets'
import { takeQuestions } from '@valise/core/statements'
import {
  describeEachDatabase,
  makePicture,
  makeSmallSchool,
  makeTestSite,
  sayOf,
  sendEdit,
  upload,
  writeText,
} from '../testing/index.ts'

describeEachDatabase('statements', (open) => {
  async function start() {
    const site = makeTestSite(await open())
    await makeSmallSchool(site.services)
    const [wren, tomasz] = [site.browser(), site.browser()]
    await wren.signIn('wren')
    await tomasz.signIn('tomasz')
    const add = async (name: string) => {
      const file = { name, content: await makePicture() }
      const id: string = (await upload(wren, file)).body.outcome.evidenceId
      return { id, path: `/api/evidence/${id}/statement` }
    }
    const told = async (id: string): Promise<string> => (await wren.get(`/api/evidence/${id}`)).body.statement
    return { site, wren, tomasz, add, told }
  }

  it('begin once, whoever asks twice, and nobody else can', async () => {
    const { wren, tomasz, add } = await start()
    const { path } = await add('stake.png')
    expect((await wren.get(path)).body).toEqual({ draft: null })
    const [one, two] = await Promise.all([wren.post(path, { lang: 'en' }), wren.post(path, { lang: 'es' })])
    expect(one.body.draft.document).toEqual(two.body.draft.document)
    for (const answer of [await tomasz.get(path), await tomasz.post(path, { lang: 'en' })])
      expect(answer.status).toBe(404)
  })

  it('tell what is written to the item and to the search, free and along questions', async () => {
    const { wren, add, told } = await start()
    const { id, path } = await add('stake.png')
    await sayOf(wren, id, 'Samphire on the ledge')
    expect(await told(id)).toBe('Samphire on the ledge')
    const { draft } = (await wren.get(path)).body
    const operations = takeQuestions(draft.document, shippedSheets[0] ?? null)
    expect((await sendEdit(wren, path, { base: draft.revision, operations })).status).toBe(200)
    const along = (await wren.get(path)).body.draft
    const [first] = answersOf(along.document)
    if (first?.piece.given.kind !== 'long') throw new Error('the first question is answered otherwise')
    const piece = {
      ...first.piece,
      given: { ...first.piece.given, answer: { text: textOf('Forty metres') } },
    }
    await sendEdit(wren, path, { base: along.revision, operations: [{ op: 'set-piece', piece }] })
    expect(await told(id)).toBe('Forty metres\nSamphire on the ledge')
    for (const words of ['forty', 'samphire'])
      expect((await wren.get(`/api/evidence?words=${words}`)).body.items).toMatchObject([{ id }])
  })

  it('merge two windows, and refuse the same text with both kept', async () => {
    const { wren, add } = await start()
    const { id, path } = await add('stake.png')
    await sayOf(wren, id, 'One')
    const { draft } = (await wren.get(path)).body
    const text = textPieceOf(draft.document)?.id ?? ''
    const write = (words: string) =>
      sendEdit(wren, path, { base: draft.revision, operations: [writeText(text, words)] })
    expect((await write('Two')).status).toBe(200)
    expect((await write('Three')).body).toMatchObject({ reason: 'piece-changed' })
    const { otherVersions, document } = (await wren.get(path)).body.draft
    expect(textPieceOf(document)).toEqual(newTextPiece(text, textOf('Two')))
    expect(otherVersions).toMatchObject([{ piece: newTextPiece(text, textOf('Three')) }])
  })

  it('change an item no other window has to hear of first', async () => {
    const { wren, add } = await start()
    const { id } = await add('stake.png')
    const { revision } = (await wren.get(`/api/evidence/${id}`)).body
    await sayOf(wren, id, 'One')
    expect((await wren.patch(`/api/evidence/${id}`, { title: 'Stake' }, revision)).status).toBe(200)
  })

  it('leave a collage its pictures, and take none themselves', async () => {
    const { wren, add } = await start()
    const { id: picture } = await add('stake.png')
    const collage = (await wren.post('/api/collages', { size: 'wide', pictures: [picture] })).body.id
    const uses = async () => (await wren.get(`/api/things/${picture}/uses`)).body
    const before = await uses()
    expect(before).toHaveLength(1)
    const path = `/api/evidence/${collage}/statement`
    await sayOf(wren, collage, 'Two views')
    expect(await uses()).toEqual(before)
    const { draft } = (await wren.get(path)).body
    const insert: Operation = {
      op: 'insert-row',
      row: { id: 'r', pieces: [newEvidencePiece('p', { id: picture, kind: 'picture' })] },
      after: null,
    }
    expect((await sendEdit(wren, path, { base: draft.revision, operations: [insert] })).status).toBe(422)
  })

  it('are not written while the item lies in the bin', async () => {
    const { wren, add } = await start()
    const { id, path } = await add('stake.png')
    await wren.put('/api/bin', { ids: [id] })
    expect((await wren.post(path, { lang: 'en' })).body).toMatchObject({ reason: 'in-the-bin' })
  })
})
