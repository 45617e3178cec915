// The OpenAPI 3.1 description, made from the same routes and schemas that answer.
import { problemSchema } from '@valise/core/problems'
import type { TObject, TSchema } from 'typebox'
import type { Route, RouteSpec } from './route.ts'

const json = (schema: TSchema) => ({ content: { 'application/json': { schema } } })

export function describeApi(routes: readonly Route[], version: string): object {
  const paths: Record<string, Record<string, object>> = {}
  for (const { spec } of routes) {
    const path = (paths[spec.path] ??= {})
    path[spec.method] = operationOf(spec)
  }
  return {
    openapi: '3.1.0',
    info: {
      title: 'Valise',
      version,
      summary: 'Evidence, pages, sharing and hand-ins of one school',
      description:
        'Files come in at /api/uploads by the tus protocol 1.0.0 (creation, termination), with filename, lastModified, replaces and classId as metadata.',
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
  }
}

function operationOf(spec: RouteSpec): object {
  const parameters = [
    ...parametersOf('path', spec.params),
    ...parametersOf('query', spec.query),
    ...(spec.needsRevision ? [headerOf('If-Match', true, 'The revision that is changed, as "r5"')] : []),
    ...(spec.once ? [headerOf('Idempotency-Key', false, 'Makes a repeated request have one effect')] : []),
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
    summary: spec.summary,
    description: `For ${spec.who === 'anyone' ? 'anyone' : spec.who === 'signed-in' ? 'people who are signed in' : 'administrators'}.`,
    tags: [spec.path.split('/')[2]],
    security: spec.who === 'anyone' ? [] : [{ session: [] }],
    ...(parameters.length > 0 && { parameters }),
    ...(spec.body && { requestBody: { required: true, ...json(spec.body) } }),
    responses: { ...done, default: { $ref: '#/components/responses/Problem' } },
  }
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
