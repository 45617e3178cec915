import { newEvidencePiece, textOf } from '@valise/core/pages'
import type { Use } from '@valise/core/things'
import { describeEachDatabase, makeSmallSchool, makeTestSite, sendEdit } from '../testing/index.ts'

describeEachDatabase('where a thing is used', (open) => {
  it('is told kind by kind and by title, without what lies in the bin, and of one’s own things alone', async () => {
    const site = makeTestSite(await open())
    await makeSmallSchool(site.services)
    const [wren, tomasz] = [site.browser(), site.browser()]
    await wren.signIn('wren')
    await tomasz.signIn('tomasz')
    const create = async (path: string, body: object): Promise<string> =>
      (await wren.post(path, body)).body.id
    const note = await create('/api/notes', { text: textOf('Silt in the creek'), landing: {} })
    const piece = newEvidencePiece('note', { id: note, kind: 'note' })
    const show = (path: string, base: number) =>
      sendEdit(wren, path, {
        base,
        operations: [{ op: 'insert-row', row: { id: 'shown', pieces: [piece] }, after: null }],
      })
    const showOnPage = async (title: string) => {
      const id = await create('/api/pages', { title, lang: 'en' })
      expect((await show(`/api/pages/${id}`, 1)).status).toBe(200)
      return id
    }
    const logbook = await create('/api/logbooks', { title: 'Visits' })
    const day = { day: '2026-11-20', title: 'At low water', lang: 'en' }
    const entry = await create(`/api/logbooks/${logbook}/entries`, day)
    expect((await show(`/api/entries/${entry}`, 1)).status).toBe(200)
    const second = await showOnPage('Two banks')
    await showOnPage('Creek')
    const titles = async () =>
      (await wren.get(`/api/things/${note}/uses`)).body.map(
        ({ kind, title }: Use) => `${kind} ${String(title)}`,
      )
    expect(await titles()).toEqual(['page Creek', 'page Two banks', 'entry At low water'])
    await wren.put(`/api/things/${second}/bin`, undefined)
    expect(await titles()).toEqual(['page Creek', 'entry At low water'])
    await wren.delete(`/api/things/${second}`)
    await wren.delete(`/api/things/${second}/bin`)
    expect(await titles()).toEqual(['page Creek', 'entry At low water'])
    expect((await tomasz.get(`/api/things/${note}/uses`)).status).toBe(404)
  })
})
