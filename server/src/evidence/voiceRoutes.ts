// Voices over things, over HTTP.
import { evidenceSchema, momentsSchema } from '@valise/core/evidence'
import { idSchema, object } from '@valise/core/schemas'
import { route } from '../http/index.ts'
import { changeMoments, takeVoiceOff } from './voiceService.ts'

const byVoice = object({ id: idSchema, voiceId: idSchema })

export const voiceRoutes = [
  route(
    {
      method: 'put',
      path: '/api/evidence/{id}/voices/{voiceId}',
      summary: 'Change the moments at which a recording points at something',
      who: 'signed-in',
      params: byVoice,
      body: object({ moments: momentsSchema }),
      answer: evidenceSchema,
      needsRevision: true,
    },
    ({ writable, actor, params, revision, body }) =>
      changeMoments(writable, actor, params, revision, body.moments),
  ),
  route(
    {
      method: 'delete',
      path: '/api/evidence/{id}/voices/{voiceId}',
      summary: 'Let a recording speak of an item no longer; the recording stays',
      who: 'signed-in',
      params: byVoice,
      answer: evidenceSchema,
    },
    ({ writable, actor, params }) => takeVoiceOff(writable, actor, params),
  ),
]
