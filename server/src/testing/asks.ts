// How each route is asked for a thing: the ids that stand in its address, and a body that is well-formed.
import { textOf } from '@valise/core/pages'
import { valuesOf } from '@valise/core/testing'
import { thingDefinitionOf, thingKinds } from '@valise/core/things'
import fc from 'fast-check'
import type { RouteSpec } from '../http/route.ts'
import type { ThingOfEachKind } from './everyThing.ts'
import { sealedVisits } from './sampleGuides.ts'
import type { PageOfEveryPiece } from './everyPiece.ts'
import { assignmentInput } from './handingIn.ts'
import type { ThingIds } from './oneOfEverything.ts'

export interface Ask {
  readonly method: string
  readonly path: string
  readonly body?: unknown
  readonly headers?: Record<string, string>
}

export const nameOf = ({ method, path }: RouteSpec) => `${method.toUpperCase()} ${path}`

/**
 * Whose id stands for `{id}`, by what the path begins with; the longer beginning wins. Things of a kind that is not
 * named are asked for below the path of their kind.
 */
const idsOfPaths: Readonly<Record<string, keyof ThingIds>> = {
  '/api/assignments/': 'assignment',
  '/api/classes/': 'class',
  '/api/collages/': 'collage',
  '/api/collections/': 'collection',
  '/api/entries/': 'entry',
  '/api/evidence/': 'picture',
  '/api/evidence/queries/': 'savedQuery',
  '/api/evidence/{id}/drive': 'driveDocument',
  '/api/evidence/{id}/statement': 'picture',
  '/api/guides/': 'guide',
  '/api/guide-copies/': 'guideCopy',
  '/api/links/': 'link',
  '/api/logbooks/': 'logbook',
  '/api/memberships/': 'membership',
  '/api/notes/': 'note',
  '/api/pages/': 'page',
  '/api/passes/': 'pass',
  '/api/people/': 'person',
  '/api/phone-links/': 'phoneLink',
  '/api/sessions/': 'session',
  '/api/sheets/': 'sheet',
  '/api/attribute-sets/': 'attributeSet',
  '/api/submissions/': 'submission',
  '/api/tray/': 'picture',
  '/api/uploads/': 'upload',
}

/** Whose versions that lost `{otherId}` is one of, by what the path begins with. */
const versionsOfPaths: Readonly<Record<string, keyof ThingIds>> = {
  '/api/entries/': 'entryVersion',
  '/api/evidence/{id}/statement': 'statementVersion',
  '/api/guide-copies/': 'copyVersion',
  '/api/pages/': 'otherVersion',
}

/** Below these stand ids of outside services, and nobody's here. */
const outside = ['/api/drive/', '/api/picture-shelf/']

const edit = (id: string) => ({
  ...{ base: 1, editId: id, windowId: id },
  operations: [{ op: 'set-title', title: '' }],
})
const days = { firstDay: null, lastDay: null }
export const bodies: Readonly<Record<string, (ids: ThingIds) => unknown>> = {
  'POST /api/notes': () => ({ text: textOf('Low water at seven'), landing: {} }),
  'POST /api/links': () => ({ address: 'https://marsh.invalid/tides', landing: {} }),
  'POST /api/links/preview': () => ({ address: 'https://marsh.invalid/tides' }),
  'POST /api/drive/documents': () => ({ documentId: 'log', how: 'copy', landing: {} }),
  'PUT /api/evidence/rights': ({ picture }) => ({ ids: [picture], rights: { state: 'mine' } }),
  'PUT /api/evidence/tagged': ({ picture }) => ({ ids: [picture], add: ['x'] }),
  'PUT /api/tray': ({ picture }) => ({ ids: [picture] }),
  'PUT /api/bin': ({ picture }) => ({ ids: [picture] }),
  'PUT /api/evidence/{id}/voices/{voiceId}': () => ({ moments: [] }),
  'PUT /api/evidence/{id}/versions/{n}/recipe': () => ({ schema: 1, steps: [] }),
  'PATCH /api/evidence/{id}': () => ({ title: 'Mine now' }),
  'POST /api/evidence/{id}/versions': () => ({ from: 1 }),
  'POST /api/evidence/{id}/statement': () => ({ lang: 'en' }),
  'POST /api/evidence/{id}/statement/edits': ({ picture }) => edit(picture),
  'POST /api/collages': ({ picture }) => ({ size: 'wide', pictures: [picture] }),
  'PUT /api/collages/{id}': () => ({
    ...{ schema: 1, size: 'wide', layers: [] },
    background: { kind: 'colour', colour: 'paper' },
  }),
  'PUT /api/notes/{id}': () => ({ text: { type: 'doc', content: [{ type: 'paragraph' }] } }),
  'PATCH /api/logbooks/{id}': () => ({ title: 'Visits' }),
  'POST /api/logbooks/{id}/entries': () => ({ day: '2026-11-24', title: '', lang: 'en' }),
  'POST /api/entries/moved': ({ entry, logbook }) => ({ ids: [entry], logbookId: logbook }),
  'PUT /api/sheets/{id}': () => ({ content: { title: {}, about: {}, questions: [] } }),
  'POST /api/sheets/{id}/versions': () => ({}),
  'PUT /api/sheets/{id}/offers': () => ({ classIds: [] }),
  'PUT /api/attribute-sets/{id}': () => ({ content: { title: {}, about: {}, steps: [], attributes: [] } }),
  'POST /api/attribute-sets/{id}/versions': () => ({}),
  'PUT /api/attribute-sets/{id}/offers': () => ({ classIds: [] }),
  'PUT /api/guides/{id}': () => ({ content: sealedVisits }),
  'POST /api/guides/{id}/versions': () => ({}),
  'PUT /api/guides/{id}/offers': () => ({ classIds: [] }),
  'POST /api/guides/{id}/copies': () => ({}),
  'PUT /api/guides/{id}/openings': ({ tides }) => ({ classId: tides, stageId: '1', isOpen: true }),
  'POST /api/guide-copies/{id}/edits': ({ guideCopy }) => edit(guideCopy),
  'PUT /api/guide-copies/{id}/logbook': ({ logbook }) => ({ logbookId: logbook }),
  'POST /api/guide-copies/{id}/entries': () => ({ questionId: 'visit', day: '2026-11-24' }),
  'POST /api/guide-copies/{id}/feedback': () => ({ stageId: null, pieceId: null, text: 'x' }),
  'PATCH /api/entries/{id}': () => ({ day: '2026-11-24' }),
  'POST /api/entries/{id}/edits': ({ entry }) => edit(entry),
  'POST /api/pages/{id}/edits': ({ page }) => edit(page),
  'PATCH /api/collections/{id}': () => ({ operations: [{ op: 'set-title', title: '' }] }),
  'POST /api/passes': ({ page }) => ({
    ...{
      thing: { kind: 'page', id: page },
      audience: { kind: 'link', name: 'Mine' },
      rights: ['look'],
      ...days,
    },
  }),
  'PATCH /api/passes/{id}': () => days,
  'POST /api/assignments': ({ class: classId }) => ({ classId, ...assignmentInput }),
  'PUT /api/assignments/{id}': () => assignmentInput,
  'PUT /api/assignments/{id}/hand-in': () => ({ parts: [] }),
  'POST /api/assignments/{id}/submissions': () => ({ gaps: [], terms: 0 }),
  'POST /api/submissions/{id}/outcome': () => ({ act: 'accept', levelId: 'own' }),
  'POST /api/submissions/{id}/feedback': () => ({ part: null, isOpen: false, text: 'x' }),
}

