// Putting pictures right over HTTP: the recipe of a version, and the picture as it was taken.
import { savedRecipeSchema, recipeSchema } from '@valise/core/pictures'
import { AppError } from '@valise/core/problems'
import { idSchema, object } from '@valise/core/schemas'
import { Type } from 'typebox'
import { routesWith } from '../http/index.ts'
import { saveRecipe, readRecipe } from './recipeService.ts'
import { findAsTaken } from './versionStore.ts'
import type { EvidenceServices } from './services.ts'

const { fileRoute, route } = routesWith<EvidenceServices>()

const byVersion = object({ id: idSchema, n: Type.Integer({ minimum: 1, maximum: 1_000_000 }) })

export const recipeRoutes = [
  fileRoute(
    {
      path: '/api/evidence/{id}/versions/{n}/as-taken',
      summary: 'The picture as it was taken, for its owner',
      who: 'signed-in',
      params: byVersion,
    },
    async ({ reader, actor, params }) => {
      const rendition = await findAsTaken(reader, actor.personId, params.id, params.n)
      if (!rendition) throw new AppError('not-found', 'not-found')
      const { fileSha256: sha256, bytes, mime } = rendition
      return { sha256, bytes, mime, fileName: 'as-taken.webp', inline: true }
    },
  ),
  route(
    {
      method: 'get',
      path: '/api/evidence/{id}/versions/{n}/recipe',
      summary: 'How a picture is put right',
      who: 'signed-in',
      params: byVersion,
      answer: savedRecipeSchema,
    },
    ({ reader, actor, params }) => readRecipe(reader, actor, params),
  ),
  route(
    {
      method: 'put',
      path: '/api/evidence/{id}/versions/{n}/recipe',
      summary: 'Put a picture right; its original stays',
      who: 'signed-in',
      params: byVersion,
      body: recipeSchema,
      answer: savedRecipeSchema,
      needsRevision: true,
    },
    ({ services, writable, actor, params, revision, body }) =>
      saveRecipe(writable, services.jobs, actor, params, revision, body),
  ),
]
