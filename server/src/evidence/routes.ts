// Evidence over HTTP: lists, one item, its files, the tray, the bin, and uploads that are on their way.
import {
  evidenceChangeSchema,
  evidencePageSchema,
  evidenceSchema,
  mayStandInline,
  renditionKinds,
  rightsForManySchema,
  tagsInUseSchema,
  traySchema,
  uploadSchema,
  uploadsSchema,
} from '@valise/core/evidence'
import { idSchema } from '@valise/core/people'
import { AppError } from '@valise/core/problems'
import { Type } from 'typebox'
import { fileRoute, route } from '../http/index.ts'
import * as service from './service.ts'
import { countEvidence, listEvidence, listTags, listTray } from './store.ts'
import { getUpload, listUploads } from './uploadService.ts'
import { findRenditionOf, findVersionOf } from './versionStore.ts'

const PAGE = 60

const object = <T extends Parameters<typeof Type.Object>[0]>(properties: T) =>
  Type.Object(properties, { additionalProperties: false })
const byId = object({ id: idSchema })
const number = Type.Integer({ minimum: 1, maximum: 1_000_000 })
const byVersion = object({ id: idSchema, n: number })
const pageQuery = object({
  cursor: Type.Optional(Type.String({ maxLength: 400 })),
  limit: Type.Optional(Type.Integer({ minimum: 1, maximum: 200 })),
})

export const evidenceRoutes = [
  route(
    {
      method: 'get',
      path: '/api/evidence',
      summary: 'My evidence, what was made last first',
      who: 'signed-in',
      query: pageQuery,
      answer: evidencePageSchema,
    },
    ({ reader, actor, query }) =>
      listEvidence(reader, actor, 'kept', { cursor: query.cursor, limit: query.limit ?? PAGE }),
  ),
  route(
    {
      method: 'get',
      path: '/api/bin',
      summary: 'What I put into the bin, last first',
      who: 'signed-in',
      query: pageQuery,
      answer: evidencePageSchema,
    },
    ({ reader, actor, query }) =>
      listEvidence(reader, actor, 'bin', { cursor: query.cursor, limit: query.limit ?? PAGE }),
  ),
  route(
    {
      method: 'get',
      path: '/api/evidence/tags',
      summary: 'My tags, those used most first',
      who: 'signed-in',
      answer: tagsInUseSchema,
    },
    ({ reader, actor }) => listTags(reader, actor),
  ),
  route(
    {
      method: 'get',
      path: '/api/evidence/count',
      summary: 'How many items I have',
      who: 'signed-in',
      answer: object({ kept: Type.Integer() }),
    },
    async ({ reader, actor }) => ({ kept: await countEvidence(reader, actor) }),
  ),
  route(
    {
      method: 'put',
      path: '/api/evidence/rights',
      summary: 'Declare the rights of several items at once',
      who: 'signed-in',
      body: rightsForManySchema,
    },
    ({ writable, actor, body }) => service.declareRights(writable, actor, body),
  ),
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
      return { sha256, bytes, mime, fileName: `${params.kind}.webp`, inline: true }
    },
  ),
  route(
    {
      method: 'put',
      path: '/api/bin/{id}',
      summary: 'Put into the bin, where it stays for 30 days',
      who: 'signed-in',
      params: byId,
    },
    ({ writable, actor, params }) => service.putIntoBin(writable, actor, params.id),
  ),
  route(
    {
      method: 'delete',
      path: '/api/bin/{id}',
      summary: 'Take out of the bin',
      who: 'signed-in',
      params: byId,
    },
    ({ writable, actor, params }) => service.takeOutOfBin(writable, actor, params.id),
  ),
  route(
    {
      method: 'delete',
      path: '/api/evidence/{id}',
      summary: 'Remove for good what is in the bin',
      who: 'signed-in',
      params: byId,
    },
    ({ writable, actor, params }) => service.removeEvidence(writable, actor, params.id),
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
