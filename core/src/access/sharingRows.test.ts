import { sharingRows } from './index.ts'
import type { Pass, Sharing } from './index.ts'

const thing = (id: string, kind: 'page' | 'collection' = 'page'): Sharing['things'][number] => ({
  ...{ id, kind, title: id.toUpperCase() },
  ...{ publishedAt: null, isNewer: false, binnedAt: null },
})
const pass = (id: string, thingId: string): Pass => ({
  id,
  thing: { kind: 'page', id: thingId },
  audience: { kind: 'link', id: null, name: id },
  rights: ['look'],
  ...{ firstDay: null, lastDay: null, from: null, until: null, state: 'running', isForbidden: false },
  ...{ address: null, revision: 1 },
})

describe('one’s own things as rows', () => {
  const sharing: Sharing = {
    things: [
      thing('year', 'collection'),
      thing('winter', 'collection'),
      thing('ice'),
      thing('creek'),
      thing('about'),
    ],
    places: [
      { containerId: 'year', thingId: 'creek', isHidden: false },
      { containerId: 'year', thingId: 'winter', isHidden: true },
      { containerId: 'winter', thingId: 'ice', isHidden: false },
      { containerId: 'winter', thingId: 'creek', isHidden: false },
    ],
    passes: [pass('family', 'year'), pass('cold', 'winter'), pass('own', 'creek')],
  }
  const rows = sharingRows(sharing)
    .shared.flat()
    .map(({ thing: { id }, depth, isHidden, passes, inherited }) => ({
      row: `${'  '.repeat(depth)}${id}`,
      ...(isHidden && { isHidden }),
      passes: passes.map((one) => one.id),
      inherited: inherited.map((one) => `${one.pass.id} of ${one.fromId}`),
    }))

  it('follow their collections, with what comes down to each place', () => {
    expect(rows).toEqual([
      { row: 'year', passes: ['family'], inherited: [] },
      { row: '  creek', passes: ['own'], inherited: ['family of year'] },
      { row: '  winter', isHidden: true, passes: ['cold'], inherited: ['family of year'] },
      { row: '    ice', isHidden: true, passes: [], inherited: ['cold of winter', 'family of year'] },
      { row: '    creek', isHidden: true, passes: ['own'], inherited: ['cold of winter', 'family of year'] },
    ])
  })

  it('tell apart what nobody else has a pass for', () => {
    expect(
      sharingRows(sharing)
        .alone.flat()
        .map((row) => row.thing.id),
    ).toEqual(['about'])
  })
})
