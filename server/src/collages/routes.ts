// Collages over HTTP: begin one, read it, keep it as it is now.
import { evidenceSchema } from '@valise/core/evidence'
import { collageSchema, savedCollageSchema, newCollageSchema } from '@valise/core/pictures'
import { byId } from '@valise/core/schemas'
import { routesWith } from '../http/index.ts'
import { createCollage, getCollage, updateCollage } from './service.ts'
import type { EvidenceServices } from '../evidence/index.ts'

const { route } = routesWith<EvidenceServices>()

export const collageRoutes = [
  route(
    {
      method: 'post',
      path: '/api/collages',
      summary: 'Begin a collage',
      who: 'signed-in',
      body: newCollageSchema,
      answer: evidenceSchema,
      status: 201,
    },
    ({ services, actor, body }) => createCollage(services, actor, body),
  ),
  route(
    {
      method: 'get',
      path: '/api/collages/{id}',
      summary: 'A collage with all that lies on it',
      who: 'signed-in',
      params: byId,
      answer: savedCollageSchema,
    },
    ({ reader, actor, params }) => getCollage(reader, actor, params.id),
  ),
  route(
    {
      method: 'put',
      path: '/api/collages/{id}',
      summary: 'Save a collage as it is now',
      who: 'signed-in',
      params: byId,
      body: collageSchema,
      answer: savedCollageSchema,
      needsRevision: true,
    },
    ({ services, actor, params, revision, body }) =>
      updateCollage(services, actor, params.id, revision, body),
  ),
]
