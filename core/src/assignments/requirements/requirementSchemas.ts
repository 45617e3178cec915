// The list of the kinds of requirements, with the schemas of each and of what is found of it, in the order of the form.
import { Type } from 'typebox'
import type { Static } from 'typebox'
import { object } from '../../schemas/index.ts'
import { pageRequirement } from './page/schema.ts'
import { rightsRequirement } from './rights/schema.ts'
import { stageRequirement } from './stage/schema.ts'
import { statementRequirement } from './statement/schema.ts'

export const requirementSchemas = {
  page: pageRequirement,
  statement: statementRequirement,
  rights: rightsRequirement,
  stage: stageRequirement,
}

type Schemas = typeof requirementSchemas
export type RequirementKind = keyof Schemas
export type RequirementOf<K extends RequirementKind> = Static<Schemas[K]['requirement']>
export type ResultOf<K extends RequirementKind> = Static<Schemas[K]['result']>
export type Requirement = { [K in RequirementKind]: RequirementOf<K> }[RequirementKind]

/** A requirement together with what was found of it. */
export interface CheckedOf<K extends RequirementKind> {
  readonly requirement: RequirementOf<K>
  readonly result: ResultOf<K>
}
export type CheckedRequirement = { [K in RequirementKind]: CheckedOf<K> }[RequirementKind]

const all = Object.values(requirementSchemas)

export const requirementSchema = Type.Unsafe<Requirement>(
  Type.Union(all.map(({ requirement }) => requirement)),
)
export const checkedRequirementSchema = Type.Unsafe<CheckedRequirement>(
  Type.Union(all.map(({ requirement, result }) => object({ requirement, result }))),
)
