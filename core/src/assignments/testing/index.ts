// For tests of whatever works with requirements: random ones of every kind on the list.
export { anyRequirement, everyRequirement } from './anyRequirement.ts'
