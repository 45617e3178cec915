// Self-ratings over time.
export { loadGrowScreen } from './loaders.ts'
