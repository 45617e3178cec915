// Audiences that people belong to by being in a class in certain roles.
import type { AudienceKind, AudienceOf } from '@valise/core/access'
import type { ClassRole } from '@valise/core/people'
import { isOneOf } from '../../database/index.ts'
import { presentMembers } from '../presentMembersStore.ts'
import type { AudienceStore } from './AudienceStore.ts'

/** The audiences that go by a class. */
type OfClass = {
  [K in AudienceKind]: 'classId' extends keyof AudienceOf<K> ? K : never
}[AudienceKind]

export function inRoles(roles: readonly ClassRole[]): AudienceStore<OfClass> {
  return {
    isFor(reader, viewer) {
      if (viewer.kind !== 'person') return null
      const classes = presentMembers(reader)
        .where('memberships.personId', viewer.personId)
        .whereIn('role', [...roles])
        .select('classId')
      return (passes) => void passes.whereIn('passes.classId', classes)
    },
    members: (reader, passes) =>
      presentMembers(reader)
        .modify(
          isOneOf,
          'classId',
          passes.flatMap(({ classId }) => classId ?? []),
        )
        .whereIn('role', [...roles])
        .select('personId'),
    isKnown: ({ classId }, { classes }) => classes.some(({ id }) => id === classId),
    name: ({ className }) => className ?? '',
  }
}
