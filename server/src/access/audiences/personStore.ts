// One person.
import { resolveShownName } from '@valise/core/people'
import { isOneOf } from '../../database/index.ts'
import type { AudienceStore } from './AudienceStore.ts'

export const personStore: AudienceStore<'person'> = {
  isFor: (_, viewer) =>
    viewer.kind === 'person' ? (passes) => void passes.where('passes.personId', viewer.personId) : null,
  members: ({ sql }, passes) =>
    sql('people')
      .modify(
        isOneOf,
        'id',
        passes.flatMap(({ personId }) => personId ?? []),
      )
      .select('id as personId'),
  isKnown: ({ personId }, { people }) => people.some(({ id }) => id === personId),
  name: ({ fullName, firstName, chosenName, shownNameRule }) =>
    resolveShownName({ fullName: fullName ?? '', firstName: firstName ?? '', chosenName }, shownNameRule),
}
