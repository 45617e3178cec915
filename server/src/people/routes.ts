// People and memberships, for administrators.
import {
  membershipInputSchema,
  membershipSchema,
  peopleQuerySchema,
  personDetailSchema,
  personInputSchema,
  personPageSchema,
  schoolSchema,
  signInLinkSchema,
  yearGroupSchema,
} from '@valise/core/people'
import { byId, object } from '@valise/core/schemas'
import { Type } from 'typebox'
import { routesWith } from '../http/index.ts'
import * as service from './service.ts'
import { getSchool, listYearGroups } from './schoolStore.ts'
import { makeSignInLink } from './signInLinkService.ts'
import { listPeople } from './store.ts'
import type { PeopleServices } from './services.ts'

const { route } = routesWith<PeopleServices>()

export const peopleRoutes = [
  route(
    { method: 'get', path: '/api/school', summary: 'The school', who: 'anyone', answer: schoolSchema },
    ({ reader }) => getSchool(reader),
  ),
  route(
    {
      method: 'get',
      path: '/api/year-groups',
      summary: 'The year groups and their rules',
      who: 'administrator',
      answer: Type.Array(yearGroupSchema),
    },
    ({ reader }) => listYearGroups(reader),
  ),
  route(
    {
      method: 'get',
      path: '/api/people',
      summary: 'People by name',
      who: 'administrator',
      query: peopleQuerySchema,
      answer: personPageSchema,
    },
    ({ reader, query }) => listPeople(reader, query),
  ),
  route(
    {
      method: 'post',
      path: '/api/people',
      summary: 'Add a person',
      who: 'administrator',
      body: personInputSchema,
      answer: personDetailSchema,
      status: 201,
      idempotent: true,
    },
    ({ writable, actor, body }) => service.createPerson(writable, actor, body),
  ),
  route(
    {
      method: 'get',
      path: '/api/people/{id}',
      summary: 'One person with all memberships',
      who: 'administrator',
      params: byId,
      answer: personDetailSchema,
    },
    ({ reader, params }) => service.getPersonDetail(reader, params.id),
  ),
  route(
    {
      method: 'put',
      path: '/api/people/{id}',
      summary: 'Change a person',
      who: 'administrator',
      params: byId,
      body: personInputSchema,
      answer: personDetailSchema,
      needsRevision: true,
    },
    ({ writable, actor, params, revision, body }) =>
      service.updatePerson(writable, actor, params.id, revision, body),
  ),
  route(
    {
      method: 'put',
      path: '/api/people/{id}/ended',
      summary: 'End a person, or bring them back',
      who: 'administrator',
      params: byId,
      body: object({ ended: Type.Boolean() }),
      answer: personDetailSchema,
      needsRevision: true,
    },
    ({ writable, actor, params, revision, body }) =>
      service.setPersonEnded(writable, actor, params.id, revision, body.ended),
  ),
  route(
    {
      method: 'post',
      path: '/api/people/{id}/sign-in-link',
      summary: 'Make a one-time link to choose a password',
      who: 'administrator',
      params: byId,
      answer: signInLinkSchema,
      status: 201,
    },
    ({ services, actor, params }) => makeSignInLink(services, actor, params.id),
  ),
  route(
    {
      method: 'post',
      path: '/api/people/{id}/memberships',
      summary: 'Put somebody into a class',
      who: 'administrator',
      params: byId,
      body: membershipInputSchema,
      answer: membershipSchema,
      status: 201,
      idempotent: true,
    },
    ({ writable, actor, params, body }) => service.createMembership(writable, actor, params.id, body),
  ),
  route(
    {
      method: 'patch',
      path: '/api/memberships/{id}',
      summary: 'Change from when until when somebody is in a class',
      who: 'administrator',
      params: byId,
      body: Type.Pick(membershipInputSchema, ['firstDay', 'lastDay'], { additionalProperties: false }),
      answer: membershipSchema,
      needsRevision: true,
    },
    ({ writable, actor, params, revision, body }) =>
      service.updateMembership(writable, actor, params.id, revision, body),
  ),
]
