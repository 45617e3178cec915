// The OpenAPI 3.1 description, made from the same routes and schemas that answer.
import { problemSchema } from '@valise/core/problems'
import type { TObject, TSchema } from 'typebox'
import type { Route, RouteSpec } from './route.ts'
import { to202012 } from './to202012.ts'
import { uploadPaths } from './uploadDescription.ts'

const json = (schema: TSchema) => ({ content: { 'application/json': { schema } } })

export function describeApi(routes: readonly Pick<Route, 'spec'>[], version: string): object {
  const paths: Record<string, Record<string, object>> = {}
  for (const { spec } of routes) {
    const path = (paths[spec.path] ??= {})
    path[spec.method] = operationOf(spec)
  }
  for (const [path, operations] of Object.entries(uploadPaths))
    paths[path] = { ...paths[path], ...operations }
  return to202012({
    openapi: '3.1.0',
    jsonSchemaDialect: 'https://json-schema.org/draft/2020-12/schema',
    info: {
      title: 'Valise',
      version,
      summary: 'Evidence, pages, sharing and hand-ins of one school',
    },
    paths,
    components: {
      schemas: { Problem: problemSchema },
      securitySchemes: { session: { type: 'apiKey', in: 'cookie', name: 'valise' } },
      responses: {
        Problem: {
          description: 'A refusal, as RFC 9457 problem details',
          content: { 'application/problem+json': { schema: { $ref: '#/components/schemas/Problem' } } },
        },
      },
    },
  }) as object
}

function operationOf(spec: RouteSpec): object {
  const parameters = [
    ...parametersOf('path', spec.params),
    ...parametersOf('query', spec.query),
    ...(spec.needsRevision ? [headerOf('If-Match', true, 'The revision that is changed, as "r5"')] : []),
    ...(spec.idempotent
      ? [headerOf('Idempotency-Key', false, 'Makes a repeated request have one effect')]
      : []),
  ]
  const bytes = { 'application/octet-stream': { schema: { type: 'string', format: 'binary' } } }
  const done = spec.file
    ? {
        200: { description: 'The file', content: bytes },
        206: { description: 'The part that was asked for', content: bytes },
      }
    : spec.answer
      ? { [spec.status ?? 200]: { description: 'Done', ...json(spec.answer) } }
      : { 204: { description: 'Done' } }
  return {
    operationId: idOf(spec),
    summary: spec.summary,
    description: `For ${spec.who === 'anyone' ? 'anyone' : spec.who === 'signed-in' ? 'people who are signed in' : 'administrators'}.`,
    tags: [spec.path.split('/')[2]],
    security: spec.who === 'anyone' ? [] : [{ session: [] }],
    ...(parameters.length > 0 && { parameters }),
    ...(spec.body && { requestBody: { required: true, ...json(spec.body) } }),
    responses: { ...done, default: { $ref: '#/components/responses/Problem' } },
  }
}

/** Such as `getPagesByIdPublished`: method and path, which are one of a kind together. */
function idOf({ method, path }: Pick<RouteSpec, 'method' | 'path'>): string {
  const words = path
    .split('/')
    .slice(2)
    .flatMap((segment) => (segment.startsWith('{') ? ['by', segment.slice(1, -1)] : segment.split(/[.-]/)))
  return method + words.map((word) => word.charAt(0).toUpperCase() + word.slice(1)).join('')
}

function parametersOf(place: 'path' | 'query', schema: TSchema | undefined): object[] {
  if (!schema) return []
  // Parameters are always given as an object schema, one property each.
  const { properties, required } = schema as TObject
  return Object.entries(properties).map(([name, property]) => ({
    name,
    in: place,
    required: place === 'path' || (required ?? []).includes(name),
    schema: property,
  }))
}

function headerOf(name: string, required: boolean, description: string): object {
  return { name, in: 'header', required, description, schema: { type: 'string' } }
}
