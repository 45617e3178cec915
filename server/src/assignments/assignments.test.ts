// Assignments: who sets, changes and ends them.
import { describeEachDatabase, setAssignment, startSealed, startSubmissions } from '../testing/index.ts'

describeEachDatabase('assignments', (open) => {
  it('are set, changed and ended by assessors of the class alone', async () => {
    const { as, school, wren, odalys } = await startSubmissions(open)
    const assignment = await setAssignment(odalys, school.classes.methods)
    const path = `/api/assignments/${assignment}`
    const kit = await as('kit')
    expect(await setAssignment(wren, school.classes.methods)).toBeUndefined()
    expect(await setAssignment(odalys, school.classes.crew)).toBeUndefined()
    expect((await kit.get(path)).status).toBe(404)
    expect((await wren.put(`${path}/end`, undefined)).status).toBe(404)
    await odalys.put(`${path}/end`, undefined)
    expect((await wren.get(`${path}/hand-in`)).body.decision.reason).toBe('assignment-ended')
    expect((await wren.get('/api/today')).body.steps).toEqual([])
    await odalys.delete(`${path}/end`)
    expect((await wren.get('/api/today')).body.steps).toHaveLength(1)
    expect((await odalys.get('/api/assignments')).body.items).toMatchObject([{ students: 2, toRead: 0 }])
    expect((await odalys.delete(path)).status).toBe(204)
    expect((await wren.get(path)).status).toBe(404)
  })

  it('cannot be removed once somebody handed in', async () => {
    const { odalys, assignment } = await startSealed(open)
    expect((await odalys.delete(`/api/assignments/${assignment}`)).body.reason).toBe('has-submissions')
  })
})
