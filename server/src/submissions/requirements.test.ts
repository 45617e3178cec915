// Requirements of every kind: as they are set, checked, handed in and sealed.
import type { CheckedRequirement } from '@valise/core/assignments'
import {
  choose,
  describeEachDatabase,
  everyRequirementWanted,
  handInSealed,
  setAssignment,
  startSubmissions,
} from '../testing/index.ts'

describeEachDatabase('requirements of every kind', (open) => {
  it('travel with what was found of them, from the form into the sealed copy', async () => {
    const { site, school, wren, odalys, addPage } = await startSubmissions(open)
    const requirements = everyRequirementWanted
    const assignment = await setAssignment(odalys, school.classes.methods, { requirements })
    expect((await odalys.get(`/api/assignments/${assignment}`)).body.requirements).toEqual(requirements)
    const page = await addPage('Transect 3')
    await choose(wren, assignment, [{ kind: 'page', id: page.id }])
    const { readiness } = (await wren.get(`/api/assignments/${assignment}/hand-in`)).body
    expect(readiness.map(({ requirement }: CheckedRequirement) => requirement)).toEqual(requirements)
    const [step] = (await wren.get('/api/today')).body.steps
    const missing = readiness.filter(({ result }: CheckedRequirement) => !result.isThere)
    expect(new Set(step.gaps)).toEqual(new Set(missing))

    const id = await handInSealed(site, wren, assignment, [{ kind: 'page', id: page.id }])
    expect((await wren.get(`/api/submissions/${id}`)).body.readiness).toEqual(readiness)
    await odalys.post(`/api/submissions/${id}/open`)
    expect((await odalys.get(`/api/submissions/${id}`)).body.readiness).toEqual(readiness)
    expect((await wren.get(`/api/submissions/${id}/check`)).body).toMatchObject({ agrees: true })
  })
})
