// Who made each item that goes in, or under which licence it is used.
import { itemsGoing } from '../facts.ts'
import type { RequirementDefinition } from '../RequirementDefinition.ts'

export const rightsRequirement: RequirementDefinition<'rights', never> = {
  needs: [],
  create: (id) => ({ id, kind: 'rights', weight: 'must' }),
  check(_, { parts }) {
    const items = itemsGoing({ parts })
    const undeclared = items
      .filter(({ rightsDeclared }) => !rightsDeclared)
      .map(({ id, title }) => ({ id, title }))
    // Where nothing goes in, nothing is declared either.
    return { isThere: parts.length > 0 && undeclared.length === 0, items: items.length, undeclared }
  },
}
