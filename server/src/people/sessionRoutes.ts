// Coming in, going out, and one's own settings.
import {
  changePasswordSchema,
  choosePasswordSchema,
  forgottenPasswordSchema,
  mySessionSchema,
  openSessionSchema,
  preferencesSchema,
  signInSchema,
} from '@valise/core/people'
import { idSchema, object } from '@valise/core/schemas'
import { Type } from 'typebox'
import { routesWith } from '../http/index.ts'
import * as service from './sessionService.ts'
import { choosePassword, sendForgottenLink } from './signInLinkService.ts'
import type { PeopleServices } from './services.ts'

const { route } = routesWith<PeopleServices>()

export const sessionRoutes = [
  route(
    { method: 'get', path: '/api/session', summary: 'Who I am', who: 'anyone', answer: mySessionSchema },
    ({ reader, actor }) => service.getMySession(reader, actor),
  ),
  route(
    {
      method: 'post',
      path: '/api/session',
      summary: 'Sign in with a password',
      who: 'anyone',
      body: signInSchema,
      answer: mySessionSchema,
      status: 201,
    },
    ({ services, reader, client, body }) => service.signIn(services, reader, client, body),
  ),
  route(
    { method: 'delete', path: '/api/session', summary: 'Sign out', who: 'anyone' },
    ({ writable, client, actor }) => service.signOut(writable, client, actor),
  ),
  route(
    { method: 'put', path: '/api/session/seen', summary: 'I am still here', who: 'signed-in' },
    // Noting that somebody was seen is what every request of a person does; this one does nothing else.
    async () => undefined,
  ),
  route(
    {
      method: 'get',
      path: '/api/session/device-key',
      summary: 'The key under which this device keeps what could not be sent yet; for its memory only',
      who: 'signed-in',
      answer: object({ key: Type.String({ description: '32 bytes, base64url' }) }),
    },
    async ({ services, actor }) => ({ key: services.keys.digest('device key', actor.personId) }),
  ),
  route(
    {
      method: 'get',
      path: '/api/sessions',
      summary: 'Where I am signed in',
      who: 'signed-in',
      answer: Type.Array(openSessionSchema),
    },
    ({ reader, actor }) => service.listOpenSessions(reader, actor),
  ),
  route(
    { method: 'delete', path: '/api/sessions', summary: 'Sign out everywhere else', who: 'signed-in' },
    ({ writable, actor }) => service.endOtherSessions(writable, actor, null),
  ),
  route(
    {
      method: 'delete',
      path: '/api/sessions/{id}',
      summary: 'Sign out in one place',
      who: 'signed-in',
      params: object({ id: idSchema }),
    },
    ({ writable, actor, params }) => service.endOtherSessions(writable, actor, params.id),
  ),
  route(
    {
      method: 'patch',
      path: '/api/preferences',
      summary: 'Change my own settings',
      who: 'signed-in',
      body: preferencesSchema,
      answer: mySessionSchema,
    },
    ({ writable, actor, body }) => service.savePreferences(writable, actor, body),
  ),
  route(
    {
      method: 'put',
      path: '/api/password',
      summary: 'Change my password',
      who: 'signed-in',
      body: changePasswordSchema,
    },
    ({ services, reader, actor, body }) => service.changePassword(services, reader, actor, body),
  ),
  route(
    {
      method: 'post',
      path: '/api/password/forgotten',
      summary: 'Ask for a link to choose a new password',
      who: 'anyone',
      body: forgottenPasswordSchema,
    },
    ({ services, reader, client, body }) => sendForgottenLink(services, reader, client, body.signInName),
  ),
  route(
    {
      method: 'post',
      path: '/api/password/chosen',
      summary: 'Choose a password with a one-time link',
      who: 'anyone',
      body: choosePasswordSchema,
      answer: mySessionSchema,
      status: 201,
    },
    ({ services, reader, client, body }) => choosePassword(services, reader, client, body),
  ),
]
