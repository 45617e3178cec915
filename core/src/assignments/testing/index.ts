// For tests of whatever works with requirements: random ones of every kind on the list.
export { requirementSchemas } from '../requirements/requirementSchemas.ts'
export { anyRequirement, everyRequirement } from './anyRequirement.ts'
