// Guides for tests.
export { anyGuide } from './anyGuide.ts'
