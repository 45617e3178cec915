// Sets of attributes: written and offered, and chosen to rate oneself on.
export { attributeSetApi, useUsableSets } from './queries.ts'
export { RatingSteps } from './RatingSteps.tsx'
export { loadAttributeSetScreen, loadAttributeSetsScreen } from './loaders.ts'
