// Random requirements of every kind on the list, wanting no more than a test can bring.
import fc from 'fast-check'
import { valuesOf } from '../../testing/index.ts'
import { requirementKinds } from '../requirements/requirementDefinitions.ts'
import { requirementSchemas } from '../requirements/requirementSchemas.ts'
import type { Requirement, RequirementKind } from '../requirements/requirementSchemas.ts'

const little = fc.integer({ min: 1, max: 4 })
const known = { 'At least so many': little, 'At least so many words': little }

/** A requirement of one kind. */
export function everyRequirement(kind: RequirementKind): fc.Arbitrary<Requirement> {
  return valuesOf<(typeof requirementSchemas)[RequirementKind]['requirement']>(
    requirementSchemas[kind].requirement,
    known,
  )
}

/** A requirement of any kind. */
export const anyRequirement: fc.Arbitrary<Requirement> = fc.oneof(...requirementKinds.map(everyRequirement))
