// Evidence over HTTP: one item, its files, the tray, and uploads that are on their way.
import {
  dataTableSchema,
  evidenceChangeSchema,
  evidenceSchema,
  insideSchema,
  mayStandInline,
  readerOf,
  renditionKinds,
  traySchema,
  uploadSchema,
  uploadsSchema,
} from '@valise/core/evidence'
import { AppError } from '@valise/core/problems'
import { byId, idSchema, object } from '@valise/core/schemas'
import { Type } from 'typebox'
import { routesWith } from '../http/index.ts'
import { recipeRoutes } from './recipeRoutes.ts'
import * as service from './service.ts'
import { listTray } from './trayStore.ts'
import { voiceRoutes } from './voiceRoutes.ts'
import { findInside } from './wordsStore.ts'
import { getUpload, listUploads } from './uploadService.ts'
import { findRenditionOf, findVersionOf } from './versionStore.ts'
import type { EvidenceServices } from './services.ts'

const { fileRoute, route } = routesWith<EvidenceServices>()

const number = Type.Integer({ minimum: 1, maximum: 1_000_000 })
const byVersion = object({ id: idSchema, n: number })

export const evidenceRoutes = [
  // Before the renditions, whose address would take theirs.
  ...recipeRoutes,
  ...voiceRoutes,
  route(
    {
      method: 'get',
      path: '/api/evidence/{id}',
      summary: 'One item with its versions',
      who: 'signed-in',
      params: byId,
      answer: evidenceSchema,
    },
    ({ reader, actor, params }) => service.getEvidence(reader, actor, params.id),
  ),
  route(
    {
      method: 'patch',
      path: '/api/evidence/{id}',
      summary: 'Change title, statement, tags or rights',
      who: 'signed-in',
      params: byId,
      body: evidenceChangeSchema,
      answer: evidenceSchema,
      needsRevision: true,
    },
    ({ writable, actor, params, revision, body }) =>
      service.updateEvidence(writable, actor, params.id, revision, body),
  ),
  route(
    {
      method: 'post',
      path: '/api/evidence/{id}/versions',
      summary: 'Make an earlier version the newest again',
      who: 'signed-in',
      params: byId,
      body: object({ from: number }),
      answer: evidenceSchema,
      status: 201,
      needsRevision: true,
    },
    ({ services, writable, actor, params, revision, body }) =>
      service.restoreVersion(writable, services.jobs, actor, params.id, revision, body.from),
  ),
  fileRoute(
    {
      path: '/api/evidence/{id}/versions/{n}/file',
      summary: 'The file as it came, for its owner',
      who: 'signed-in',
      params: byVersion,
    },
    async ({ reader, actor, params }) => {
      const version = await findVersionOf(reader, actor.personId, params.id, params.n)
      if (!version) throw new AppError('not-found', 'not-found')
      const { fileSha256: sha256, bytes, mime, fileName } = version
      return { sha256, bytes, mime, fileName, inline: mayStandInline(mime) }
    },
  ),
  route(
    {
      method: 'get',
      path: '/api/evidence/{id}/versions/{n}/inside',
      summary: 'The words inside a document, cleaned',
      who: 'signed-in',
      params: byVersion,
      answer: insideSchema,
    },
    async ({ reader, actor, params }) => {
      const inside = await findInside(reader, actor.personId, params.id, params.n)
      if (!inside) throw new AppError('not-found', 'not-found')
      return inside
    },
  ),
  route(
    {
      method: 'get',
      path: '/api/evidence/{id}/versions/{n}/table',
      summary: 'The head of a data table',
      who: 'signed-in',
      params: byVersion,
      answer: dataTableSchema,
    },
    async ({ services, reader, actor, params }) => {
      const version = await findVersionOf(reader, actor.personId, params.id, params.n)
      if (!version || readerOf(version.mime) !== 'table') throw new AppError('not-found', 'not-found')
      return services.workers.run(
        'table',
        { sha256: version.fileSha256, bytes: version.bytes },
        { lane: 'requests', personId: actor.personId },
      )
    },
  ),
  fileRoute(
    {
      path: '/api/evidence/{id}/versions/{n}/{kind}',
      summary: 'A rendition of a picture',
      who: 'signed-in',
      params: object({ id: idSchema, n: number, kind: Type.Enum([...renditionKinds]) }),
    },
    async ({ reader, actor, params }) => {
      const rendition = await findRenditionOf(reader, actor.personId, params.id, params.n, params.kind)
      if (!rendition) throw new AppError('not-found', 'not-found')
      const { fileSha256: sha256, bytes, mime } = rendition
      return { sha256, bytes, mime, fileName: `${params.kind}.webp`, inline: true, isVersioned: true }
    },
  ),
  route(
    {
      method: 'get',
      path: '/api/tray',
      summary: 'What I have picked up, in that order',
      who: 'signed-in',
      answer: traySchema,
    },
    ({ reader, actor }) => listTray(reader, actor),
  ),
  route(
    { method: 'put', path: '/api/tray/{id}', summary: 'Pick up', who: 'signed-in', params: byId },
    ({ writable, actor, params }) => service.putIntoTray(writable, actor, params.id),
  ),
  route(
    { method: 'delete', path: '/api/tray/{id}', summary: 'Put back', who: 'signed-in', params: byId },
    ({ writable, actor, params }) => service.takeOutOfTray(writable, actor, params.id),
  ),
  route(
    {
      method: 'get',
      path: '/api/uploads',
      summary: 'My files that are on their way',
      who: 'signed-in',
      answer: uploadsSchema,
    },
    ({ services, reader, actor }) => listUploads(reader, services, actor),
  ),
  route(
    {
      method: 'get',
      path: '/api/uploads/{id}',
      summary: 'How far a file of mine is, and what it became',
      who: 'signed-in',
      params: byId,
      answer: uploadSchema,
    },
    ({ services, reader, actor, params }) => getUpload(reader, services, actor, params.id),
  ),
]