/**
 * Every way to ask a route for things: one, but for what all things share, which is asked for with one of each kind,
 * and for what pieces hand out, which is asked for by its names.
 */
export function asksOf(spec: RouteSpec, ids: ThingIds, { everyPiece, things }: Asked): Ask[] {
  if (spec.path.startsWith('/api/things/')) return Object.values(things).map((id) => askOf(spec, ids, { id }))
  const kind = thingKinds.find((one) => spec.path.startsWith(`/api/${thingDefinitionOf(one).path}/{id}`))
  const isNamed = Object.keys(idsOfPaths).some((one) => spec.path.startsWith(one))
  if (kind && !isNamed) return [askOf(spec, ids, { id: things[kind] })]
  const piece = piecesOfPaths.find(([path]) => spec.path.startsWith(path))?.[1]
  if (piece) return [askOf(spec, ids, { piece: piece(ids) })]
  if (!spec.path.includes('{handOut}')) return [askOf(spec, ids)]
  const { id: page, handOuts } = everyPiece
  return handOuts.map(({ piece, handOut }) => askOf(spec, { ...ids, page, piece }, { handOut }))
}

/** Which piece hands out a file, by what the path begins with; the pieces of pages are asked for one by one. */
const piecesOfPaths: readonly (readonly [string, (ids: ThingIds) => string])[] = [
  ['/api/guides/{id}/pieces/', () => 'how-0'],
  ['/api/guide-copies/{id}/pieces/', ({ copyPiece }) => copyPiece],
  ['/api/guide-copies/{id}/pages/', ({ piece }) => piece],
]

interface Asked {
  readonly everyPiece: Pick<PageOfEveryPiece, 'id' | 'handOuts'>
  readonly things: ThingOfEachKind
}

export function askOf(spec: RouteSpec, ids: ThingIds, more: Readonly<Record<string, string>> = {}): Ask {
  const name = nameOf(spec)
  const [beginning] = Object.keys(idsOfPaths)
    .filter((one) => spec.path.startsWith(one))
    .sort((a, b) => b.length - a.length)
  const isOutside = outside.some((one) => spec.path.startsWith(one))
  const isKnown = beginning !== undefined || isOutside || more['id'] !== undefined
  if (spec.path.includes('{id}') && !isKnown) throw new Error(`no id for ${name}`)
  const thing = beginning === undefined ? undefined : idsOfPaths[beginning]
  const values: Record<string, string> = {
    ...{ id: thing ? ids[thing] : 'log', n: '1', kind: 'thumbnail', piece: ids.piece, file: ids.file },
    otherId: ids[versionsOfPaths[beginning ?? ''] ?? 'otherVersion'],
    ...{ voiceId: ids.voice, handOut: 'screen', pageId: ids.page, classId: ids.tides, ...more },
  }
  return {
    method: spec.method.toUpperCase(),
    path: spec.path.replace(/\{(\w+)\}/g, (_, key: string) => {
      const value = values[key]
      if (value === undefined) throw new Error(`no value for {${key}} of ${name}`)
      return value
    }),
    ...(spec.body && { body: bodies[name]?.(ids) ?? anyBody(spec.body) }),
    headers: { 'if-match': '"r1"' },
  }
}

/** Whatever a route takes. */
function anyBody(schema: NonNullable<RouteSpec['body']>): unknown {
  return fc.sample(valuesOf(schema), { seed: 4, numRuns: 1 })[0]
}
