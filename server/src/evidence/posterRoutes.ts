// The picture of a film, as its owner's browser took it: bytes as they come, so no route of the usual kind.
import { AppError } from '@valise/core/problems'
import type { Hono } from 'hono'
import { bytesOfBody, getSignedIn } from '../http/index.ts'
import type { Authenticate, HttpServices } from '../http/index.ts'
import type { EvidenceServices } from './services.ts'
import { getEvidence } from './service.ts'
import { savePoster } from './showPicture.ts'

const MOST_BYTES = 4 * 1_048_576

export function mountPosters(
  app: Hono,
  services: EvidenceServices & HttpServices,
  authenticate: Authenticate,
): void {
  app.post('/api/evidence/:id/poster', async (c) => {
    const actor = await getSignedIn(c, services, authenticate)
    const bytes = Number(c.req.header('content-length') ?? Number.NaN)
    if (!Number.isInteger(bytes) || bytes === 0) throw new AppError('invalid', 'invalid-input')
    if (bytes > MOST_BYTES) throw new AppError('too-large', 'too-large')
    const id = c.req.param('id')
    const { version } = await getEvidence(services.database.reader(), actor, id)
    await savePoster(services, actor, { id, n: version.n }, bytesOfBody(c, bytes))
    return c.body(null, 204)
  })
}
