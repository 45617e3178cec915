import { inTransaction } from '../database/index.ts'
import { accept, answer, ask, describeEachDatabase, newsKinds, startSealed } from '../testing/index.ts'
import { tellNews } from './index.ts'

describeEachDatabase('news', (open, onSqlite) => {
  it('come page by page, the newest first, each once, and each person has their own', async () => {
    const { site, school, wren, odalys } = await startSealed(open)
    const { body: before } = await wren.get('/api/news')
    for (let n = 0; n < 45; n += 1)
      await inTransaction(site.services.database, (trx) =>
        tellNews(trx, { personId: school.people.wren, kind: 'password-changed', params: { n: String(n) } }),
      )
    const first = (await wren.get('/api/news')).body
    const second = (await wren.get(`/api/news?cursor=${encodeURIComponent(first.next)}`)).body
    const items = [...first.items, ...second.items]
    expect(first.items).toHaveLength(30)
    expect(items).toHaveLength(45 + before.items.length)
    expect(new Set(items.map(({ id }: { id: string }) => id)).size).toBe(items.length)
    expect(items[0].params).toEqual({ n: '44' })
    expect(second.next).toBeNull()
    expect(first.unseen).toBe(45 + before.unseen)
    expect((await odalys.get('/api/news')).body.items).not.toContainEqual(items[0])
  })

  onSqlite('are seen up to the one that was shown: what came meanwhile stays new', async () => {
    const { site, school, wren } = await startSealed(open)
    const tell = () =>
      inTransaction(site.services.database, (trx) =>
        tellNews(trx, { personId: school.people.wren, kind: 'password-changed', params: {} }),
      )
    const shown = await tell()
    await tell()
    await wren.put('/api/news/seen', { upTo: shown })
    const { unseen, items } = (await wren.get('/api/news')).body
    expect(unseen).toBe(1)
    expect(items.map(({ seen }: { seen: boolean }) => seen).slice(0, 2)).toEqual([false, true])
  })

  onSqlite('stand in the order of time, also where a clock went back', async () => {
    const { site, school, wren } = await startSealed(open)
    const tell = (n: string) =>
      inTransaction(site.services.database, async (trx) => {
        const id = await tellNews(trx, {
          personId: school.people.wren,
          kind: 'password-changed',
          params: { n },
        })
        await trx
          .sql('news')
          .where({ id })
          .update({ at: `2026-12-0${n}T08:00:00.000Z` })
        return id
      })
    await tell('3')
    await tell('1')
    const second = await tell('2')
    const { items, unseen } = (await wren.get('/api/news')).body
    expect(items.slice(0, 3).map(({ params }: { params: { n: string } }) => params.n)).toEqual([
      '3',
      '2',
      '1',
    ])
    expect(unseen).toBeGreaterThan(2)
    await wren.put('/api/news/seen', { upTo: second })
    expect((await wren.get('/api/news')).body.unseen).toBe(1)
  })

  onSqlite('of a cursor that was made up get a refusal, not a failure', async () => {
    const { wren } = await startSealed(open)
    expect((await wren.get('/api/news?cursor=no-such')).status).toBe(422)
  })
})

describeEachDatabase('feedback', (open, onSqlite) => {
  const say = { part: 1, isOpen: false, text: 'Say how you chose the places.' }

  onSqlite('goes to and fro between author and assessors, and each hears of the other', async () => {
    const { id, wren, odalys } = await startSealed(open)
    await odalys.post(`/api/submissions/${id}/feedback`, say)
    expect(await newsKinds(wren)).toContain('feedback-given')
    await wren.post(`/api/submissions/${id}/feedback`, { ...say, part: null, text: 'I threw a stone.' })
    expect(await newsKinds(odalys)).toContain('feedback-given')
    const { body } = await odalys.get(`/api/submissions/${id}/feedback`)
    expect(body).toMatchObject([
      { part: 1, text: 'Say how you chose the places.', authorName: 'Odalys Fenn', isMine: true },
      { part: null, text: 'I threw a stone.', authorName: 'Wren Adeyemi-Holt', isMine: false },
    ])
  })

  onSqlite('is nothing to anybody else: as if there were none', async () => {
    const { id, as, odalys } = await startSealed(open)
    await odalys.post(`/api/submissions/${id}/feedback`, say)
    for (const name of ['tomasz', 'kit', 'mireille']) {
      const other = await as(name)
      expect((await other.get(`/api/submissions/${id}/feedback`)).status).toBe(404)
      expect((await other.post(`/api/submissions/${id}/feedback`, say)).status).toBe(404)
    }
  })

  onSqlite(
    'is refused in words where it says nothing, is about no part, or comes before the copy was opened',
    async () => {
      const { id, wren, odalys } = await startSealed(open, false)
      const reasonOf = async (body: object) =>
        (await odalys.post(`/api/submissions/${id}/feedback`, body)).body.reason
      expect(await reasonOf(say)).toBe('open-it-first')
      await odalys.post(`/api/submissions/${id}/open`)
      expect(await reasonOf({ ...say, text: ' \n ' })).toBe('invalid-input')
      expect(await reasonOf({ ...say, part: 9 })).toBe('not-found')
      expect(await reasonOf({ ...say, part: null, isOpen: true })).toBe('only-private-here')
      expect((await wren.get(`/api/submissions/${id}/feedback`)).body).toEqual([])
    },
  )

  onSqlite('of an answer that was undone is gone, with its news', async () => {
    const { id, wren, odalys } = await startSealed(open)
    await answer(odalys, id, ask)
    expect((await wren.get(`/api/submissions/${id}/feedback`)).body).toMatchObject([{ isRequest: true }])
    expect((await odalys.delete(`/api/submissions/${id}/outcome`)).status).toBe(200)
    expect((await wren.get(`/api/submissions/${id}/feedback`)).body).toEqual([])
    expect(await newsKinds(wren)).not.toContain('changes-asked')
    await answer(odalys, id, accept)
    expect(await newsKinds(wren)).toContain('work-accepted')
  })

  onSqlite('stands on Today of whoever it is for, the newest first, one’s own words apart', async () => {
    const { id, wren, odalys } = await startSealed(open)
    for (const text of ['One', 'Two', 'Three', 'Four'])
      await odalys.post(`/api/submissions/${id}/feedback`, { ...say, text })
    await wren.post(`/api/submissions/${id}/feedback`, { ...say, text: 'Mine' })
    const { body } = await wren.get('/api/today')
    expect(body.feedback.map(({ text }: { text: string }) => text)).toEqual(['Four', 'Three', 'Two'])
  })
})
