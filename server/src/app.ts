// The application: every route of every domain behind the same headers, checks and refusals.
import { AppError } from '@valise/core/problems'
import { object } from '@valise/core/schemas'
import { Type } from 'typebox'
import { Hono } from 'hono'
import { compress } from 'hono/compress'
import { randomUUID } from 'node:crypto'
import { accessRoutes, mountLinks } from './access/index.ts'
import { assignmentRoutes } from './assignments/index.ts'
import { binRoutes } from './bin/index.ts'
import { classRoutes } from './classes/index.ts'
import { collageRoutes } from './collages/index.ts'
import { collectionRoutes } from './collections/index.ts'
import { evidenceRoutes, mountPosters, mountUploads, queryRoutes } from './evidence/index.ts'
import { gatheringRoutes, mountPhone } from './gathering/index.ts'
import { countsRoute } from './countsRoute.ts'
import { newsRoutes } from './news/index.ts'
import {
  allowedMethods,
  assertOwnSite,
  describeApi,
  mountRoutes,
  mountWebSite,
  problemResponse,
  route,
  securityHeaders,
  toAppError,
} from './http/index.ts'
import type { Authenticate, Route } from './http/index.ts'
import { attributeSetRoutes } from './attributes/index.ts'
import { authenticate, peopleRoutes, sessionRoutes } from './people/index.ts'
import { pageRoutes } from './pages/index.ts'
import { frameOrigins } from './outside/index.ts'
import { guideRoutes } from './guides/index.ts'
import { ratingRoutes } from './ratings/index.ts'
import { recordRoutes } from './records/index.ts'
import { sheetRoutes } from './sheets/index.ts'
import { reflectionRoutes } from './reflections/index.ts'
import { statementRoutes } from './statements/index.ts'
import type { Services } from './services.ts'
import { submissionRoutes } from './submissions/index.ts'
import { todayRoutes } from './today/index.ts'
import { usesRoutes } from './uses/index.ts'

export const VERSION = '0.1.0'

export interface AppOptions {
  /** Routes beside the product's own; the demo brings its one-click sign-in this way. */
  readonly extraRoutes?: readonly Route<Services>[]
  /** Hold every answer against its schema; for tests. */
  readonly checkAnswers?: boolean
}

const statusRoutes = [
  route(
    {
      method: 'get',
      path: '/api/status',
      summary: 'Whether the server answers',
      who: 'anyone',
      answer: object({ status: Type.Literal('up'), version: Type.String() }),
    },
    async () => ({ status: 'up' as const, version: VERSION }),
  ),
]

const domainRoutes: readonly Route<Services>[] = [
  ...sessionRoutes,
  ...peopleRoutes,
  ...classRoutes,
  ...queryRoutes,
  ...evidenceRoutes,
  ...gatheringRoutes,
  ...collageRoutes,
  ...sheetRoutes,
  ...attributeSetRoutes,
  ...ratingRoutes,
  ...reflectionRoutes,
  ...statementRoutes,
  ...pageRoutes,
  ...collectionRoutes,
  ...accessRoutes,
  ...binRoutes,
  ...usesRoutes,
  ...assignmentRoutes,
  ...submissionRoutes,
  ...guideRoutes,
  ...todayRoutes,
  ...newsRoutes,
  ...recordRoutes,
]

/** The product's routes, in the order in which the API describes them. */
export const productRoutes: readonly Route<Services>[] = [
  ...statusRoutes,
  countsRoute(domainRoutes),
  ...domainRoutes,
]

export function createApp(services: Services, options: AppOptions = {}): Hono {
  const app = new Hono()
  const routes = [...productRoutes, ...(options.extraRoutes ?? [])]
  const requests = new WeakMap<Request, string>()
  const numberOf = (request: Request) => requests.get(request) ?? ''

  app.use(async (c, next) => {
    const started = performance.now()
    requests.set(c.req.raw, randomUUID())
    await next()
    const { method, path } = c.req
    const route = path.startsWith('/api/') ? c.req.routePath : '/*'
    const ms = Math.round(performance.now() - started)
    services.log.answered({ request: numberOf(c.req.raw), method, route, status: c.res.status, ms })
  })
  app.use(securityHeaders)
  app.use(compress())
  app.use(async (c, next) => {
    assertOwnSite(c.req.raw, services.config.publicAddress)
    await next()
  })
  app.onError((error, c) => {
    const refusal = toAppError(error)
    if (refusal.code === 'unexpected') services.log.failed(numberOf(c.req.raw), error)
    return problemResponse(refusal, numberOf(c.req.raw))
  })

  const findSession: Authenticate = (reader, token) => authenticate(services, reader, token)
  mountUploads(app, services, findSession)
  mountPosters(app, services, findSession)
  mountLinks(app, services)
  mountPhone(app, services)
  mountRoutes(app, services, routes, {
    authenticate: findSession,
    checkAnswers: options.checkAnswers ?? false,
  })
  let description: object | undefined
  app.get('/api/openapi.json', (c) => c.json((description ??= describeApi(routes, VERSION))))
  const allowedAt = allowedMethods(routes)
  app.all('/api/*', (c) => {
    const allowed = allowedAt(c.req.path)
    if (allowed === null) throw new AppError('not-found', 'not-found')
    throw new AppError('not-allowed', 'not-allowed', { params: { allowed } })
  })
  if (services.config.webFolder !== null)
    mountWebSite(app, services.config.webFolder, frameOrigins(services.config.mediaHosts))
  return app
}
