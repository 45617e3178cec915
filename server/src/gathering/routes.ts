// The ways in over HTTP, beside uploads: links, notes, the shared drive, the picture shelf, the lent camera.
import {
  driveFolderSchema,
  evidenceSchema,
  fromDriveSchema,
  fromShelfSchema,
  landingSchema,
  LONGEST_TITLE,
  previewedLinkSchema,
  newLinkSchema,
  outsideIdSchema,
  phoneLinkSchema,
  phoneStateSchema,
  shelfPageSchema,
  shelfReportSchema,
  sourcesSchema,
} from '@valise/core/evidence'
import { richTextSchema } from '@valise/core/pages'
import { byId, object } from '@valise/core/schemas'
import { Type } from 'typebox'
import { routesWith } from '../http/index.ts'
import { saveFromDrive, letGo, checkDocument, readFolder } from './driveService.ts'
import { createLink, checkAgain, previewLink } from './linkService.ts'
import { createNote, getNote, updateNote } from './noteService.ts'
import { endLending, getPhoneState, lendCamera } from './phoneService.ts'
import { saveFromShelf, reportPicture, searchShelf, smallPicture } from './shelfService.ts'
import type { GatheringServices } from './services.ts'

const { fileRoute, route } = routesWith<GatheringServices>()

const byOutsideId = object({ id: outsideIdSchema })
const note = object({ text: richTextSchema, revision: Type.Integer() })

export const gatheringRoutes = [
  route(
    {
      method: 'get',
      path: '/api/sources',
      summary: 'Which ways in there are beside files, camera, links and notes',
      who: 'signed-in',
      answer: sourcesSchema,
    },
    async ({ services: { outside } }) => ({ drive: outside.drive !== null, shelf: outside.shelf !== null }),
  ),
  route(
    {
      method: 'post',
      path: '/api/links/preview',
      summary: 'What an address is',
      who: 'signed-in',
      body: object({ address: newLinkSchema.properties.address }),
      answer: previewedLinkSchema,
    },
    ({ services, reader, actor, body }) => previewLink(services, reader, actor, body.address),
  ),
  route(
    {
      method: 'post',
      path: '/api/links',
      summary: 'Save a web link',
      who: 'signed-in',
      body: newLinkSchema,
      answer: evidenceSchema,
      status: 201,
    },
    ({ services, actor, body }) => createLink(services, actor, body),
  ),
  route(
    {
      method: 'post',
      path: '/api/links/{id}/check-again',
      summary: 'Ask the site of a link again',
      who: 'signed-in',
      params: byId,
      answer: evidenceSchema,
    },
    ({ services, actor, params }) => checkAgain(services, actor, params.id),
  ),
  route(
    {
      method: 'post',
      path: '/api/notes',
      summary: 'Begin a note',
      who: 'signed-in',
      body: object({
        text: richTextSchema,
        title: Type.Optional(Type.String({ maxLength: LONGEST_TITLE })),
        landing: landingSchema,
      }),
      answer: evidenceSchema,
      status: 201,
    },
    ({ services, actor, body }) => createNote(services, actor, body),
  ),
  route(
    {
      method: 'get',
      path: '/api/notes/{id}',
      summary: 'The words of a note',
      who: 'signed-in',
      params: byId,
      answer: note,
    },
    ({ reader, actor, params }) => getNote(reader, actor, params.id),
  ),
  route(
    {
      method: 'put',
      path: '/api/notes/{id}',
      summary: 'Write on in a note',
      who: 'signed-in',
      params: byId,
      body: object({ text: richTextSchema }),
      answer: note,
      needsRevision: true,
    },
    ({ services, actor, params, revision, body }) =>
      updateNote(services, actor, params.id, revision, body.text),
  ),
  route(
    {
      method: 'get',
      path: '/api/drive/folders',
      summary: 'The top of the shared drive',
      who: 'signed-in',
      answer: driveFolderSchema,
    },
    ({ services, reader, actor }) => readFolder(services, reader, actor, null),
  ),
  route(
    {
      method: 'get',
      path: '/api/drive/folders/{id}',
      summary: 'A folder of the shared drive',
      who: 'signed-in',
      params: byOutsideId,
      answer: driveFolderSchema,
    },
    ({ services, reader, actor, params }) => readFolder(services, reader, actor, params.id),
  ),
  route(
    {
      method: 'post',
      path: '/api/drive/documents',
      summary: 'Take a document of the shared drive, as a copy or connected',
      who: 'signed-in',
      body: fromDriveSchema,
      answer: evidenceSchema,
      status: 201,
    },
    ({ services, actor, body }) => saveFromDrive(services, actor, body),
  ),
  route(
    {
      method: 'post',
      path: '/api/evidence/{id}/drive/check',
      summary: 'Look at a connected document now',
      who: 'signed-in',
      params: byId,
      answer: evidenceSchema,
    },
    ({ services, actor, params }) => checkDocument(services, actor, params.id),
  ),
  route(
    {
      method: 'delete',
      path: '/api/evidence/{id}/drive',
      summary: 'Let a connected document go; what is here stays',
      who: 'signed-in',
      params: byId,
      answer: evidenceSchema,
    },
    ({ services, actor, params }) => letGo(services, actor, params.id),
  ),
  route(
    {
      method: 'get',
      path: '/api/picture-shelf',
      summary: 'Pictures of the shelf that fit some words',
      who: 'signed-in',
      query: object({ words: Type.Optional(Type.String({ maxLength: 200 })) }),
      answer: shelfPageSchema,
    },
    ({ services, reader, actor, query }) => searchShelf(services, reader, actor, query.words ?? ''),
  ),
  fileRoute(
    {
      path: '/api/picture-shelf/{id}/small',
      summary: 'The small form of a picture of the shelf',
      who: 'signed-in',
      params: byOutsideId,
    },
    ({ services, reader, actor, params }) => smallPicture(services, reader, actor, params.id),
  ),
  route(
    {
      method: 'post',
      path: '/api/picture-shelf/taken',
      summary: 'Take a picture of the shelf, with its credit',
      who: 'signed-in',
      body: fromShelfSchema,
      answer: evidenceSchema,
      status: 201,
    },
    ({ services, actor, body }) => saveFromShelf(services, actor, body),
  ),
  route(
    {
      method: 'post',
      path: '/api/picture-shelf/{id}/reports',
      summary: 'Say what is wrong with a picture of the shelf',
      who: 'signed-in',
      params: byOutsideId,
      body: shelfReportSchema,
    },
    ({ services, reader, actor, params, body }) =>
      reportPicture(services, reader, actor, params.id, body.words),
  ),
  route(
    {
      method: 'post',
      path: '/api/phone-links',
      summary: 'Make the code by which a phone lends its camera',
      who: 'signed-in',
      body: landingSchema,
      answer: phoneLinkSchema,
      status: 201,
    },
    ({ services, actor, body }) => lendCamera(services, actor, body),
  ),
  route(
    {
      method: 'get',
      path: '/api/phone-links/{id}',
      summary: 'Whether the phone is there, and what it brought',
      who: 'signed-in',
      params: byId,
      answer: phoneStateSchema,
    },
    ({ reader, actor, params }) => getPhoneState(reader, actor, params.id),
  ),
  route(
    {
      method: 'delete',
      path: '/api/phone-links',
      summary: 'End the lending of a phone’s camera',
      who: 'signed-in',
    },
    ({ services, actor }) => endLending(services, actor),
  ),
]
