import { accept, answer, ask, describeEachDatabase, newsKinds, startSealed } from '../testing/index.ts'

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
